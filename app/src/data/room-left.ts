import { useEffect, useState } from 'react';

/** What this device has left for Maquette. */
export interface RoomLeft {
  bytes: number;
  /** Whether the browser has promised not to clear what is kept here when it runs short. */
  promised: boolean;
}

/** Less than this is told: a morning of photographs takes as much. */
const LITTLE_BYTES = 50e6;
const LOOK_AGAIN_MS = 60_000;

export const isLittle = ({ bytes }: RoomLeft): boolean => bytes < LITTLE_BYTES;

/** Room left on this device, looked up now and every minute; null where the browser does not say. */
export function useRoomLeft(): RoomLeft | null {
  const [left, setLeft] = useState<RoomLeft | null>(null);
  useEffect(() => {
    let open = true;
    const look = async () => {
      try {
        const { quota = 0, usage = 0 } = await navigator.storage.estimate();
        const promised = await navigator.storage.persisted();
        if (open) setLeft({ bytes: Math.max(0, quota - usage), promised });
      } catch {
        // An old browser, or a page that did not come over a secure connection.
      }
    };
    void look();
    const timer = setInterval(() => void look(), LOOK_AGAIN_MS);
    return () => {
      open = false;
      clearInterval(timer);
    };
  }, []);
  return left;
}

/** `1.2 GB` or `48 MB`. */
export const roomWords = ({ bytes }: RoomLeft): string =>
  bytes >= 1e9 ? `${(bytes / 1e9).toFixed(1)} GB` : `${Math.round(bytes / 1e6)} MB`;
