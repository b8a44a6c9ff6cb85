import { useState } from 'react';
import { isLaid, proposeEdges, type EdgeTool, type EdgeWalk, type ProposedEdge } from '@maquette/core/flat';
import type { PointMm, RoomFacts } from '@maquette/core/room';
import { newId, nowUtc } from '../../data/ids.ts';
import type { ShownRoom } from '../../data/use-facts.ts';
import { write } from '../../data/write.ts';
import { toMmPoint, type SheetView } from '../../sheet/view.ts';
import { usePlan } from '../../sheet/use-plan.ts';

export interface Edges {
  edgeMm: number;
  setEdgeMm: (mm: number) => void;
  tool: EdgeTool;
  setTool: (tool: EdgeTool) => void;
  proposed: readonly ProposedEdge[];
  laid: readonly EdgeWalk[];
  /** The places proposed are those that would best break the verdict. */
  breaking: boolean;
  /** Where the edge lies now. */
  current: ProposedEdge | null;
  left: number;
  skip: () => void;
  save: (read: Pick<EdgeWalk, 'contactsMm' | 'gaps' | 'rocksMm'>) => void;
  /** Touching the sheet twice lays the edge from the one place towards the other. */
  tap: (view: SheetView, xPx: number, yPx: number) => void;
  /** The same by a place that was taped. */
  point: (at: PointMm) => void;
  /** The first of the two touches. */
  started: { xMm: number; yMm: number } | null;
}

/** The walk with the straightedge: what is proposed, what lies there now, and what taking it writes. */
export function useEdges(
  shown: ShownRoom,
  room: RoomFacts,
  ruleEdgeMm: number,
  /** Where an edge would best break the verdict; null while that is being worked out, empty where nothing is to be broken. */
  breakers: readonly ProposedEdge[] | null,
): Edges {
  const [own, setOwn] = useState<number | null>(null);
  const [tool, setTool] = useState<EdgeTool>('straightedge');
  const [skipped, setSkipped] = useState<readonly string[]>([]);
  const [placed, setPlaced] = useState<ProposedEdge | null>(null);
  const [started, setStarted] = useState<{ xMm: number; yMm: number } | null>(null);
  const edgeMm = own ?? ruleEdgeMm;
  // Once the floor is covered, only edges that may break the verdict are worth laying.
  const everywhere = proposeEdges(usePlan(room), edgeMm);
  const proposed = breakers?.length === 0 ? everywhere : (breakers ?? NO_EDGES);
  const laid = (shown.plain.edgeWalks ?? []) as EdgeWalk[];
  const open = proposed.filter((edge) => !isLaid(edge, laid));
  const current = placed ?? open.find((edge) => !skipped.includes(edge.key)) ?? open[0] ?? null;
  const next = () => {
    setPlaced(null);
    setStarted(null);
  };
  /** The first place is where the edge starts, the second where it points to. */
  const point = ({ xMm, yMm }: PointMm) => {
    if (!started) return setStarted({ xMm, yMm });
    const away = Math.hypot(xMm - started.xMm, yMm - started.yMm);
    if (away < 1) return setStarted(null);
    const share = edgeMm / away;
    setPlaced({
      key: 'placed',
      fromXMm: started.xMm,
      fromYMm: started.yMm,
      toXMm: Math.round(started.xMm + (xMm - started.xMm) * share),
      toYMm: Math.round(started.yMm + (yMm - started.yMm) * share),
    });
    return setStarted(null);
  };
  return {
    edgeMm,
    setEdgeMm: setOwn,
    tool,
    setTool,
    proposed,
    breaking: breakers === null || breakers.length > 0,
    laid,
    current,
    left: open.length,
    started,
    skip: () => {
      if (current && !placed) setSkipped([...skipped, current.key]);
      next();
    },
    save: (read) => {
      if (!current) return;
      const { fromXMm, fromYMm, toXMm, toYMm } = current;
      const asked = (breakers ?? NO_EDGES).some(({ key }) => key === current.key);
      void write('Edge read', [
        {
          kind: 'edgeWalks',
          id: newId(),
          roomId: shown.room!.id,
          body: { fromXMm, fromYMm, toXMm, toYMm, tool, ...read, takenAt: nowUtc(), note: '', asked },
        },
      ]);
      next();
    },
    tap: (view, xPx, yPx) => {
      const [xMm, yMm] = toMmPoint(view, xPx, yPx).map(Math.round) as [number, number];
      point({ xMm, yMm });
    },
    point,
  };
}

const NO_EDGES: readonly ProposedEdge[] = [];
