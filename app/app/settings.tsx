import { SettingsScreen } from '../src/book/settings-screen.tsx';

export default function Settings() {
  return <SettingsScreen />;
}
