import { useLayoutEffect, useRef, type ReactNode } from 'react';
import { Pressable, type PressableProps, type View } from 'react-native';

interface Props extends Omit<PressableProps, 'accessibilityLabel' | 'children'> {
  /** What it is or does, for whoever does not see it. */
  label: string;
  /** It cannot do what it says now, and is pressed to hear why. */
  off?: boolean;
  children?: ReactNode;
}

/** Whatever is pressed and is no button of words alone: a row, a card, a plank, a key. */
export function Touch({ label, role = 'button', off = false, children, ...rest }: Props) {
  const ref = useRef<View & HTMLElement>(null);
  // Pressable writes this attribute itself, and only for what cannot be pressed at all.
  useLayoutEffect(() => {
    if (off) ref.current?.setAttribute('aria-disabled', 'true');
    else if (!rest.disabled) ref.current?.removeAttribute('aria-disabled');
  }, [off, rest.disabled]);
  return (
    <Pressable ref={ref} role={role} accessibilityLabel={label} {...rest}>
      {children}
    </Pressable>
  );
}
