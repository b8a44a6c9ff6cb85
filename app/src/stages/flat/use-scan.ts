import { startTransition, useState } from 'react';
import { planOf, type RoomFacts } from '@maquette/core/room';
import { snapScan, turned, type Scan, type ScanPlace, type UpAxis } from '@maquette/core/scan';
import type { RoomPicture } from '@maquette/core';
import { newId, nowUtc } from '../../data/ids.ts';
import { bodyOf } from '@maquette/facts';
import { pickFiles } from '../../data/save-text.ts';
import type { ShownRoom } from '../../data/use-facts.ts';
import { write } from '../../data/write.ts';
import type { Grip } from '../../sheet/use-sheet-view.ts';
import { toMmPoint, type SheetView } from '../../sheet/view.ts';
import { fetchPart } from '../../ui/fetch-part.ts';
import { useDesk } from '../../worker/use-judged.ts';
import type { ScanAnswer } from '../../worker/messages.ts';

/** What is being done with a scan: nothing, its file is read, or it is laid on the room. */
export interface Scanning {
  file: File | null;
  /** Share read, 0 to 1; null while nothing is read. */
  progress: number | null;
  failed: string | null;
  answer: ScanAnswer | null;
  place: ScanPlace | null;
  choose: () => void;
  /** Reads the same file with another axis up; null for a scan that is laid again from what is stored. */
  readUp: ((up: UpAxis) => void) | null;
  /** Lays a scan that is held already another way. */
  again: (scanId: string) => Promise<void>;
  stop: () => void;
  leave: () => void;
  nudge: (dxMm: number, dyMm: number) => void;
  turn: (deg: number) => void;
  snap: () => void;
  take: () => void;
  /** Takes hold of the scan on the sheet; null while there is none to lay. */
  grip: ((view: SheetView, xPx: number, yPx: number) => Grip | null) | null;
}

const ACCEPTED = '.ply,.xyz,.txt,.asc,.pts';

/** Reading a scan in a worker of its own and laying it on the room; nothing is stored before it is taken. */
export function useScan(shown: ShownRoom, room: RoomFacts, picture: RoomPicture | null): Scanning {
  const desk = useDesk();
  const [file, setFile] = useState<File | null>(null);
  const [progress, setProgress] = useState<number | null>(null);
  const [failed, setFailed] = useState<string | null>(null);
  const [answer, setAnswer] = useState<ScanAnswer | null>(null);
  const [place, setPlace] = useState<ScanPlace | null>(null);
  const [held, setHeld] = useState<Scan | null>(null);

  const read = (chosen: File, up: UpAxis | null) => {
    setFile(chosen);
    setFailed(null);
    setAnswer(null);
    setProgress(0);
    const heights = new Map((picture?.levels ?? []).map((l) => [l.stationKey, l]));
    const known = (picture?.stations ?? []).flatMap(({ key, xMm, yMm }) => {
      const level = heights.get(key);
      return level ? [{ xMm, yMm, heightMm: level.heightMm }] : [];
    });
    desk.ask(
      { kind: 'scan', scan: { file: chosen, up, plan: planOf(room), known } },
      (found, reason) =>
        // Much is drawn at once: in steps, so that a touch meanwhile is answered.
        startTransition(() => {
          setProgress(null);
          setFailed(reason);
          setAnswer(found);
          setPlace(found?.place ?? null);
        }),
      'now',
      ({ share }) => setProgress(share),
    );
  };
  const leave = () => {
    desk.stop();
    setFile(null);
    setHeld(null);
    setProgress(null);
    setFailed(null);
    setAnswer(null);
    setPlace(null);
  };
  const change = (by: (place: ScanPlace) => ScanPlace) => setPlace((held) => held && by(held));
  return {
    file,
    progress,
    failed,
    answer,
    place,
    choose: () =>
      void pickFiles(ACCEPTED, false).then(([chosen]) => {
        if (chosen) read(chosen, null);
      }),
    readUp: file ? (up) => read(file, up) : null,
    again: async (scanId) => {
      const stored = shown.scans.find(({ id }) => id === scanId);
      if (!stored) return;
      const floor = { ...stored, wallsMm: new Float64Array() };
      const { drawnOf } = await fetchPart(() => import('../../worker/drawn-scan.ts'));
      setHeld(stored);
      setAnswer({
        floor,
        pointsInFile: stored.points,
        badLines: 0,
        up: 'z',
        wasMm: false,
        place: stored,
        drawn: drawnOf(floor),
      });
      setPlace({ turnDeg: stored.turnDeg, xMm: stored.xMm, yMm: stored.yMm });
    },
    stop: () => {
      leave();
      setFailed('Stopped. The file is as it was; nothing was stored.');
    },
    leave,
    nudge: (dx, dy) => change((p) => ({ ...p, xMm: p.xMm + dx, yMm: p.yMm + dy })),
    turn: (deg) => change((p) => ({ ...p, turnDeg: turned(p.turnDeg + deg) })),
    snap: () => change((p) => (answer ? snapScan(planOf(room), answer.floor, p) : p)),
    take: () => {
      const body = place && (held ? bodyOf(held) : file && answer ? scanBody(answer, file) : null);
      if (!place || !body) return;
      void write(held ? 'Scan laid again' : 'Scan laid on the room', [
        {
          kind: 'scans',
          id: held?.id ?? newId(),
          roomId: shown.room!.id,
          body: {
            ...body,
            turnDeg: to(place.turnDeg, 0.01),
            xMm: to(place.xMm, 0.1),
            yMm: to(place.yMm, 0.1),
          },
        },
      ]).then((written) => {
        if (written.ok) leave();
        else setFailed(written.problems.map((p) => `${p.field} ${p.message}`).join('; '));
      });
    },
    grip: place
      ? (view, xPx, yPx) => {
          const [downX, downY] = toMmPoint(view, xPx, yPx);
          return {
            move: (x, y) => setPlace({ ...place, xMm: place.xMm + x - downX, yMm: place.yMm + y - downY }),
            end: () => undefined,
            cancel: () => setPlace(place),
          };
        }
      : null,
  };
}

const to = (value: number, step: number) => Math.round(value / step) * step;

/** What is kept of a scan, but for its place. */
function scanBody({ floor }: ScanAnswer, file: File) {
  const { cellMm, nx, ny, x0Mm, y0Mm, heightsTenthMm, noiseMm, points } = floor;
  const now = nowUtc();
  return {
    fileName: file.name.slice(-200),
    points,
    // A scan older than the last levelling says nothing of what lies there now, whenever it is brought in.
    takenAt:
      file.lastModified > 0 && file.lastModified < Date.parse(now) ? new Date(file.lastModified).toISOString() : now,
    cellMm,
    nx,
    ny,
    x0Mm: to(x0Mm, 0.1),
    y0Mm: to(y0Mm, 0.1),
    heightsTenthMm,
    noiseMm: to(noiseMm, 0.001),
    note: '',
  };
}
