import { ALL_FIGURES, isPrivateFigure, type AnyFigureName, type OwnFigure } from '../figures/index.ts';
import type { Block } from '../paper/index.ts';
import { area, celsius, celsiusApart, decimals, gap, mass, reach, say, volume, type Sayable } from '../said/index.ts';

/** Lengths whose range ends here are gaps and coats, written finely; longer ones are written as on a tape, mm. */
const FINE_MM = 100;
const PLACES_MOST = 4;

/** A figure as it was entered: no digit of it is rounded away. */
const asEntered = (value: number): Sayable =>
  say('said.asItIs', {
    what: decimals(value, Math.min(PLACES_MOST, String(value).split('.')[1]?.length ?? 0)),
  });

function valueSaid(value: number, unit: string, isFine: boolean): Sayable {
  switch (unit) {
    case 'mm':
      return say('said.asItIs', { what: isFine ? gap(value) : reach(value) });
    case 'm²':
      return say('said.asItIs', { what: area(value) });
    case 'kg':
      return say('said.asItIs', { what: mass(value) });
    case 'l':
      return say('said.asItIs', { what: volume(value) });
    case '°C':
      return say('said.asItIs', { what: celsius(value) });
    case 'K':
      return say('said.asItIs', { what: celsiusApart(value) });
    case '':
      return asEntered(value);
    default:
      return say('report.figureIn', { value: asEntered(value), unit });
  }
}

/** A figure a job has of its own, by its name and in the units of whoever reads. */
function ownRow(name: AnyFigureName, { value, source }: OwnFigure): Sayable[] {
  const { words, unit, max } = ALL_FIGURES[name];
  return [words, valueSaid(value, unit, max <= FINE_MM), source];
}

/**
 * Figures that the job was worked out with in place of the usual ones, the newest of each. What something costs the installer is
 * nobody else’s business, wherever the report is made.
 */
export function ownFigures(figures: readonly OwnFigure[]): Block[] {
  const shown = [...new Map(figures.map((one) => [one.name, one])).values()].filter(
    ({ name }) => !isPrivateFigure(name),
  );
  if (shown.length === 0) return [];
  return [
    { is: 'heading', text: say('report.ownFigures') },
    {
      is: 'table',
      columns: [
        { title: say('report.figure'), share: 5 },
        { title: say('report.value'), share: 2, isFigure: true },
        { title: say('report.source'), share: 5 },
      ],
      // What is not private is known.
      rows: shown.map((one) => ownRow(one.name as AnyFigureName, one)),
    },
  ];
}
