import type { FigureOf } from '../figures/index.ts';
import { isTimber, type RoomFacts } from '../room/index.ts';
import { formatReach } from '../units/index.ts';
import { extentAlongMm, markAreaM2, markLengthMm } from './extent.ts';
import type { Mark } from './facts.ts';

/** A quantity to buy or do, with how it came about. */
export interface Quantity {
  words: string;
  value: number;
  unit: string;
  formula: string;
}

/** What is done about a mark. `stop`: it is not the installer's to decide. */
interface Treatment {
  verdict: 'stop' | 'work' | 'measure' | 'lay';
  words: string;
  quantities: Quantity[];
  cautions: string[];
  /** Who decides, where it is not the installer. */
  decides: string | null;
  /** What has to be measured before it can be said. */
  asks: string | null;
}

const ENGINEER = 'structural engineer';
const DEFAULT_JOISTS_MM = 400;
const DUST = 'Silica dust: shrouded tool on a class M or H extractor, fitted mask.';

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
      words: `Moves ${formatReach(mark.moveMm, room.units)} under a person, over ${formatReach(figure('bounce-mm'), room.units)}: joists, span and fixing are looked at before anything is laid.`,
      decides: ENGINEER,
    };
  switch (mark.kind) {
    case 'squeak':
      return squeak(mark, room, figure);
    case 'rot':
      return rot(mark, room);
    case 'soft':
      return mark.severity === 'severe'
        ? { verdict: 'stop', words: 'Soft underfoot: the structure is looked at first.', decides: ENGINEER }
        : {
            words: 'Find why it gives: span, notches, missing blocking. Stiffen, or lay a panel over.',
            asks: mark.moveMm === null ? 'Movement under a person, mm' : null,
          };
    case 'proud-fixing':
      return { words: `Sink it ${formatReach(2, room.units)}, or pull it and screw beside it.` };
    case 'staples':
      return {
        words: 'Pull by rocking with pliers; sink where a pad or paper goes over.',
        quantities: area === null ? [] : [hours(area, figure('staples-h-m2'), 'Pulling')],
        cautions: ['Knees: pads, and a magnet over the floor afterwards.'],
        asks: area === null ? 'Area' : null,
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
          ? 'Expansion or isolation joint: it goes through every layer and the covering, with a profile over it.'
          : 'Dormant contraction joint: filled once damp is stable. Say whether it moves.',
        quantities: lengthMm === null ? [] : [metres('Profile over the joint', lengthMm)],
      };
    case 'hollow':
      return {
        words: timber
          ? 'Panel hollow over its bed: screw down or cut out.'
          : 'Remove what is loose back to a firm edge, prime, patch.',
        quantities: area === null ? [] : mortar(area, mark.depthMm, figure),
        cautions: timber ? [] : [DUST],
        asks: area === null ? 'Outline of the hollow' : mark.depthMm === null ? 'Depth' : null,
      };
    case 'weak-surface':
      return {
        words: 'Grind back to sound material, vacuum, prime; scratch again.',
        quantities: area === null ? [] : [square('Grind and prime', area)],
        cautions: [DUST],
        asks: area === null ? 'Area' : null,
      };
    case 'residue':
      return {
        words: 'Name the residue first: old black residue goes through the hazard gate before it is touched.',
        decides: 'licensed contractor and laboratory where it may hold asbestos',
        quantities: area === null ? [] : [square('Residue', area)],
      };
    case 'contamination':
      return {
        words: 'Mechanical cleaning to a clean open surface; a water drop tells. No solvents on residues.',
        quantities: area === null ? [] : [square('Clean', area)],
        cautions: timber ? [] : [DUST],
      };
    case 'stain':
      return {
        verdict: mark.severity === 'severe' ? 'stop' : 'work',
        words: 'Find the cause before anything covers it; dry, clean, and test for damp here.',
        decides: mark.severity === 'severe' ? 'specialist cleaner for mould' : null,
        quantities: area === null ? [] : [square('Stain', area)],
      };
    case 'efflorescence':
      return {
        verdict: 'stop',
        words: 'Salts mean water is moving through the base: find where it comes from.',
        decides: 'damp surveyor',
      };
    case 'damp':
      return {
        verdict: 'stop',
        words: 'Wet: find the source and stop it, then test.',
        decides: 'plumber, drainage or damp surveyor',
      };
    case 'mortar-residue':
      return {
        words: 'Chisel or grind flush.',
        quantities: area === null ? [] : [square('Grind flush', area)],
        cautions: [DUST],
      };
    case 'wide-grout':
      return {
        words: 'Fill the grout lines flush, or skim the whole.',
        quantities: area === null ? [] : [square('Skim', area)],
      };
    case 'insect':
      return {
        verdict: mark.severity === 'slight' ? 'work' : 'stop',
        words: 'Fresh dust or soft wood: treatment and strength are looked at first.',
        decides: 'timber treatment specialist; structural engineer where joists are touched',
      };
    case 'no-grind':
      return { verdict: 'lay', words: 'The levelling plan grinds nothing here.' };
    case 'no-fill':
      return { verdict: 'lay', words: 'The levelling plan pours and fills nothing here.' };
    default:
      return { verdict: 'measure', words: 'Say what it is, so that its treatment can be named.' };
  }
}

