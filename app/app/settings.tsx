import { fetched } from '../src/ui/fetched.tsx';

const SettingsScreen = fetched(() => import('../src/book/settings-screen.tsx').then((screen) => screen.SettingsScreen));

export default function Settings() {
  return <SettingsScreen />;
}
