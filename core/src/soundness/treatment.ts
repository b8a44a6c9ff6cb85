import { decimals, gap, reach, say, type Said } from '../said/index.ts';
import type { FigureOf } from '../figures/index.ts';
import { isTimber, type RoomFacts } from '../room/index.ts';
import { extentAlongMm, markAreaM2, markLengthMm } from './extent.ts';
import type { Mark } from './facts.ts';
import { hours, metres, mortar, square, type Quantity } from './quantities.ts';

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
      words: say('soundness.movesUnderAPersonOverJoists', {
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
        ? { verdict: 'stop', words: say('soundness.softUnderfootTheStructureIsLooked'), decides: ENGINEER }
        : {
            words: say('soundness.findWhyItGivesSpanNotches'),
            asks: mark.moveMm === null ? say('soundness.movementUnderAPersonMm') : null,
          };
    case 'proud-fixing':
      return { words: say('soundness.sinkItOrPullItAnd', { what: reach(2) }) };
    case 'staples':
      return {
        words: say('soundness.pullByRockingWithPliersSink'),
        quantities: area === null ? [] : [hours(area, figure('staples-h-m2'), say('soundness.pulling'))],
        cautions: [say('soundness.kneesPadsAndAMagnetOver')],
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
          ? say('soundness.expansionOrIsolationJointItGoes')
          : say('soundness.dormantContractionJointFilledOnceDamp'),
        quantities: lengthMm === null ? [] : [metres(say('soundness.profileOverTheJoint'), lengthMm)],
      };
    case 'hollow':
      return {
        words: timber ? say('soundness.panelHollowOverItsBedScrew') : say('soundness.removeWhatIsLooseBackTo'),
        quantities: area === null ? [] : mortar(area, mark.depthMm, figure),
        cautions: timber ? [] : [DUST],
        asks:
          area === null ? say('soundness.outlineOfTheHollow') : mark.depthMm === null ? say('soundness.depth') : null,
      };
    case 'weak-surface':
      return {
        words: say('soundness.grindBackToSoundMaterialVacuum'),
        quantities: area === null ? [] : [square(say('soundness.grindAndPrime'), area)],
        cautions: [DUST],
        asks: area === null ? say('soundness.area') : null,
      };
    case 'residue':
      return {
        words: say('soundness.nameTheResidueFirstOldBlack'),
        decides: say('soundness.licensedContractorAndLaboratoryWhereIt'),
        quantities: area === null ? [] : [square(say('soundness.residue'), area)],
      };
    case 'contamination':
      return {
        words: say('soundness.mechanicalCleaningToACleanOpen'),
        quantities: area === null ? [] : [square(say('soundness.clean'), area)],
        cautions: timber ? [] : [DUST],
      };
    case 'stain':
      return {
        verdict: mark.severity === 'severe' ? 'stop' : 'work',
        words: say('soundness.findTheCauseBeforeAnythingCovers'),
        decides: mark.severity === 'severe' ? say('soundness.specialistCleanerForMould') : null,
        quantities: area === null ? [] : [square(say('soundness.stain'), area)],
      };
    case 'efflorescence':
      return {
        verdict: 'stop',
        words: say('soundness.saltsMeanWaterIsMovingThrough'),
        decides: say('soundness.dampSurveyor'),
      };
    case 'damp':
      return {
        verdict: 'stop',
        words: say('soundness.wetFindTheSourceAndStop'),
        decides: say('soundness.plumberDrainageOrDampSurveyor'),
      };
    case 'mortar-residue':
      return {
        words: say('soundness.chiselOrGrindFlush'),
        quantities: area === null ? [] : [square(say('soundness.grindFlush'), area)],
        cautions: [DUST],
      };
    case 'wide-grout':
      return {
        words: say('soundness.fillTheGroutLinesFlushOr'),
        quantities: area === null ? [] : [square(say('soundness.skim'), area)],
      };
    case 'insect':
      return {
        verdict: mark.severity === 'slight' ? 'work' : 'stop',
        words: say('soundness.freshDustOrSoftWoodTreatment'),
        decides: say('soundness.timberTreatmentSpecialistStructuralEngineerWhere'),
      };
    case 'no-grind':
      return { verdict: 'lay', words: say('soundness.theLevellingPlanGrindsNothingHere') };
    case 'no-fill':
      return { verdict: 'lay', words: say('soundness.theLevellingPlanPoursAndFills') };
    default:
      return { verdict: 'measure', words: say('soundness.sayWhatItIsSoThat') };
  }
}

