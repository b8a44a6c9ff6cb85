import { gap, listed, reach, say, type Said } from '../said/index.ts';
import { ruleWords, type CoveringCard } from '../coverings/index.ts';
import {
  achievedOf,
  alongEdge,
  edgeLengthMm,
  isOwnLength,
  joistEvidence,
  joistsOf,
  worstUnder,
  FAILURE_SHARE_MOST,
  SETTLED_BY,
  stationsMissing,
  triedOn,
  SCAN_ALONE_SHARE,
  type Breaker,
  type FailureChance,
  type FlatFacts,
  type FlatState,
  type LevellingWork,
} from '../flat/index.ts';
import { ANCHORS_LEAST } from '../scan/index.ts';
import { type Plan, type RoomFacts } from '../room/index.ts';
import { formatGap, unitLabel } from '../units/index.ts';
import { NO_SOUND_FACTS, type SoundFacts } from '../soundness/index.ts';
import { lipCriterion } from './lips.ts';
import { placeWords } from './place.ts';
import type { OwnCriterion, Verdict } from './words.ts';

/** Share of the floor that must lie within reach of a reading before the map can say `lay`. */
export const FULL_COVER_SHARE = 0.99;

/** With this share of the drawn floors over the rule the floor is over it; up to the other it is taken to keep it and is tried. */
const SURELY_OVER = 0.9;
const OPEN_SHARE = 0.5;

/** Where the middle of an edge lies, in words. */
const edgePlace = (room: RoomFacts, plan: Plan, { fromXMm, fromYMm, toXMm, toYMm }: Breaker) =>
  placeWords(room, plan, [(fromXMm + toXMm) / 2, (fromYMm + toYMm) / 2]);

/** How many stations are still wanted, and where the first is. */
function readRest(room: RoomFacts, plan: Plan, state: FlatState): Said {
  const missing = stationsMissing(plan, state);
  const [first] = missing;
  const share = Math.round(state.evidence.coveredShare * 100);
  return first
    ? say('verdict.readMore', { share, count: missing.length, place: placeWords(room, plan, [first.xMm, first.yMm]) })
    : say('verdict.readRest', { share });
}

