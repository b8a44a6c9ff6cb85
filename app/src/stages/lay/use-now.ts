import { useEffect, useState } from 'react';

/** The time, told anew every few seconds while somebody looks: clocks that run are shown by it. */
export function useNowMs(everyMs = 5000): number {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    const timer = setInterval(() => setNow(Date.now()), everyMs);
    return () => clearInterval(timer);
  }, [everyMs]);
  return now;
}
