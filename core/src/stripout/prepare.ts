import { allOf, gap, lower, say, type Said, type Sayable } from '../said/index.ts';
import type { Caution } from '../hazards/index.ts';
import { fixtureName, openingName, type Fixture } from '../room/index.ts';
import type { StripContext } from './facts.ts';

/** Something to do before the floor is touched, with the reason it is asked. */
export interface Ask {
  key: string;
  words: Sayable;
  lines: Said[];
  hours: number;
  cautions?: Caution[];
}

/** Dust plan as a checklist: it knows the room's doors and registers. `dusty` is whether mineral or wood dust is to come. */
export function dustPlan(ctx: StripContext, dusty: boolean): Ask[] {
  const { room } = ctx;
  const asks: Ask[] = room.openings.map((opening) => ({
    key: `dust/opening/${opening.id}`,
    words:
      opening.kind === 'door' || opening.kind === 'sliding'
        ? say('stripout.closeAndTapeThe', { openingName: openingName(room, opening) })
        : say('stripout.hangSheetingWithAZipIn', { openingName: openingName(room, opening) }),
    lines: opening.kind === 'door' ? [say('stripout.leaveOneDoorAsTheWay')] : [],
    hours: 0.1,
  }));
  for (const fixture of room.fixtures.filter((f) => f.kind === 'register'))
    asks.push({
      key: `dust/register/${fixture.id}`,
      words: say('stripout.coverTheFromInsideAndOn', { fixtureName: lower(fixtureName(fixture)) }),
      lines: [say('stripout.liftTheGrilleTapeFilmIn')],
      hours: 0.1,
    });
  asks.push({ key: 'dust/sheet', words: say('stripout.sheetWhatStaysInTheRoom'), lines: [], hours: 0.2 });
  if (dusty)
    asks.push({
      key: 'dust/air',
      words: say('stripout.extractorRunningAirBlownOutOf'),
      lines: [say('stripout.classMOrHVacuumBetween')],
      hours: 0.1,
    });
  return asks;
}

const LIFT: Partial<Record<Fixture['kind'], { words: Said; lines: Said[]; hours: number }>> = {
  toilet: {
    words: say('stripout.liftToilet'),
    lines: [
      say('stripout.liftToiletLines1'),
      say('stripout.liftToiletLines2'),
      say('stripout.liftToiletLines3'),
      say('stripout.liftToiletLines4'),
    ],
    hours: 0.75,
  },
  register: { words: say('stripout.liftRegister'), lines: [say('stripout.liftRegisterLines1')], hours: 0.05 },
  appliance: {
    words: say('stripout.liftAppliance'),
    lines: [say('stripout.liftApplianceLines1'), say('stripout.liftApplianceLines2')],
    hours: 0.4,
  },
  radiator: {
    words: say('stripout.liftRadiator'),
    lines: [say('stripout.liftRadiatorLines1')],
    hours: 0.1,
  },
  bath: { words: say('stripout.liftBath'), lines: [say('stripout.liftBathLines1')], hours: 0.2 },
};

const SEWAGE: Caution = {
  id: 'sewage',
  words: say('stripout.sewage'),
  decides: say('stripout.sewageDecides'),
};

/** Fixtures to lift or shift, each with its steps, and the bars at openings. */
export function fixturesOut(ctx: StripContext): Ask[] {
  const asks = ctx.room.fixtures.flatMap((fixture): Ask[] => {
    const lift = LIFT[fixture.kind];
    return lift
      ? [
          {
            key: `lift/${fixture.id}`,
            words: fixture.name ? allOf([lift.words, fixture.name], ': ') : lift.words,
            lines: lift.lines,
            hours: lift.hours,
            ...(fixture.kind === 'toilet' ? { cautions: [SEWAGE] } : {}),
          },
        ]
      : [];
  });
  for (const opening of ctx.room.openings)
    asks.push({
      key: `lift/bar/${opening.id}`,
      words: say('stripout.takeUpTheBarAtThe', { openingName: openingName(ctx.room, opening) }),
      lines: [],
      hours: 0.1,
    });
  return asks;
}

/** How much longer the old covering is left at an opening beyond which it stays, mm. */
const TUCK_MM = 25;

/** What to leave at openings where the old covering goes on beyond. */
export function leftAtOpenings(
  ctx: StripContext,
  removedFamilies: readonly string[],
): { key: string; words: Sayable }[] {
  const same: Record<string, string> = { carpet: 'soft', sheet: 'resilient', tile: 'tile', planks: 'floating' };
  return ctx.room.openings
    .filter((o) => same[o.beyond] !== undefined && removedFamilies.includes(same[o.beyond]!))
    .map((o) => ({
      key: `left/${o.id}`,
      words: say('stripout.staysBeyond', {
        opening: openingName(ctx.room, o),
        what: o.beyond === 'sheet' ? say('stripout.sheet') : o.beyond,
        over: gap(TUCK_MM),
      }),
    }));
}
