import { SHIPPED_CARDS, type CoveringCard } from '../coverings/index.ts';
import { BLANK_SHAPE, newOpening, rectangleWalls, type RoomFacts } from '../room/index.ts';
import { USUAL_SET_OUT, type SetOut } from '../setout/index.ts';
import { planLaying, type LayPlan } from './lay-plan.ts';
import { roomSet, type RoomSet } from './room-set.ts';

export const room: RoomFacts = {
  id: 'r',
  jobId: 'j',
  name: 'Parlour',
  rank: 0,
  ...BLANK_SHAPE,
  walls: rectangleWalls(4200, 3600),
  openings: [{ ...newOpening('door', 0, 600, 800), beyond: 'tile' }],
  baseKind: 'slab-on-ground',
  cardId: 'shipped-laminate',
  units: 'metric',
  spacingMm: null,
  contactsOnly: false,
};
export const cardOf = (id: string): CoveringCard => SHIPPED_CARDS.find((card) => card.id === id)!;
export const laminate = cardOf('shipped-laminate');
export const chosen = (part: Partial<SetOut>): SetOut[] => [{ id: 's', ...USUAL_SET_OUT, ...part }];
export const set = (part: Partial<RoomSet> = {}, card = laminate, of: Partial<RoomFacts> = {}) =>
  roomSet({ ...room, ...of }, card, part);
export const plan = (of: RoomSet): LayPlan => planLaying(of, { pace: 'live' })!;

/** The area of every piece as it is drawn, m². */
export const drawnM2 = ({ pieces }: LayPlan) =>
  pieces.reduce((sum, { outline }) => {
    const twice = outline.reduce((s, a, k) => {
      const b = outline[(k + 1) % outline.length]!;
      return s + a.xMm * b.yMm - b.xMm * a.yMm;
    }, 0);
    return sum + Math.abs(twice) / 2e6;
  }, 0);
