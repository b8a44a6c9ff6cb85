import { CRAWL } from '@maquette/core/under';
import type { DemoRoom } from './demo-room.ts';

/** Boards over a crawl space whose ground lies open: a film from above was thought of, and would shut the boards in. */
export const STACK_ROOM: DemoRoom = {
  slug: 'stack-room',
  name: 'Stack room',
  walls: [4600, 3200, 4600, 3200].map((lengthMm) => ({ lengthMm, turnDeg: 90 })),
  openings: [{ wall: 0, fromMm: 700, widthMm: 800, hinge: 'start', swing: 'in' }],
  baseKind: 'floorboards-on-joists',
  base: { beneath: 'crawl-space', grade: 'above', heating: 'none', joistDeg: 0, joistSpacingMm: 450 },
  cardId: 'shipped-laminate',
  units: 'metric',
  bumps: [],
  fall: [0, 0],
  readShare: 0,
  setups: [],
  answers: [[CRAWL, 'open']],
  under: { underlayId: 'shipped-foam', filmId: 'shipped-film', note: 'Film from above, as the shop said' },
};
