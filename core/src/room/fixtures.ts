import { say, type Said, type Sayable } from '../said/index.ts';
import { figure, flag, oneOf, orNull, ownId, text, within, type Held } from '../fields/index.ts';
import { PLACE, type PointMm, type Polygon } from './geometry.ts';

export const FIXTURE_KINDS = [
  'register',
  'pipe',
  'toilet',
  'bath',
  'cabinet',
  'appliance',
  'radiator',
  'hearth',
  'column',
] as const;
export type FixtureKind = (typeof FIXTURE_KINDS)[number];

export const FIXTURE_MM = {
  size: { min: 5, max: 6000 },
  height: { min: -200, max: 3000 },
  toeKick: { min: 0, max: 300 },
} as const;

/** Something that stands on, or comes through, the floor. x and y are its middle on the sheet. */
export const FIXTURE = {
  id: ownId('fixtures'),
  kind: oneOf(...FIXTURE_KINDS),
  name: text(60),
  ...PLACE,
  /** Along its back, and from back to front; for round things both are the diameter. */
  widthMm: within(FIXTURE_MM.size, 'mm'),
  depthMm: within(FIXTURE_MM.size, 'mm'),
  /** 0: the back lies along +x and the front looks to +y; anticlockwise positive. */
  turnDeg: figure(-360, 360, 'deg'),
  round: flag(),
  /** Flange top over the floor, bay opening height or toe-kick height, as the kind says; null when not measured. */
  heightMm: orNull(within(FIXTURE_MM.height, 'mm')),
  /** How far the toe-kick stands back from the cabinet's front, mm; null for other kinds. */
  toeKickMm: orNull(within(FIXTURE_MM.toeKick, 'mm')),
} as const;
export type Fixture = Held<typeof FIXTURE>;

interface FixtureSpec {
  words: Said;
  /** `island`: no floor is laid there. `hole`: the covering is cut round it. `over`: stands over the floor. */
  standing: 'island' | 'hole' | 'over';
  round: boolean;
  widthMm: number;
  depthMm: number;
  /** What the one height is, or null where there is none. */
  height: { words: Said; mm: number } | null;
  toeKickMm: number | null;
}

/** Kinds with the sizes they start from: everyday sizes, to be measured on site. */
export const FIXTURES: Record<FixtureKind, FixtureSpec> = {
  register: {
    words: say('room.fixturesRegister'),
    standing: 'hole',
    round: false,
    widthMm: 300,
    depthMm: 100,
    height: null,
    toeKickMm: null,
  },
  pipe: {
    words: say('room.fixturesPipe'),
    standing: 'hole',
    round: true,
    widthMm: 22,
    depthMm: 22,
    height: null,
    toeKickMm: null,
  },
  toilet: {
    words: say('room.fixturesToilet'),
    standing: 'hole',
    round: true,
    widthMm: 110,
    depthMm: 110,
    height: { words: say('room.fixturesToiletHeight'), mm: 0 },
    toeKickMm: null,
  },
  bath: {
    words: say('room.fixturesBath'),
    standing: 'island',
    round: false,
    widthMm: 1700,
    depthMm: 700,
    height: null,
    toeKickMm: null,
  },
  cabinet: {
    words: say('room.fixturesCabinet'),
    standing: 'island',
    round: false,
    widthMm: 1200,
    depthMm: 600,
    height: { words: say('room.fixturesCabinetHeight'), mm: 150 },
    toeKickMm: 50,
  },
  appliance: {
    words: say('room.fixturesAppliance'),
    standing: 'over',
    round: false,
    widthMm: 600,
    depthMm: 600,
    height: { words: say('room.fixturesApplianceHeight'), mm: 870 },
    toeKickMm: null,
  },
  radiator: {
    words: say('room.fixturesRadiator'),
    standing: 'over',
    round: false,
    widthMm: 1000,
    depthMm: 100,
    height: { words: say('room.fixturesRadiatorHeight'), mm: 150 },
    toeKickMm: null,
  },
  hearth: {
    words: say('room.fixturesHearth'),
    standing: 'island',
    round: false,
    widthMm: 1200,
    depthMm: 500,
    height: null,
    toeKickMm: null,
  },
  column: {
    words: say('room.fixturesColumn'),
    standing: 'island',
    round: false,
    widthMm: 300,
    depthMm: 300,
    height: null,
    toeKickMm: null,
  },
};

/** Corners used for a round outline: the sixteen-sided figure has 0.6 % less area than its circle. */
const ROUND_CORNERS = 16;

/** What a fixture is called: its own name, else its kind. */
export function fixtureName(fixture: Pick<Fixture, 'name' | 'kind'>): Sayable {
  return fixture.name.trim() || FIXTURES[fixture.kind].words;
}

/** A point of the fixture's own frame (x along its back, y to its front, from its middle) on the plan. */
export function fixturePoint(fixture: Fixture, alongMm: number, frontMm: number): PointMm {
  const turn = (fixture.turnDeg * Math.PI) / 180;
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  return { xMm: fixture.xMm + alongMm * c - frontMm * s, yMm: fixture.yMm + alongMm * s + frontMm * c };
}

/** Rectangle in the fixture's own frame, as a polygon of the plan. */
export function fixtureRect(fixture: Fixture, x0: number, y0: number, x1: number, y1: number): Polygon {
  return [
    fixturePoint(fixture, x0, y0),
    fixturePoint(fixture, x1, y0),
    fixturePoint(fixture, x1, y1),
    fixturePoint(fixture, x0, y1),
  ];
}

/** Outline of a fixture on the plan, grown on all sides by `growMm`. */
export function fixtureOutline(fixture: Fixture, growMm = 0): Polygon {
  const [a, b] = [fixture.widthMm / 2 + growMm, fixture.depthMm / 2 + growMm];
  if (!fixture.round) return fixtureRect(fixture, -a, -b, a, b);
  return Array.from({ length: ROUND_CORNERS }, (_, i) => {
    const angle = (2 * Math.PI * (i + 0.5)) / ROUND_CORNERS;
    return fixturePoint(fixture, a * Math.cos(angle), b * Math.sin(angle));
  });
}

/** A fixture of a kind with its usual sizes. */
export function newFixture(id: string, kind: FixtureKind, at: PointMm, turnDeg: number): Fixture {
  const spec = FIXTURES[kind];
  return {
    id,
    kind,
    name: '',
    xMm: Math.round(at.xMm),
    yMm: Math.round(at.yMm),
    widthMm: spec.widthMm,
    depthMm: spec.depthMm,
    turnDeg,
    round: spec.round,
    heightMm: spec.height?.mm ?? null,
    toeKickMm: spec.toeKickMm,
  };
}
