import { gap, listed, say, type Said } from '../said/index.ts';
import { ruleWords, type CoveringCard } from '../coverings/index.ts';
import {
  achievedOf,
  alongEdge,
  edgeLengthMm,
  joistEvidence,
  joistsOf,
  worstUnder,
  FAILURE_SHARE_MOST,
  SCAN_ALONE_SHARE,
  type EdgeWalk,
  type FailureChance,
  type FlatFacts,
  type FlatState,
  type LevellingWork,
} from '../flat/index.ts';
import { ANCHORS_LEAST } from '../scan/index.ts';
import { type Plan, type RoomFacts } from '../room/index.ts';
import { formatGap, unitLabel } from '../units/index.ts';
import { lipsOf, NO_SOUND_FACTS, type SoundFacts } from '../soundness/index.ts';
import { placeWords } from './place.ts';
import { LIPS_CHECK } from './ticks.ts';
import type { OwnCriterion, Verdict } from './words.ts';

/** Share of the floor that must lie within reach of a reading before the map can say `lay`. */
const FULL_COVER_SHARE = 0.99;

function mapped(room: RoomFacts, plan: Plan, state: FlatState, chance: FailureChance | null): OwnCriterion {
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
  } else {
    margin = say('verdict.insideRule', { inside: gap(-overMm), rule: ruleWords(rule) });
    verdict = 'lay';
    next = say('verdict.sureComing');
  }
  // A scan drifts over metres: until staffs hold it, what it shows between far places is no evidence either way.
  if (scan && (verdict !== 'work' || scan.unanchored)) {
    verdict = 'measure';
    next = scan.next;
  } else if (short && verdict !== 'work') {
    verdict = 'measure';
    next = say('verdict.readRest', { share: Math.round(state.evidence.coveredShare * 100) });
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
  } else if (verdict === 'lay' && chance && chance.worstShare > FAILURE_SHARE_MOST) {
    verdict = 'measure';
    next = say('verdict.readUnsurePlace', {
      place: placeWords(room, plan, chance.worstAt!),
      times: timesWords(chance),
    });
  } else if (verdict === 'lay' && chance)
    next =
      chance.worstShare === 0
        ? say('verdict.noFloorOver', { draws: chance.draws })
        : say('verdict.fewFloorsOver', {
            times: timesWords(chance),
            share: FAILURE_SHARE_MOST * 100,
          });
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

/** `in 3 of 20 floors`. */
const timesWords = ({ worstShare, draws }: FailureChance) =>
  say('verdict.inFloors', { over: Math.round(worstShare * draws), draws });

/** Criteria of flatness for a room, worst first. With nothing read the answer is `measure`. */
export function flatCriteria(
  room: RoomFacts,
  plan: Plan,
  card: CoveringCard,
  state: FlatState | null,
  sound: SoundFacts = NO_SOUND_FACTS,
  chance: FailureChance | null = null,
  { works = [] }: Pick<FlatFacts, 'works'> = {},
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
  } else if (state.rules.length > 0) criteria.push(mapped(room, plan, state, chance));
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

/** A placement counts for a rule when its edge is the rule's own to within this share. */
const OWN_LENGTH_SHARE = 0.03;
const ownLength = (walk: EdgeWalk, edgeMm: number) => Math.abs(edgeLengthMm(walk) / edgeMm - 1) <= OWN_LENGTH_SHARE;

/** Places walked with a short edge, over the worst-looking ones, that stand for a floor. */
const SHORT_WALKS_ENOUGH = 5;

/**
 * A gap read under an edge of the rule's own length judges that place by itself: no map overrules it. Null where no placement of
 * that length is over its rule.
 */
function edgeCriterion(room: RoomFacts, plan: Plan, card: CoveringCard, state: FlatState | null): OwnCriterion | null {
  const { units } = room;
  const found = (state?.walks ?? []).flatMap((walk) =>
    card.rules
      .filter((rule) => ownLength(walk, rule.edgeMm))
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

/**
 * Lips are felt along joints and entered as marks: stations cannot see them. Judged against the step the card names; a lip on
 * record under a card that names none is told and left to the work on damage. Null where there is nothing to say.
 */
function lipCriterion(
  room: RoomFacts,
  plan: Plan,
  card: CoveringCard,
  sound: SoundFacts,
  /** Placements that count: none from before the floor was levelled. */
  walks: readonly EdgeWalk[],
): OwnCriterion | null {
  const shortRules = card.rules.filter((rule) => rule.edgeMm < 500);
  if (card.stepMm === null && shortRules.length === 0) return null;
  const { units } = room;
  const allowed = card.stepMm ?? Math.min(...card.rules.map((rule) => rule.gapMm));
  const mm = (value: number) => `${formatGap(value, units)} ${unitLabel(units)}`;
  // Lips are felt while the floor is gone over for damage.
  const base = { id: 'lips', title: say('verdict.lipsTitle'), also: ['sound'] };
  const [worst] = lipsOf(sound.marks);
  if (!worst && sound.checks.some((check) => check.key === LIPS_CHECK && !check.found))
    return {
      ...base,
      verdict: 'lay',
      margin: say('verdict.noLip', { allowed: mm(allowed) }),
      next: say('verdict.feelAgain'),
    };
  // A short rule may be walked with an edge of its own length instead: places over it are told by themselves.
  const walked = walks.filter((walk) => shortRules.some((rule) => ownLength(walk, rule.edgeMm)));
  const keeps = walked.every((walk) => worstUnder(walk).gapMm <= allowed);
  if (!worst && card.stepMm === null && keeps && walked.length >= SHORT_WALKS_ENOUGH)
    return {
      ...base,
      verdict: 'lay',
      margin: say('verdict.shortEdgeWalked', {
        count: walked.length,
        most: mm(Math.max(...walked.map((walk) => worstUnder(walk).gapMm))),
      }),
      next: say('verdict.walkAgain'),
    };
  if (!worst)
    return {
      ...base,
      verdict: 'measure',
      margin: say('verdict.lipsUnknown', { allowed: mm(allowed) }),
      next: say('verdict.feelJoints'),
    };
  const over = worst.stepMm! - allowed;
  return {
    ...base,
    at: [worst.xMm, worst.yMm],
    verdict: over > 0 ? 'work' : 'lay',
    margin: say('verdict.lip', {
      apart: mm(Math.abs(over)),
      side: over > 0 ? say('verdict.wordOver') : say('verdict.wordInside'),
      step: mm(worst.stepMm!),
      place: placeWords(room, plan, [worst.xMm, worst.yMm]),
    }),
    next: over > 0 ? say('verdict.mendLip') : say('verdict.lipAllowed'),
  };
}