function squeak(mark: Mark, room: RoomFacts, figure: FigureOf): Plain {
  const spacing = room.base.joistSpacingMm ?? DEFAULT_JOISTS_MM;
  const deg = room.base.joistDeg ?? 0;
  const across = extentAlongMm(mark, deg + 90);
  const along = extentAlongMm(mark, deg);
  const pitch = figure('screw-mm');
  const words = `Screw every ${formatReach(pitch, room.units)} along the joists, dry, with the fixing clear of pipes and cables.`;
  const cautions = ['Pipes and cables under boards: locate first, shortest screw that holds.'];
  if (across === null || along === null) return { words, cautions, asks: 'Outline of the loose part' };
  const joists = Math.floor(across / spacing) + 1;
  const screws = joists * (Math.floor(along / pitch) + 1);
  return {
    words,
    cautions,
    quantities: [
      {
        words: 'Screws',
        value: screws,
        unit: '',
        formula: `${joists} joists (${formatReach(across, room.units)} across, every ${formatReach(spacing, room.units)}${room.base.joistSpacingMm === null ? ', assumed' : ''}) × ${screws / joists} (${formatReach(along, room.units)}, every ${formatReach(pitch, room.units)})`,
      },
    ],
  };
}

/** A rotten patch is cut back to joist centres both ways, and its free edges are blocked. */
function rot(mark: Mark, room: RoomFacts): Plain {
  const words = 'Find the leak first. Cut back to sound wood and to joist centres, block, glue and screw.';
  const decides = mark.severity === 'severe' ? ENGINEER : null;
  const verdict = mark.severity === 'severe' ? 'stop' : 'work';
  const deg = room.base.joistDeg ?? 0;
  const spacing = room.base.joistSpacingMm ?? DEFAULT_JOISTS_MM;
  const [along, across] = [extentAlongMm(mark, deg), extentAlongMm(mark, deg + 90)];
  if (along === null || across === null) return { verdict, words, decides, asks: 'Outline of the rot' };
  // Out to the joist beyond on each side: the cut falls on joist centres.
  const bays = Math.ceil(across / spacing) + 1;
  const cutM2 = (bays * spacing * (along + 2 * REACH_MM)) / 1e6;
  return {
    verdict,
    words,
    decides,
    cautions: ['Rot in a joist: stop, structural engineer.'],
    quantities: [
      {
        words: 'Board or panel',
        value: cutM2,
        unit: 'm²',
        formula: `${bays} bays × ${formatReach(spacing, room.units)} × (${formatReach(along, room.units)} + 2 × ${formatReach(REACH_MM, room.units)} into sound wood)`,
      },
      { words: 'Blocks', value: bays * 2, unit: '', formula: `${bays} bays × 2 free edges` },
    ],
  };
}
const REACH_MM = 150;