function squeak(mark: Mark, room: RoomFacts, figure: FigureOf): Plain {
  const spacing = room.base.joistSpacingMm ?? DEFAULT_JOISTS_MM;
  const deg = room.base.joistDeg ?? 0;
  const across = extentAlongMm(mark, deg + 90);
  const along = extentAlongMm(mark, deg);
  const pitch = figure('screw-mm');
  const words = say('soundness.words', { pitch: reach(pitch) });
  const cautions = [say('soundness.cautions1')];
  if (across === null || along === null) return { words, cautions, asks: say('soundness.outlineOfTheLoosePart') };
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
        formula: say('soundness.screwsFormula', {
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
  const words = say('soundness.words2');
  const decides = mark.severity === 'severe' ? ENGINEER : null;
  const verdict = mark.severity === 'severe' ? 'stop' : 'work';
  const deg = room.base.joistDeg ?? 0;
  const spacing = room.base.joistSpacingMm ?? DEFAULT_JOISTS_MM;
  const [along, across] = [extentAlongMm(mark, deg), extentAlongMm(mark, deg + 90)];
  if (along === null || across === null) return { verdict, words, decides, asks: say('soundness.outlineOfTheRot') };
  // Out to the joist beyond on each side: the cut falls on joist centres.
  const bays = Math.ceil(across / spacing) + 1;
  const cutM2 = (bays * spacing * (along + 2 * REACH_MM)) / 1e6;
  return {
    verdict,
    words,
    decides,
    cautions: [say('soundness.rotInAJoistStopStructural')],
    quantities: [
      {
        words: say('soundness.boardOrPanel'),
        value: cutM2,
        unit: 'm²',
        formula: say('soundness.cutFormula', {
          bays,
          spacing: reach(spacing),
          along: reach(along),
          reachMm: reach(REACH_MM),
        }),
      },
      {
        words: say('soundness.blocks'),
        value: bays * 2,
        unit: '',
        formula: say('soundness.bays2FreeEdges', { bays }),
      },
    ],
  };
}
const REACH_MM = 150;

function lip(mark: Mark, timber: boolean, lengthMm: number | null): Plain {
  const words = timber ? say('soundness.words3') : say('soundness.words4');
  return {
    words,
    quantities:
      lengthMm === null ? [] : [metres(timber ? say('soundness.sandOrPlane') : say('soundness.grind'), lengthMm)],
    cautions: timber ? [say('soundness.oldVarnishMayHoldLeadNo')] : [DUST],
    asks:
      mark.stepMm === null
        ? say('soundness.stepFromSideToSideMm')
        : lengthMm === null
          ? say('soundness.itsLineOnTheSheet')
          : null,
  };
}

function hole(mark: Mark, timber: boolean, area: number | null, figure: FigureOf): Plain {
  if (timber)
    return {
      words: say('soundness.letInAPieceOfThe'),
      quantities: area === null ? [] : [square(say('soundness.piece'), area)],
      asks: area === null ? say('soundness.itsOutlineOrSize') : null,
    };
  return {
    words: say('soundness.cleanPrimeFillWithRepairMortar'),
    quantities: area === null ? [] : mortar(area, mark.depthMm, figure),
    asks: area === null ? say('soundness.itsOutlineOrSize') : mark.depthMm === null ? say('soundness.depth') : null,
  };
}

function crack(mark: Mark, lengthMm: number | null, figure: FigureOf): Plain {
  if (mark.sizeMm === null)
    return {
      verdict: 'measure',
      words: say('soundness.measureHowWideItIs'),
      asks: say('soundness.widthOfTheCrackMm'),
    };
  const wide = mark.sizeMm > figure('crack-mm');
  if (mark.moving || (mark.stepMm ?? 0) > 2)
    return {
      verdict: 'stop',
      words: say('soundness.itMovesOrOneSideStands'),
      decides: ENGINEER,
    };
  if (!wide && (mark.stepMm ?? 0) === 0)
    return {
      words: say('soundness.hairlineOpenSlightlyFill'),
      quantities: lengthMm === null ? [] : [metres(say('soundness.fill'), lengthMm)],
    };
  const stitches = lengthMm === null ? null : Math.floor(lengthMm / figure('stitch-mm')) + 1;
  return {
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
