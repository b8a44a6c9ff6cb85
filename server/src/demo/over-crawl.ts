import { BASE_THINNEST, CRAWL } from '@maquette/core/under';
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

/** A wash house with bare boards, measured dry: panels go over them, round a flange and beside a tray that gives. */
export const HALL_WASH_HOUSE: DemoRoom = {
  slug: 'hall-wash-house',
  name: 'Wash house',
  walls: [3000, 2400, 3000, 2400].map((lengthMm) => ({ lengthMm, turnDeg: 90 })),
  openings: [{ wall: 0, fromMm: 400, widthMm: 760, hinge: 'start', swing: 'in' }],
  fixtures: [
    {
      kind: 'toilet',
      name: '',
      xMm: 2550,
      yMm: 1850,
      widthMm: 110,
      depthMm: 110,
      turnDeg: 0,
      round: true,
      heightMm: 4,
    },
    { kind: 'bath', name: 'Tray', xMm: 450, yMm: 1950, widthMm: 900, depthMm: 900, turnDeg: 0 },
    { kind: 'pipe', name: '', xMm: 2920, yMm: 900, widthMm: 28, depthMm: 28, turnDeg: 0, round: true },
  ],
  baseKind: 'floorboards-on-joists',
  base: { beneath: 'crawl-space', grade: 'above', heating: 'none', joistDeg: 0, joistSpacingMm: 400 },
  cardId: 'shipped-click-vinyl',
  units: 'metric',
  bumps: [],
  fall: [0, 0],
  readShare: 0,
  setups: [],
  answers: [
    [CRAWL, 'covered'],
    [BASE_THINNEST, 21],
  ],
  under: { panelId: 'shipped-plywood-6', note: 'Boards are cupped' },
};