function mapped(
  room: RoomFacts,
  plan: Plan,
  state: FlatState,
  chance: FailureChance | null,
  readings: FlatFacts['readings'],
): OwnCriterion {
  const units = room.units;
  const deciding = state.rules[0]!;
  const { worst, rule, overMm } = deciding;
  const suspects = state.heights.setups.filter((s) => s.suspect && s.readings > 0);
  // Without a benchmark read before and after nobody knows whether the instrument stood still.
  const unclosed = state.heights.setups.find(
    ({ readings, setup }) => readings > 0 && (setup.openRodMm === null || setup.closeRodMm === null),
  );
  const scan = scanShortfall(state, rule.gapMm, units);
  const short = state.evidence.coveredShare < FULL_COVER_SHARE;
  const tried = triedOn(state, readings, rule);
  const settled =
    tried.laid >= tried.wanted &&
    tried.worstMm <= rule.gapMm &&
    (tried.laid >= SETTLED_BY || !chance || (chance.worstShare <= FAILURE_SHARE_MOST && chance.anyShare <= OPEN_SHARE));
  let verdict: Verdict;
  let margin: Said;
  let next: Said;
  if (worst && overMm > 0) {
    verdict = 'work';
    const how = worst.kind === 'crown' ? say('verdict.edgeRocks') : say('verdict.gapIs');
    margin = say('verdict.overRule', {
      over: gap(overMm),
      how,
      found: gap(worst.valueMm),
      place: placeWords(room, plan, worst.at),
      rule: ruleWords(rule),
    });
    next = worst.kind === 'crown' ? say('verdict.planLevellingOfHigh') : say('verdict.planLevelling');
    // Readings that as good as leave it open send nobody for compound: the likeliest placement settles it.
    if (chance && chance.anyShare < SURELY_OVER && chance.breakers[0]) {
      verdict = 'measure';
      next = say('verdict.openEitherWay', {
        kept: Math.round((1 - chance.anyShare) * chance.draws),
        draws: chance.draws,
        edge: reach(rule.edgeMm),
        place: edgePlace(room, plan, chance.breakers[0]),
      });
    }
  } else {
    margin = say('verdict.insideRule', { inside: gap(-overMm), rule: ruleWords(rule) });
    verdict = 'lay';
    next = chance
      ? say('verdict.heldEdges', { count: tried.laid, worst: gap(tried.worstMm) })
      : say('verdict.sureComing');
  }
  // A scan drifts over metres: until staffs hold it, what it shows between far places is no evidence either way.
  if (scan && (verdict !== 'work' || scan.unanchored)) {
    verdict = 'measure';
    next = scan.next;
  } else if (short && verdict !== 'work') {
    verdict = 'measure';
    next = readRest(room, plan, state);
  } else if (suspects.length > 0 && verdict !== 'work') {
    verdict = 'measure';
    next = say('verdict.setUpDoesNotClose', {
      suspects: listed(
        suspects.map((s) => s.setup.name),
        ', ',
      ),
    });
  } else if (unclosed && verdict !== 'work') {
    verdict = 'measure';
    next =
      unclosed.setup.openRodMm === null
        ? say('verdict.readBenchmark', { setUp: unclosed.setup.name })
        : say('verdict.closeSetUp');
  } else if (verdict === 'lay' && !settled) {
    verdict = 'measure';
    const [first] = chance?.breakers ?? [];
    next = first
      ? say('verdict.tryToBreak', {
          edge: reach(rule.edgeMm),
          place: edgePlace(room, plan, first),
          left: Math.max(1, tried.wanted - tried.laid),
        })
      : say('verdict.breakersComing', { left: Math.max(1, tried.wanted - tried.laid), edge: reach(rule.edgeMm) });
  }
  return { id: 'flat', title: say('verdict.flatTitle'), verdict, margin, next, at: worst?.at ?? null };
}

/** What a scan lacks to be evidence, or null: staffs that hold it, or quiet enough to judge the rule by. */
function scanShortfall(
  state: FlatState,
  gapMm: number,
  units: RoomFacts['units'],
): { unanchored: boolean; next: Said } | null {
  const states = state.scanned?.states ?? [];
  const loose = states.find(({ anchor }) => !anchor.holds);
  if (loose) {
    const { rods } = loose.anchor;
    return {
      unanchored: true,
      next:
        rods >= ANCHORS_LEAST
          ? say('verdict.scanLean')
          : say('verdict.scanLoose', {
              more: ANCHORS_LEAST - rods,
            }),
    };
  }
  const loud = states.find(({ noiseFloorMm }) => noiseFloorMm > gapMm);
  if (!loud) return null;
  return {
    unanchored: false,
    next: say('verdict.scanLoud', { noise: gap(loud.noiseFloorMm) }),
  };
}

/** Criteria of flatness for a room, worst first. With nothing read the answer is `measure`. */
export function flatCriteria(
  room: RoomFacts,
  plan: Plan,
  card: CoveringCard,
  state: FlatState | null,
  sound: SoundFacts = NO_SOUND_FACTS,
  chance: FailureChance | null = null,
  { works = [], readings = [] }: Partial<Pick<FlatFacts, 'works' | 'readings'>> = {},
): OwnCriterion[] {
  const criteria: OwnCriterion[] = [];
  if (!state) {
    criteria.push({
      id: 'flat',
      title: say('verdict.flatTitle'),
      verdict: 'measure',
      margin: say('verdict.flatUnread'),
      next: say('verdict.setUpLaser'),
    });
  } else if (state.rules.length > 0) criteria.push(mapped(room, plan, state, chance, readings));
  const edge = edgeCriterion(room, plan, card, state);
  if (edge) criteria.push(edge);
  const levelled = levelledCriterion(works, state);
  if (levelled) criteria.push(levelled);
  const joists = joistCriterion(room, plan, state);
  if (joists) criteria.push(joists);
  const lips = lipCriterion(room, plan, card, sound, state?.walks ?? []);
  if (lips) criteria.push(lips);
  return criteria;
}

