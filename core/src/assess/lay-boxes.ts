import { figuresOf } from '../figures/index.ts';
import { boxesFor } from '../setout/index.ts';
import { planLaying, type LayPlan } from './lay-plan.ts';
import type { RoomSet } from './room-set.ts';

/** Boxes of one covering over all rooms of a job that take it, so that all of it is of one batch. */
export interface BoxesOfJob {
  cardId: string;
  name: string;
  inBox: number;
  planks: number;
  spare: number;
  boxes: number;
  /** What the rooms would take, each with boxes and spare planks of its own. */
  apart: number;
  rooms: { roomId: string; name: string; planks: number }[];
}

/** Boxes of every covering of a job; rooms whose planks come from a room beside them, and cards without a box, are left out. Planks of several lengths are bought by the room. */
export function boxesOfJob(sets: readonly RoomSet[], tell: (share: number) => void = () => undefined): BoxesOfJob[] {
  return boxesOver(
    sets.map((set, k) => {
      tell(k / sets.length);
      return { set, plan: planLaying(set, { pace: 'live' }) };
    }),
  );
}

/** The same of rooms that are set out already. */
export function boxesOver(laid: readonly { set: RoomSet; plan: LayPlan | null }[]): BoxesOfJob[] {
  const byCard = new Map<string, BoxesOfJob>();
  for (const { set, plan } of laid) {
    if (!plan?.boxes || plan.mixed || plan.laidFrom) continue;
    const { id, name } = set.card;
    const held = byCard.get(id) ?? {
      cardId: id,
      name,
      inBox: plan.boxes.inBox,
      planks: 0,
      spare: 0,
      boxes: 0,
      apart: 0,
      rooms: [],
    };
    byCard.set(id, {
      ...held,
      planks: held.planks + plan.planks,
      apart: held.apart + plan.boxes.boxes,
      rooms: [...held.rooms, { roomId: set.room.id, name: set.room.name, planks: plan.planks }],
    });
  }
  return [...byCard.values()].map((one) => {
    const { room, figures } = laid.find(({ set }) => set.card.id === one.cardId)!.set;
    const share = figuresOf(figures, room.units)('spare-pct') / 100;
    return {
      ...one,
      spare: Math.max(1, Math.ceil(one.planks * share - 1e-9)),
      boxes: boxesFor(one.planks, one.inBox, share),
    };
  });
}
