import { decimals, gap, say } from '../said/index.ts';
import type { FigureOf } from '../figures/index.ts';
import type { Mark } from './facts.ts';
import { metres } from './quantities.ts';
import { DUST, ENGINEER, LOOK, type Usual } from './usual.ts';

/** A crack by its width, its step and whether it moves. */
export function crack(mark: Mark, lengthMm: number | null, figure: FigureOf): Usual {
  if (mark.sizeMm === null)
    return {
      does: LOOK,
      verdict: 'measure',
      words: say('soundness.measureHowWideItIs'),
      asks: say('soundness.widthOfTheCrackMm'),
    };
  const wide = mark.sizeMm > figure('crack-mm');
  if (mark.moving || (mark.stepMm ?? 0) > 2)
    return {
      does: LOOK,
      verdict: 'stop',
      words: say('soundness.itMovesOrOneSideStands'),
      decides: ENGINEER,
    };
  if (!wide && (mark.stepMm ?? 0) === 0)
    return {
      does: ['chisel', 'prime'],
      words: say('soundness.hairlineOpenSlightlyFill'),
      quantities: lengthMm === null ? [] : [metres(say('soundness.fill'), lengthMm)],
    };
  const stitches = lengthMm === null ? null : Math.floor(lengthMm / figure('stitch-mm')) + 1;
  return {
    does: ['chase', 'prime'],
    words: say('soundness.cutAcrossEverySoOftenLay'),
    cautions: [DUST, say('soundness.resinBurnsAndSensitisesGlovesGoggles')],
    quantities:
      lengthMm === null
        ? []
        : [
            metres(say('soundness.crack'), lengthMm),
            {
              words: say('soundness.resin'),
              value: (lengthMm / 1000) * figure('resin-l-m'),
              unit: 'l',
              formula: say('soundness.resinFormula', {
                lengthMm: decimals(lengthMm / 1000, 2),
                resinLM: figure('resin-l-m'),
              }),
            },
            {
              words: say('soundness.stitches'),
              value: stitches!,
              unit: '',
              formula: say('soundness.stitchesAlong', {
                lengthMm: gap(Math.round(lengthMm)),
                stitchMm: gap(figure('stitch-mm')),
              }),
            },
          ],
    asks: lengthMm === null ? say('soundness.itsLineOnTheSheet') : null,
  };
}
