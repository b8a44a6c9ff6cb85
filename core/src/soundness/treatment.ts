import { decimals, reach, say, type Said } from '../said/index.ts';
import type { FigureOf } from '../figures/index.ts';
import { isTimber, type RoomFacts } from '../room/index.ts';
import { extentAlongMm, markAreaM2, markLengthMm } from './extent.ts';
import type { Mark } from './facts.ts';

/** A quantity to buy or do, with how it came about. */
export interface Quantity {
  words: Said;
  value: number;
  unit: string;
  formula: Said;
}

/** What is done about a mark. `stop`: it is not the installer's to decide. */
interface Treatment {
  verdict: 'stop' | 'work' | 'measure' | 'lay';
  words: Said;
  quantities: Quantity[];
  cautions: Said[];
  /** Who decides, where it is not the installer. */
  decides: Said | null;
  /** What has to be measured before it can be said. */
  asks: Said | null;
}

const ENGINEER = say('soundness.engineer');
const DEFAULT_JOISTS_MM = 400;
const DUST = say('soundness.dust');

type Plain = Partial<Treatment> & Pick<Treatment, 'words'>;

/** Treatment of a mark with its quantities. Facts only are used: what is missing is asked for, never assumed in silence. */
export function treatmentOf(mark: Mark, room: RoomFacts, figure: FigureOf): Treatment {
  return { verdict: 'work', quantities: [], cautions: [], decides: null, asks: null, ...byKind(mark, room, figure) };
}

function byKind(mark: Mark, room: RoomFacts, figure: FigureOf): Plain {
  const area = markAreaM2(mark);
  const lengthMm = markLengthMm(mark);
  const timber = isTimber(room.baseKind);
  if (mark.moveMm !== null && mark.moveMm > figure('bounce-mm') && mark.kind !== 'squeak')
    return {
      verdict: 'stop',
      words: say('soundness.moves-under-a-person-over-joists', {
        moveMm: reach(mark.moveMm),
        bounceMm: reach(figure('bounce-mm')),
      }),
      decides: ENGINEER,
    };
  switch (mark.kind) {
    case 'squeak':
      return squeak(mark, room, figure);
    case 'rot':
      return rot(mark, room);
    case 'soft':
      return mark.severity === 'severe'
        ? { verdict: 'stop', words: say('soundness.soft-underfoot-the-structure-is-looked'), decides: ENGINEER }
        : {
            words: say('soundness.find-why-it-gives-span-notches'),
            asks: mark.moveMm === null ? say('soundness.movement-under-a-person-mm') : null,
          };
    case 'proud-fixing':
      return { words: say('soundness.sink-it-or-pull-it-and', { what: reach(2) }) };
    case 'staples':
      return {
        words: say('soundness.pull-by-rocking-with-pliers-sink'),
        quantities: area === null ? [] : [hours(area, figure('staples-h-m2'), say('soundness.pulling'))],
        cautions: [say('soundness.knees-pads-and-a-magnet-over')],
        asks: area === null ? say('soundness.area') : null,
      };
    case 'board-ridge':
    case 'lippage':
      return lip(mark, timber, lengthMm);
    case 'hole':
      return hole(mark, timber, area, figure);
    case 'crack':
      return crack(mark, lengthMm, figure);
    case 'joint':
      return {
        verdict: mark.moving ? 'work' : 'measure',
        words: mark.moving
          ? say('soundness.expansion-or-isolation-joint-it-goes')
          : say('soundness.dormant-contraction-joint-filled-once-damp'),
        quantities: lengthMm === null ? [] : [metres(say('soundness.profile-over-the-joint'), lengthMm)],
      };
    case 'hollow':
      return {
        words: timber
          ? say('soundness.panel-hollow-over-its-bed-screw')
          : say('soundness.remove-what-is-loose-back-to'),
        quantities: area === null ? [] : mortar(area, mark.depthMm, figure),
        cautions: timber ? [] : [DUST],
        asks:
          area === null
            ? say('soundness.outline-of-the-hollow')
            : mark.depthMm === null
              ? say('soundness.depth')
              : null,
      };
    case 'weak-surface':
      return {
        words: say('soundness.grind-back-to-sound-material-vacuum'),
        quantities: area === null ? [] : [square(say('soundness.grind-and-prime'), area)],
        cautions: [DUST],
        asks: area === null ? say('soundness.area') : null,
      };
    case 'residue':
      return {
        words: say('soundness.name-the-residue-first-old-black'),
        decides: say('soundness.licensed-contractor-and-laboratory-where-it'),
        quantities: area === null ? [] : [square(say('soundness.residue'), area)],
      };
    case 'contamination':
      return {
        words: say('soundness.mechanical-cleaning-to-a-clean-open'),
        quantities: area === null ? [] : [square(say('soundness.clean'), area)],
        cautions: timber ? [] : [DUST],
      };
    case 'stain':
      return {
        verdict: mark.severity === 'severe' ? 'stop' : 'work',
        words: say('soundness.find-the-cause-before-anything-covers'),
        decides: mark.severity === 'severe' ? say('soundness.specialist-cleaner-for-mould') : null,
        quantities: area === null ? [] : [square(say('soundness.stain'), area)],
      };
    case 'efflorescence':
      return {
        verdict: 'stop',
        words: say('soundness.salts-mean-water-is-moving-through'),
        decides: say('soundness.damp-surveyor'),
      };
    case 'damp':
      return {
        verdict: 'stop',
        words: say('soundness.wet-find-the-source-and-stop'),
        decides: say('soundness.plumber-drainage-or-damp-surveyor'),
      };
    case 'mortar-residue':
      return {
        words: say('soundness.chisel-or-grind-flush'),
        quantities: area === null ? [] : [square(say('soundness.grind-flush'), area)],
        cautions: [DUST],
      };
    case 'wide-grout':
      return {
        words: say('soundness.fill-the-grout-lines-flush-or'),
        quantities: area === null ? [] : [square(say('soundness.skim'), area)],
      };
    case 'insect':
      return {
        verdict: mark.severity === 'slight' ? 'work' : 'stop',
        words: say('soundness.fresh-dust-or-soft-wood-treatment'),
        decides: say('soundness.timber-treatment-specialist-structural-engineer-where'),
      };
    case 'no-grind':
      return { verdict: 'lay', words: say('soundness.the-levelling-plan-grinds-nothing-here') };
    case 'no-fill':
      return { verdict: 'lay', words: say('soundness.the-levelling-plan-pours-and-fills') };
    default:
      return { verdict: 'measure', words: say('soundness.say-what-it-is-so-that') };
  }
}

