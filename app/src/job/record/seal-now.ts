import { useState, useSyncExternalStore } from 'react';
import type { Seal } from '@maquette/core/record';
import { deviceZone } from '@maquette/words';
import { api } from '../../data/api.ts';
import { bookKey } from '../../data/client.ts';
import { outbox, queries } from '../../data/device.ts';
import { newId } from '../../data/ids.ts';
import { picturesHere } from '../../data/photos.ts';

interface SealWanted {
  sealedFor: Seal['sealedFor'];
  ofRoomId: string | null;
}

/** How far a seal or a report is that the server makes. */
export interface OnServer {
  share: number | null;
  failed: string | null;
}

const ASK_MS = 400;

/** Asks the server how far it is with what it makes under a name, until it is done. */
export function watchRecord(name: string, told: (share: number) => void): () => void {
  const timer = setInterval(() => {
    api<{ share: number }>(`/api/records/${name}`)
      .then(({ share }) => told(share))
      .catch(() => undefined);
  }, ASK_MS);
  return () => clearInterval(timer);
}

/** What keeps the server from sealing all there is: writes and pictures that only this device has. */
export function unsentWords(): string | null {
  const { waiting, reachable } = outbox.get();
  if (!reachable) return 'There is no signal. A seal is made by the server: seal as soon as it answers.';
  if (waiting.length > 0) return 'Some of it is still being sent. Seal once all is sent.';
  return (picturesHere.get() ?? 0) > 0 ? 'Photographs are still being sent. Seal once all is sent.' : null;
}

/** The same, told anew as things are sent. */
export function useUnsent(): string | null {
  useSyncExternalStore(picturesHere.subscribe, picturesHere.get);
  return useSyncExternalStore(outbox.subscribe, unsentWords);
}

/** Has the server seal a job. Asked again after an answer that was not heard, the same seal comes back. */
export function useSealing(jobId: string): OnServer & { seal: (wanted: SealWanted) => Promise<boolean> } {
  const [state, setState] = useState<OnServer>({ share: null, failed: null });
  /** One that was asked for and not answered: asked again it is the same one. */
  const [open, setOpen] = useState<{ key: string; id: string; writeId: string } | null>(null);
  return {
    ...state,
    seal: async ({ sealedFor, ofRoomId }) => {
      const unsent = unsentWords();
      if (unsent) {
        setState({ share: null, failed: unsent });
        return false;
      }
      const key = `${sealedFor} ${ofRoomId ?? ''}`;
      const mine = open?.key === key ? open : { key, id: newId(), writeId: newId() };
      setOpen(mine);
      setState({ share: 0, failed: null });
      const name = `seal-${mine.id}`;
      const end = watchRecord(name, (share) => setState({ share, failed: null }));
      try {
        await api(`/api/jobs/${jobId}/seals?as=${name}&zone=${encodeURIComponent(deviceZone())}`, {
          method: 'POST',
          body: { id: mine.id, writeId: mine.writeId, sealedFor, ofRoomId },
          patient: true,
        });
        await queries.invalidateQueries({ queryKey: bookKey });
        setOpen(null);
        setState({ share: null, failed: null });
        return true;
      } catch (error) {
        setState({ share: null, failed: error instanceof Error ? error.message : String(error) });
        return false;
      } finally {
        end();
      }
    },
  };
}
