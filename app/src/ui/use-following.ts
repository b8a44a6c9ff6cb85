import { useState } from 'react';

/** A value being edited that starts over whenever what is on record changes, and keeps what is typed until then. */
export function useFollowing<T>(onRecord: T): [T, (value: T) => void] {
  const [held, setHeld] = useState({ onRecord, value: onRecord });
  if (held.onRecord !== onRecord) {
    setHeld({ onRecord, value: onRecord });
    return [onRecord, (value) => setHeld({ onRecord, value })];
  }
  return [held.value, (value) => setHeld({ onRecord, value })];
}
