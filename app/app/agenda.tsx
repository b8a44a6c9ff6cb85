import { fetched } from '../src/ui/fetched.tsx';

const AgendaScreen = fetched(() => import('../src/job/screens.ts').then((screens) => screens.AgendaScreen));

export default function Agenda() {
  return <AgendaScreen />;
}
