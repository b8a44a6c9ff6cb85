import type { ReactNode } from 'react';
import { Pressable, type PressableProps } from 'react-native';

interface Props extends Omit<PressableProps, 'accessibilityLabel' | 'children'> {
  /** What it is or does, for whoever does not see it. */
  label: string;
  children?: ReactNode;
}

/** Whatever is pressed and is no button of words alone: a row, a card, a plank, a key. */
export function Touch({ label, role = 'button', children, ...rest }: Props) {
  return (
    <Pressable role={role} accessibilityLabel={label} {...rest}>
      {children}
    </Pressable>
  );
}