function lip(mark: Mark, timber: boolean, lengthMm: number | null): Plain {
  const words = timber
    ? 'Sand or plane the edge down; pack under the low side where it springs.'
    : 'Grind the high edge, or feather the low side.';
  return {
    words,
    quantities: lengthMm === null ? [] : [metres(timber ? 'Sand or plane' : 'Grind', lengthMm)],
    cautions: timber ? ['Old varnish may hold lead: no power sanding before it is tested.'] : [DUST],
    asks: mark.stepMm === null ? 'Step from side to side, mm' : lengthMm === null ? 'Its line on the sheet' : null,
  };
}

function hole(mark: Mark, timber: boolean, area: number | null, figure: FigureOf): Plain {
  if (timber)
    return {
      words: 'Let in a piece of the same thickness on blocks.',
      quantities: area === null ? [] : [square('Piece', area)],
      asks: area === null ? 'Its outline or size' : null,
    };
  return {
    words: 'Clean, prime, fill with repair mortar.',
    quantities: area === null ? [] : mortar(area, mark.depthMm, figure),
    asks: area === null ? 'Its outline or size' : mark.depthMm === null ? 'Depth' : null,
  };
}

function crack(mark: Mark, lengthMm: number | null, figure: FigureOf): Plain {
  if (mark.sizeMm === null)
    return { verdict: 'measure', words: 'Measure how wide it is.', asks: 'Width of the crack, mm' };
  const wide = mark.sizeMm > figure('crack-mm');
  if (mark.moving || (mark.stepMm ?? 0) > 2)
    return {
      verdict: 'stop',
      words: 'It moves, or one side stands higher: the structure is looked at first.',
      decides: ENGINEER,
    };
  if (!wide && (mark.stepMm ?? 0) === 0)
    return { words: 'Hairline: open slightly, fill.', quantities: lengthMm === null ? [] : [metres('Fill', lengthMm)] };
  const stitches = lengthMm === null ? null : Math.floor(lengthMm / figure('stitch-mm')) + 1;
  return {
    words: 'Cut across every so often, lay stitches in, fill with resin, blind with sand.',
    cautions: [DUST, 'Resin burns and sensitises: gloves, goggles, air.'],
    quantities:
      lengthMm === null
        ? []
        : [
            metres('Crack', lengthMm),
            {
              words: 'Resin',
              value: (lengthMm / 1000) * figure('resin-l-m'),
              unit: 'l',
              formula: `${(lengthMm / 1000).toFixed(2)} m × ${figure('resin-l-m')} l/m`,
            },
            {
              words: 'Stitches',
              value: stitches!,
              unit: '',
              formula: `${Math.round(lengthMm)} mm, every ${figure('stitch-mm')} mm, and one`,
            },
          ],
    asks: lengthMm === null ? 'Its line on the sheet' : null,
  };
}

const metres = (words: string, lengthMm: number): Quantity => ({
  words,
  value: lengthMm / 1000,
  unit: 'm',
  formula: 'length of the line on the sheet',
});
const square = (words: string, area: number): Quantity => ({
  words,
  value: area,
  unit: 'm²',
  formula: 'area on the sheet',
});
const hours = (area: number, rate: number, words: string): Quantity => ({
  words,
  value: area * rate,
  unit: 'h',
  formula: `${area.toFixed(2)} m² × ${rate} h/m²`,
});

function mortar(area: number, depthMm: number | null, figure: FigureOf): Quantity[] {
  if (depthMm === null) return [square('Patch', area)];
  return [
    square('Patch', area),
    {
      words: 'Repair mortar',
      value: area * depthMm * figure('fill-kg-l'),
      unit: 'kg',
      formula: `${area.toFixed(3)} m² × ${depthMm} mm × ${figure('fill-kg-l')} kg/l`,
    },
  ];
}