function squeak(mark: Mark, room: RoomFacts, figure: FigureOf): Plain {
  const spacing = room.base.joistSpacingMm ?? DEFAULT_JOISTS_MM;
  const deg = room.base.joistDeg ?? 0;
  const across = extentAlongMm(mark, deg + 90);
  const along = extentAlongMm(mark, deg);
  const pitch = figure('screw-mm');
  const words = say('soundness.words', { pitch: reach(pitch) });
  const cautions = [say('soundness.cautions.1')];
  if (across === null || along === null) return { words, cautions, asks: say('soundness.outline-of-the-loose-part') };
  const joists = Math.floor(across / spacing) + 1;
  const screws = joists * (Math.floor(along / pitch) + 1);
  return {
    words,
    cautions,
    quantities: [
      {
        words: say('soundness.screws'),
        value: screws,
        unit: '',
        formula: say('soundness.joists-across-every-every', {
          joists,
          across: reach(across),
          spacing: reach(spacing),
          what: room.base.joistSpacingMm === null ? say('soundness.assumed') : '',
          screws: screws / joists,
          along: reach(along),
          pitch: reach(pitch),
        }),
      },
    ],
  };
}

/** A rotten patch is cut back to joist centres both ways, and its free edges are blocked. */
function rot(mark: Mark, room: RoomFacts): Plain {
  const words = say('soundness.words-2');
  const decides = mark.severity === 'severe' ? ENGINEER : null;
  const verdict = mark.severity === 'severe' ? 'stop' : 'work';
  const deg = room.base.joistDeg ?? 0;
  const spacing = room.base.joistSpacingMm ?? DEFAULT_JOISTS_MM;
  const [along, across] = [extentAlongMm(mark, deg), extentAlongMm(mark, deg + 90)];
  if (along === null || across === null) return { verdict, words, decides, asks: say('soundness.outline-of-the-rot') };
  // Out to the joist beyond on each side: the cut falls on joist centres.
  const bays = Math.ceil(across / spacing) + 1;
  const cutM2 = (bays * spacing * (along + 2 * REACH_MM)) / 1e6;
  return {
    verdict,
    words,
    decides,
    cautions: [say('soundness.rot-in-a-joist-stop-structural')],
    quantities: [
      {
        words: say('soundness.board-or-panel'),
        value: cutM2,
        unit: 'm²',
        formula: say('soundness.bays-2-into-sound-wood', {
          bays,
          spacing: reach(spacing),
          along: reach(along),
          REACHMM: reach(REACH_MM),
        }),
      },
      {
        words: say('soundness.blocks'),
        value: bays * 2,
        unit: '',
        formula: say('soundness.bays-2-free-edges', { bays }),
      },
    ],
  };
}
const REACH_MM = 150;

