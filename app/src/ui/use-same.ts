import { useState } from 'react';
import { replaceEqualDeep } from '@tanstack/react-query';

/** A value made anew at every drawing: while its content is the same it is given as the very same object. */
export function useSame<T>(value: T): T {
  const [held, setHeld] = useState(value);
  const next = replaceEqualDeep(held, value) as T;
  if (next !== held) setHeld(next);
  return next;
}
