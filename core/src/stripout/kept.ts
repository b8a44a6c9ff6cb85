import { answerTo } from '../fields/index.ts';
import { mayDo } from '../hazards/index.ts';
import { gap, reach, say, type Said, type Sayable } from '../said/index.ts';
import { openingName, perimeterMm, type Fixture } from '../room/index.ts';
import { roundTo } from '../units/index.ts';
import type { StripContext } from './facts.ts';
import { fixturesOut, type Ask } from './prepare.ts';
import { SCHOOL, SKIRTING_KIND } from './schools.ts';
import type { Step } from './steps.ts';

/** Work that a kept floor leaves to do before planks go down on it, and what is bought for it. */
interface KeptWork {
  steps: Omit<Step, 'doneAt'>[];
  materials: number;
}

/** A flange sits right with its top this much over the finished floor, mm. */
const FLANGE_OVER_MM = { least: 0, most: 6 } as const;
/** Jambs are cut this much clear of the plank, mm. */
const JAMB_CLEAR_MM = 1;
/** An appliance with its feet wound in slides under its worktop with this much to spare, mm. */
const BAY_CLEAR_MM = 3;

/** What has to happen to a toilet whose floor comes up by so much, mm. */
function flangeLines({ heightMm }: Fixture, addedMm: number): Said[] {
  if (heightMm === null) return [say('stripout.flangeNotMeasured', { added: gap(addedMm) })];
  const overMm = roundTo(heightMm - addedMm, 0.1);
  if (overMm < FLANGE_OVER_MM.least) return [say('stripout.flangeRing', { ring: gap(Math.ceil(-overMm)) })];
  if (overMm > FLANGE_OVER_MM.most)
    return [say('stripout.flangeTooHigh', { over: gap(overMm), most: gap(FLANGE_OVER_MM.most) })];
  return [say('stripout.flangeSitsRight', { over: gap(overMm) })];
}

/** What a bay is left with once the floor in it has come up by so much, mm. */
function bayLines({ heightMm }: Fixture, addedMm: number): Said[] {
  if (heightMm === null) return [say('stripout.bayNotMeasured', { added: gap(addedMm) })];
  return [
    say('stripout.bayLeft', {
      left: gap(roundTo(heightMm - addedMm, 0.1)),
      most: gap(roundTo(heightMm - addedMm - BAY_CLEAR_MM, 0.1)),
    }),
  ];
}

const asStep = (ask: Ask, part: Partial<Step> = {}): KeptWork['steps'][number] => ({
  cautions: [],
  stops: [],
  layerIds: [],
  group: 'kept',
  ...ask,
  ...part,
});

/**
 * What there is to do where nothing is taken up and a floor is laid on what lies there: toilets lifted and their flanges brought
 * up, bays held open, jambs undercut by all that is added, skirting lifted or a bead set before it. `addedMm` is what the new
 * floor adds over the one that stays.
 */
export function keptWork(ctx: StripContext, addedMm: number): KeptWork {
  const { room, figure } = ctx;
  const fixtures = new Map(room.fixtures.map((f) => [`lift/${f.id}`, f]));
  const lifted = fixturesOut(ctx).map((ask) => {
    const fixture = fixtures.get(ask.key);
    const more =
      fixture?.kind === 'toilet'
        ? flangeLines(fixture, addedMm)
        : fixture?.kind === 'appliance'
          ? bayLines(fixture, addedMm)
          : [];
    return asStep({ ...ask, lines: [...ask.lines, ...more] });
  });
  const jambs = room.openings.filter((o) => o.kind === 'door' || o.kind === 'archway');
  const sawn = mayDo(ctx.hazards, 'saw', { layers: [], trim: true });
  const undercut = jambs.map((opening) =>
    asStep(
      {
        key: `kept/jamb/${opening.id}`,
        words: say('stripout.undercutJambs', {
          opening: openingName(room, opening),
          height: gap(roundTo(addedMm + JAMB_CLEAR_MM, 0.5)),
        }),
        lines: [
          say('stripout.undercutFormula', { added: gap(addedMm), clear: gap(JAMB_CLEAR_MM) }),
          say('stripout.undercutOnAnOffcut'),
        ],
        hours: 2 * figure('jamb-h'),
      },
      { stops: sawn.stops, cautions: sawn.cautions },
    ),
  );
  const bead = beadStep(ctx);
  return {
    steps: [...lifted, ...undercut, ...(bead ? [bead.step] : [])],
    materials: bead?.cost ?? 0,
  };
}

/** Whether skirting comes off here: it is of wood, and this room's school lifts it. Tile skirting breaks when it is levered. */
export const skirtingOff = (ctx: StripContext): boolean =>
  (answerTo(ctx.facts.answers, SKIRTING_KIND) ?? 'wood') === 'wood' &&
  (answerTo(ctx.facts.answers, SCHOOL['school/skirting']) ?? 'off') === 'off';

/** A bead before skirting that stays; null where it comes off or there is none. */
function beadStep(ctx: StripContext): { step: KeptWork['steps'][number]; cost: number } | null {
  const kind = answerTo(ctx.facts.answers, SKIRTING_KIND) ?? 'wood';
  if (kind === 'none' || skirtingOff(ctx)) return null;
  const openMm = ctx.room.openings.reduce((sum, o) => sum + o.widthMm, 0);
  const lengthMm = Math.max(0, perimeterMm(ctx.plan.corners) - openMm);
  const words: Sayable = say('stripout.beadBefore', { length: reach(Math.round(lengthMm)) });
  const lines = [
    say('stripout.beadCovers', { gap: reach(ctx.card.perimeterGapMm) }),
    ...(kind === 'tile' ? [say('stripout.tileSkirtingStays')] : []),
  ];
  return {
    step: asStep({ key: 'kept/bead', words, lines, hours: (lengthMm / 1000) * ctx.figure('bead-h-m') }),
    cost: (lengthMm / 1000) * ctx.figure('bead-cost-m'),
  };
}