function lip(mark: Mark, timber: boolean, lengthMm: number | null): Plain {
  const words = timber ? say('soundness.words-3') : say('soundness.words-4');
  return {
    words,
    quantities:
      lengthMm === null ? [] : [metres(timber ? say('soundness.sand-or-plane') : say('soundness.grind'), lengthMm)],
    cautions: timber ? [say('soundness.old-varnish-may-hold-lead-no')] : [DUST],
    asks:
      mark.stepMm === null
        ? say('soundness.step-from-side-to-side-mm')
        : lengthMm === null
          ? say('soundness.its-line-on-the-sheet')
          : null,
  };
}

function hole(mark: Mark, timber: boolean, area: number | null, figure: FigureOf): Plain {
  if (timber)
    return {
      words: say('soundness.let-in-a-piece-of-the'),
      quantities: area === null ? [] : [square(say('soundness.piece'), area)],
      asks: area === null ? say('soundness.its-outline-or-size') : null,
    };
  return {
    words: say('soundness.clean-prime-fill-with-repair-mortar'),
    quantities: area === null ? [] : mortar(area, mark.depthMm, figure),
    asks: area === null ? say('soundness.its-outline-or-size') : mark.depthMm === null ? say('soundness.depth') : null,
  };
}

function crack(mark: Mark, lengthMm: number | null, figure: FigureOf): Plain {
  if (mark.sizeMm === null)
    return {
      verdict: 'measure',
      words: say('soundness.measure-how-wide-it-is'),
      asks: say('soundness.width-of-the-crack-mm'),
    };
  const wide = mark.sizeMm > figure('crack-mm');
  if (mark.moving || (mark.stepMm ?? 0) > 2)
    return {
      verdict: 'stop',
      words: say('soundness.it-moves-or-one-side-stands'),
      decides: ENGINEER,
    };
  if (!wide && (mark.stepMm ?? 0) === 0)
    return {
      words: say('soundness.hairline-open-slightly-fill'),
      quantities: lengthMm === null ? [] : [metres(say('soundness.fill'), lengthMm)],
    };
  const stitches = lengthMm === null ? null : Math.floor(lengthMm / figure('stitch-mm')) + 1;
  return {
    words: say('soundness.cut-across-every-so-often-lay'),
    cautions: [DUST, say('soundness.resin-burns-and-sensitises-gloves-goggles')],
    quantities:
      lengthMm === null
        ? []
        : [
            metres(say('soundness.crack'), lengthMm),
            {
              words: say('soundness.resin'),
              value: (lengthMm / 1000) * figure('resin-l-m'),
              unit: 'l',
              formula: say('soundness.m-l-m', { lengthMm: decimals(lengthMm / 1000, 2), resinLM: figure('resin-l-m') }),
            },
            {
              words: say('soundness.stitches'),
              value: stitches!,
              unit: '',
              formula: say('soundness.mm-every-mm-and-one', {
                lengthMm: Math.round(lengthMm),
                stitchMm: figure('stitch-mm'),
              }),
            },
          ],
    asks: lengthMm === null ? say('soundness.its-line-on-the-sheet') : null,
  };
}

const metres = (words: Said, lengthMm: number): Quantity => ({
  words,
  value: lengthMm / 1000,
  unit: 'm',
  formula: say('soundness.length-of-the-line-on-the'),
});
const square = (words: Said, area: number): Quantity => ({
  words,
  value: area,
  unit: 'm²',
  formula: say('soundness.area-on-the-sheet'),
});
const hours = (area: number, rate: number, words: Said): Quantity => ({
  words,
  value: area * rate,
  unit: 'h',
  formula: say('soundness.m-h-m', { area: decimals(area, 2), rate }),
});

function mortar(area: number, depthMm: number | null, figure: FigureOf): Quantity[] {
  if (depthMm === null) return [square(say('soundness.patch'), area)];
  return [
    square(say('soundness.patch'), area),
    {
      words: say('soundness.repair-mortar'),
      value: area * depthMm * figure('fill-kg-l'),
      unit: 'kg',
      formula: say('soundness.m-mm-kg-l', { area: decimals(area, 3), depthMm, fillKgL: figure('fill-kg-l') }),
    },
  ];
}