/**
 * A gap read under an edge of the rule's own length judges that place by itself: no map overrules it. Null where no placement of
 * that length is over its rule.
 */
function edgeCriterion(room: RoomFacts, plan: Plan, card: CoveringCard, state: FlatState | null): OwnCriterion | null {
  const { units } = room;
  const found = (state?.walks ?? []).flatMap((walk) =>
    card.rules
      // One asked for is as long as fits there, and never longer than the rule's.
      .filter((rule) => isOwnLength(walk, rule.edgeMm) || (walk.asked && edgeLengthMm(walk) < rule.edgeMm))
      .map((rule) => ({ walk, rule, worst: worstUnder(walk) }))
      .filter(({ worst }) => !(worst.rocks && room.contactsOnly)),
  );
  const [most] = found
    .filter(({ rule, worst }) => worst.gapMm > rule.gapMm)
    .sort((a, b) => b.worst.gapMm - b.rule.gapMm - (a.worst.gapMm - a.rule.gapMm));
  if (!most) return null;
  const { walk, rule, worst } = most;
  const { xMm, yMm } = alongEdge(walk, worst.atMm);
  const mm = (value: number) => `${formatGap(value, units)} ${unitLabel(units)}`;
  const laid = walk.tool === 'plank' ? say('verdict.sparePlank') : say('verdict.edge');
  return {
    id: 'flat-edge',
    at: [xMm, yMm],
    title: say('verdict.edgeTitle'),
    verdict: 'work',
    margin: say('verdict.edgeOverRule', {
      over: mm(worst.gapMm - rule.gapMm),
      how: worst.rocks ? say('verdict.rocksBy', { laid }) : say('verdict.underIt', { laid }),
      found: mm(worst.gapMm),
      place: placeWords(room, plan, [xMm, yMm]),
      rule: ruleWords(rule),
    }),
    next: walk.tool === 'plank' ? say('verdict.plankOver') : say('verdict.edgeOver'),
  };
}

/** Boards and panels crown over joists: readings have to stand on them and between. Null where joists are unknown or enough is read. */
function joistCriterion(room: RoomFacts, plan: Plan, state: FlatState | null): OwnCriterion | null {
  const joists = joistsOf(room);
  // A scan of the whole floor sees both by itself.
  if (!joists || !state || (state.scanned?.seenShare ?? 0) >= SCAN_ALONE_SHARE) return null;
  const { on, between, across, enough } = joistEvidence(joists, plan, state.heights.heights, state.walks);
  if (enough) return null;
  return {
    id: 'flat-joists',
    title: say('verdict.joistsTitle'),
    verdict: 'measure',
    margin: say('verdict.joistsUnread', { on, between, across }),
    next: say('verdict.readAcrossJoists'),
  };
}

/** Levelling that was done ends with the same readings again. Null where every station it moved has been read since. */
function levelledCriterion(works: readonly LevellingWork[], state: FlatState | null): OwnCriterion | null {
  const open = achievedOf(works, state?.heights.heights ?? []).filter(({ waiting }) => waiting.length > 0);
  if (open.length === 0) return null;
  const waiting = open.reduce((sum, a) => sum + a.waiting.length, 0);
  const read = open.reduce((sum, a) => sum + a.reread.length, 0);
  return {
    id: 'flat-levelled',
    title: say('verdict.levelledTitle'),
    verdict: 'measure',
    margin: say('verdict.levelledRead', { read, moved: read + waiting }),
    next: say('verdict.readMoved'),
  };
}
