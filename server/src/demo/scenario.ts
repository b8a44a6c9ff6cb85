import { WAY_CHOSEN } from '@maquette/core/levelling/facts';
import type { Wall } from '@maquette/core/room';
import type { DemoRoom } from './demo-room.ts';
import { CLOAKROOM, KITCHEN, WASH_HOUSE } from './old-floors.ts';
import { DEMO_CARD_ID } from './seed-under.ts';
import { HALL_WASH_HOUSE, STACK_ROOM } from './over-crawl.ts';

interface DemoJob {
  slug: string;
  name: string;
  about: string;
  country: string;
  currency: string;
  rooms: DemoRoom[];
}

const rectangle = (w: number, d: number): Wall[] => [w, d, w, d].map((lengthMm) => ({ lengthMm, turnDeg: 90 }));

/** Sluice House, a lock-keeper's cottage, and Fennimore Hall, a reading room. All of it is invented. */
export const SCENARIO: readonly DemoJob[] = [
  {
    slug: 'sluice-house',
    name: 'Sluice House',
    about: 'lock-keeper’s cottage',
    country: 'GB',
    currency: '£',
    rooms: [
      {
        slug: 'parlour',
        name: 'Parlour',
        walls: [
          { lengthMm: 5400, turnDeg: 90 },
          { lengthMm: 4200, turnDeg: 90 },
          { lengthMm: 1500, turnDeg: 90 },
          { lengthMm: 500, turnDeg: -90 },
          { lengthMm: 1800, turnDeg: -90, name: 'hearth' },
          { lengthMm: 500, turnDeg: 90 },
          { lengthMm: 2100, turnDeg: 90 },
          { lengthMm: 4200, turnDeg: 90 },
        ],
        openings: [
          {
            wall: 0,
            fromMm: 620,
            widthMm: 800,
            hinge: 'start',
            swing: 'out',
            beyond: 'planks',
            sharedId: 'demo-hall-parlour',
          },
        ],
        levels: [
          { of: 'beyond', about: 'opening-1', alongMm: 0, levelMm: -10 },
          { of: 'beyond', about: 'opening-1', alongMm: 800, levelMm: -7 },
          { of: 'leaf', about: 'opening-1', alongMm: 0, levelMm: 12.5 },
          { of: 'leaf', about: 'opening-1', alongMm: 800, levelMm: 13 },
        ],
        leaves: [{ about: 'opening-1', kind: 'solid' }],
        baseKind: 'slab-on-ground',
        cardId: DEMO_CARD_ID,
        lay: { setOut: { lightWall: 5 } },
        under: { underlayId: 'shipped-thin-foam', filmId: 'shipped-film', note: 'Client wants it quiet' },
        units: 'metric',
        bumps: [
          { xMm: 3050, yMm: 2850, heightMm: 7, widthMm: 620 },
          { xMm: 500, yMm: 650, heightMm: -9, widthMm: 640 },
          { xMm: 4500, yMm: 900, heightMm: -1.6, widthMm: 700 },
        ],
        fall: [-0.5, 0.2],
        base: { slabMm: 120, beneath: 'ground', grade: 'on', heating: 'none' },
        layers: [{ id: 'demo-parlour-carpet', kind: 'carpet', year: 2006, yearOf: 'layer', condition: 'worn' }],
        layerChoices: [{ layerId: 'demo-parlour-carpet', choice: 'remove' }],
        ticked: ['demo-parlour-carpet'],
        readShare: 1,
        setups: [{ name: 'A', fromShare: 0, benchMm: 1338.4, closingMm: 0.4 }],
      },
      {
        slug: 'boot-room',
        name: 'Boot room',
        walls: rectangle(2900, 2300),
        openings: [
          {
            wall: 3,
            fromMm: 1200,
            widthMm: 760,
            hinge: 'end',
            swing: 'in',
            beyond: 'planks',
            sharedId: 'demo-kitchen-boot',
          },
        ],
        levels: [
          { of: 'beyond', about: 'opening-1', alongMm: 0, levelMm: 0 },
          { of: 'beyond', about: 'opening-1', alongMm: 760, levelMm: 0 },
          { of: 'leaf', about: 'opening-1', alongMm: 0, levelMm: 16 },
          { of: 'leaf', about: 'opening-1', alongMm: 760, levelMm: 16 },
        ],
        leaves: [{ about: 'opening-1', kind: 'hollow' }],
        baseKind: 'cement-screed',
        base: { beneath: 'unheated-room', grade: 'above', heating: 'none' },
        under: { filmId: 'shipped-film' },
        lay: {
          setOut: { startWall: 0 },
          boxes: [{ batch: 'R 4417', boxes: 5, planksEach: 10, daysAgo: 4 }],
          check: { batch: 'R 4417', prints: 6 },
          rows: { laid: 5, shorterMm: 7 },
        },
        cardId: 'shipped-click-vinyl',
        units: 'metric',
        bumps: [{ xMm: 1500, yMm: 1100, heightMm: 0.8, widthMm: 900 }],
        fall: [0.6, -0.4],
        levelled: {
          low: { xMm: 2300, yMm: 1700, heightMm: -7, widthMm: 420 },
          product: 'Patching compound',
          batch: 'L 2207',
          bagsPlanned: 1,
          bagsUsed: 1,
        },
        tried: [
          { from: [450, 1625], to: [2450, 1625], atMm: 400, gapMm: 0.6 },
          { from: [740, 320], to: [2155, 1735], atMm: 1750, gapMm: 0.8 },
          { from: [1375, 125], to: [1375, 2125], atMm: 1500, gapMm: 0.5 },
        ],
        readShare: 1,
        setups: [{ name: 'A', fromShare: 0, benchMm: 1176.8, closingMm: -0.2 }],
      },
      {
        slug: 'hall',
        name: 'Hall',
        walls: rectangle(6096, 1524),
        openings: [
          { wall: 3, fromMm: 360, widthMm: 813, hinge: 'start', swing: 'in' },
          { kind: 'archway', wall: 0, fromMm: 2600, widthMm: 800, beyond: 'sheet', sharedId: 'demo-hall-kitchen' },
          {
            wall: 2,
            fromMm: 1200,
            widthMm: 800,
            hinge: 'end',
            swing: 'in',
            beyond: 'planks',
            sharedId: 'demo-hall-parlour',
          },
          {
            wall: 1,
            fromMm: 300,
            widthMm: 760,
            hinge: 'end',
            swing: 'out',
            beyond: 'tile',
            sharedId: 'demo-hall-wash',
          },
          { kind: 'stair', wall: 2, fromMm: 4600, widthMm: 950, beyond: 'stair', sharedId: 'demo-stair' },
        ],
        baseKind: 'panels-on-joists',
        base: { joistDeg: 90, joistSpacingMm: 400, heating: 'none' },
        cardId: 'shipped-laminate',
        units: 'imperial',
        bumps: [{ xMm: 2200, yMm: 700, heightMm: 3.5, widthMm: 500 }],
        fall: [0.7, 0.2],
        readShare: 0.5,
        setups: [{ name: 'A', fromShare: 0, benchMm: 1249.4, closingMm: null }],
      },
      KITCHEN,
      WASH_HOUSE,
      {
        slug: 'landing',
        name: 'Landing',
        walls: rectangle(4200, 2600),
        openings: [
          { wall: 0, fromMm: 500, widthMm: 800, hinge: 'start', swing: 'out', beyond: 'carpet' },
          { kind: 'stair', wall: 1, fromMm: 700, widthMm: 950, beyond: 'stair', sharedId: 'demo-stair' },
        ],
        levels: [
          { of: 'beyond', about: 'opening-1', alongMm: 0, levelMm: 9 },
          { of: 'beyond', about: 'opening-1', alongMm: 800, levelMm: 9.5 },
          { of: 'leaf', about: 'opening-1', alongMm: 0, levelMm: 12 },
          { of: 'leaf', about: 'opening-1', alongMm: 800, levelMm: 11.5 },
        ],
        leaves: [{ about: 'opening-1', kind: 'fire' }],
        flights: [
          {
            about: 'opening-2',
            leads: 'down',
            risersMm: [192, 190, 190, 191, 189, 190, 190, 192, 190, 189, 190, 191, 185],
            otherMm: 10,
          },
        ],
        baseKind: 'suspended-concrete',
        base: { slabMm: 140, beneath: 'heated-room', grade: 'above', heating: 'none' },
        cardId: 'shipped-click-vinyl',
        units: 'metric',
        bumps: [
          { xMm: 2950, yMm: 600, heightMm: 6, widthMm: 380 },
          { xMm: 3000, yMm: 1450, heightMm: 6, widthMm: 420 },
          { xMm: 900, yMm: 2050, heightMm: -4.5, widthMm: 520 },
        ],
        fall: [0.4, -0.3],
        scan: { noiseMm: 0.5, driftMm: 3, turnDeg: 31, chest: { xMm: 350, yMm: 450, sideMm: 500 } },
        readShare: 1,
        setups: [{ name: 'A', fromShare: 0, benchMm: 1298.2, closingMm: 0.1 }],
      },
    ],
  },
  {
    slug: 'fennimore-hall',
    name: 'Fennimore Hall',
    about: 'reading room',
    country: 'GB',
    currency: '£',
    rooms: [
      {
        slug: 'reading-room',
        name: 'Reading room',
        walls: rectangle(12000, 8000),
        openings: [{ wall: 0, fromMm: 5100, widthMm: 1800, hinge: 'start', swing: 'in' }],
        baseKind: 'cement-screed',
        base: { slabMm: 75, beneath: 'ground', grade: 'on', heating: 'water', heatingDepthMm: 32 },
        cardId: 'demo-wood-staves',
        lay: { setOut: { pattern: 'herringbone' } },
        under: { underlayId: 'shipped-composite', filmId: 'shipped-film' },
        // Over pipes that are to be heated soon nothing is poured that would have to dry: a grinder is hired.
        answers: [[WAY_CHOSEN, 'grind']],
        heated: [
          [25, 21.6],
          [25, 22.1],
          [25, 22.3],
          [40, 25.4],
          [40, 25.9],
          [40, 26.2],
          [40, 26.3],
        ],
        units: 'metric',
        bumps: [
          { xMm: 2600, yMm: 5800, heightMm: -8, widthMm: 1100 },
          { xMm: 9200, yMm: 2400, heightMm: 6, widthMm: 900 },
          { xMm: 6200, yMm: 6900, heightMm: 4, widthMm: 700 },
          { xMm: 10600, yMm: 6600, heightMm: -6, widthMm: 900 },
        ],
        fall: [0.3, -0.4],
        readShare: 1,
        setups: [
          { name: 'A', fromShare: 0, benchMm: 1412.6, closingMm: 0.3 },
          { name: 'B', fromShare: 0.52, benchMm: 1388.1, closingMm: -0.5 },
        ],
      },
      CLOAKROOM,
      STACK_ROOM,
      HALL_WASH_HOUSE,
    ],
  },
];
