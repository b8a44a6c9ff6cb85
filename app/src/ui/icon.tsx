import type { LucideIcon } from 'lucide-react-native';
import Check from 'lucide-react-native/icons/check';
import ChevronDown from 'lucide-react-native/icons/chevron-down';
import ChevronLeft from 'lucide-react-native/icons/chevron-left';
import ChevronRight from 'lucide-react-native/icons/chevron-right';
import Grip from 'lucide-react-native/icons/grip-vertical';

/** The few signs that stand beside words. Verdicts have marks of their own. */
const ICONS = {
  back: ChevronLeft,
  closed: ChevronRight,
  open: ChevronDown,
  done: Check,
  move: Grip,
} satisfies Record<string, LucideIcon>;
export type IconName = keyof typeof ICONS;

/** A sign; what it means is said by the words or the label it stands with. */
export function Icon({ name, color, size = 20 }: { name: IconName; color: string; size?: number }) {
  const Sign = ICONS[name];
  return <Sign color={color} size={size} strokeWidth={2.75} aria-hidden />;
}
