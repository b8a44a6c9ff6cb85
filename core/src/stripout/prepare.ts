import type { Caution } from '../hazards/index.ts';
import { fixtureName, openingName, type Fixture } from '../room/index.ts';
import { gapWords } from '../units/index.ts';
import type { StripContext } from './facts.ts';

/** Something to do before the floor is touched, with the reason it is asked. */
export interface Ask {
  key: string;
  words: string;
  lines: string[];
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
        ? `Close and tape the ${openingName(room, opening)}`
        : `Hang sheeting with a zip in the ${openingName(room, opening)}`,
    lines: opening.kind === 'door' ? ['Leave one door as the way out, with an overlap flap'] : [],
    hours: 0.1,
  }));
  for (const fixture of room.fixtures.filter((f) => f.kind === 'register'))
    asks.push({
      key: `dust/register/${fixture.id}`,
      words: `Cover the ${fixtureName(fixture).toLowerCase()} from inside and on top`,
      lines: ['Lift the grille, tape film in the duct, grille back, film over it'],
      hours: 0.1,
    });
  asks.push({ key: 'dust/sheet', words: 'Sheet what stays in the room', lines: [], hours: 0.2 });
  if (dusty)
    asks.push({
      key: 'dust/air',
      words: 'Extractor running, air blown out of a window',
      lines: ['Class M or H; vacuum between passes, never sweep or blow'],
      hours: 0.1,
    });
  return asks;
}

const LIFT: Partial<Record<Fixture['kind'], { words: string; lines: string[]; hours: number }>> = {
  toilet: {
    words: 'Lift the toilet',
    lines: [
      'Isolate the water, flush, empty cistern and bowl',
      'Lid off first, undo, lift with two',
      'Plug the pipe: sewer gas',
      'Scrape the seal, look for rot round the flange',
    ],
    hours: 0.75,
  },
  register: { words: 'Take the register cover off', lines: ['Keep its screws with it'], hours: 0.05 },
  appliance: {
    words: 'Move the appliance out onto boards',
    lines: ['Gas, water and electricity isolated by the trade', 'Feet down, boards under it, never dragged'],
    hours: 0.4,
  },
  radiator: {
    words: 'Leave the radiator, or have it hung off',
    lines: ['Valves shut and drained by the heating trade if it must come off'],
    hours: 0.1,
  },
  bath: { words: 'Take the bath panel off', lines: ['The layer stops at its edge; the edge flexes'], hours: 0.2 },
};

const SEWAGE: Caution = {
  id: 'sewage',
  words: 'Sewage at the flange: gloves, eye cover, wash before eating; after a flood a specialist cleans first.',
  decides: 'local code',
};

/** Fixtures to lift or shift, each with its steps, and the bars at openings. */
export function fixturesOut(ctx: StripContext): Ask[] {
  const asks = ctx.room.fixtures.flatMap((fixture): Ask[] => {
    const lift = LIFT[fixture.kind];
    return lift
      ? [
          {
            key: `lift/${fixture.id}`,
            words: fixture.name ? `${lift.words}: ${fixture.name}` : lift.words,
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
      words: `Take up the bar at the ${openingName(ctx.room, opening)}`,
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
): { key: string; words: string }[] {
  const same: Record<string, string> = { carpet: 'soft', sheet: 'resilient', tile: 'tile', planks: 'floating' };
  return ctx.room.openings
    .filter((o) => same[o.beyond] !== undefined && removedFamilies.includes(same[o.beyond]!))
    .map((o) => ({
      key: `left/${o.id}`,
      words: `At the ${openingName(ctx.room, o)} the ${o.beyond === 'sheet' ? 'sheet' : o.beyond} stays beyond: cut ${gapWords(TUCK_MM, ctx.room.units)} long on the far side, tuck later`,
    }));
}
