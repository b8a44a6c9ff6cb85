import { reach, say } from '../said/index.ts';
import type { FigureOf } from '../figures/index.ts';
import { isTimber, type RoomFacts } from '../room/index.ts';
import { crack } from './crack.ts';
import { markAreaM2, markLengthMm } from './extent.ts';
import type { Mark } from './facts.ts';
import { hours, metres, mortar, square } from './quantities.ts';
import { rot, squeak } from './timber-repair.ts';
import { DUST, ENGINEER, LOOK, type Usual } from './usual.ts';

/** What is usually done about a mark, whatever lies on the floor and in it. */
export function usualTreatment(mark: Mark, room: RoomFacts, figure: FigureOf): Usual {
  const area = markAreaM2(mark);
  const lengthMm = markLengthMm(mark);
  const timber = isTimber(room.baseKind);
  if (mark.moveMm !== null && mark.moveMm > figure('bounce-mm') && mark.kind !== 'squeak')
    return {
      does: LOOK,
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
        ? { does: LOOK, verdict: 'stop', words: say('soundness.softUnderfootTheStructureIsLooked'), decides: ENGINEER }
        : {
            does: LOOK,
            words: say('soundness.findWhyItGivesSpanNotches'),
            asks: mark.moveMm === null ? say('soundness.movementUnderAPersonMm') : null,
          };
    case 'proud-fixing':
      return { does: ['pull-staples', 'screw'], words: say('soundness.sinkItOrPullItAnd', { what: reach(2) }) };
    case 'staples':
      return {
        does: ['pull-staples'],
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
        does: mark.moving ? LOOK : ['prime'],
        verdict: mark.moving ? 'work' : 'measure',
        words: mark.moving
          ? say('soundness.expansionOrIsolationJointItGoes')
          : say('soundness.dormantContractionJointFilledOnceDamp'),
        quantities: lengthMm === null ? [] : [metres(say('soundness.profileOverTheJoint'), lengthMm)],
      };
    case 'hollow':
      return {
        does: timber ? ['screw'] : ['chisel', 'prime'],
        words: timber ? say('soundness.panelHollowOverItsBedScrew') : say('soundness.removeWhatIsLooseBackTo'),
        quantities: area === null ? [] : mortar(area, mark.depthMm, figure),
        cautions: timber ? [] : [DUST],
        asks:
          area === null ? say('soundness.outlineOfTheHollow') : mark.depthMm === null ? say('soundness.depth') : null,
      };
    case 'weak-surface':
      return {
        does: ['grind', 'prime', 'scratch'],
        words: say('soundness.grindBackToSoundMaterialVacuum'),
        quantities: area === null ? [] : [square(say('soundness.grindAndPrime'), area)],
        cautions: [DUST],
        asks: area === null ? say('soundness.area') : null,
      };
    case 'residue':
      return {
        does: LOOK,
        words: say('soundness.nameTheResidueFirstOldBlack'),
        decides: say('soundness.licensedContractorAndLaboratoryWhereIt'),
        quantities: area === null ? [] : [square(say('soundness.residue'), area)],
      };
    case 'contamination':
      return {
        does: ['scrape', timber ? 'sand' : 'grind'],
        words: say('soundness.mechanicalCleaningToACleanOpen'),
        quantities: area === null ? [] : [square(say('soundness.clean'), area)],
        cautions: timber ? [] : [DUST],
      };
    case 'stain':
      return {
        does: LOOK,
        verdict: mark.severity === 'severe' ? 'stop' : 'work',
        words: say('soundness.findTheCauseBeforeAnythingCovers'),
        decides: mark.severity === 'severe' ? say('soundness.specialistCleanerForMould') : null,
        quantities: area === null ? [] : [square(say('soundness.stain'), area)],
      };
    case 'efflorescence':
      return {
        does: LOOK,
        verdict: 'stop',
        words: say('soundness.saltsMeanWaterIsMovingThrough'),
        decides: say('soundness.dampSurveyor'),
      };
    case 'damp':
      return {
        does: LOOK,
        verdict: 'stop',
        words: say('soundness.wetFindTheSourceAndStop'),
        decides: say('soundness.plumberDrainageOrDampSurveyor'),
      };
    case 'mortar-residue':
      return {
        does: ['chisel', 'grind'],
        words: say('soundness.chiselOrGrindFlush'),
        quantities: area === null ? [] : [square(say('soundness.grindFlush'), area)],
        cautions: [DUST],
      };
    case 'wide-grout':
      return {
        does: ['prime'],
        words: say('soundness.fillTheGroutLinesFlushOr'),
        quantities: area === null ? [] : [square(say('soundness.skim'), area)],
      };
    case 'insect':
      return {
        does: LOOK,
        verdict: mark.severity === 'slight' ? 'work' : 'stop',
        words: say('soundness.freshDustOrSoftWoodTreatment'),
        decides: say('soundness.timberTreatmentSpecialistStructuralEngineerWhere'),
      };
    case 'no-grind':
      return { does: LOOK, verdict: 'lay', words: say('soundness.theLevellingPlanGrindsNothingHere') };
    case 'no-fill':
      return { does: LOOK, verdict: 'lay', words: say('soundness.theLevellingPlanPoursAndFills') };
    default:
      return { does: LOOK, verdict: 'measure', words: say('soundness.sayWhatItIsSoThat') };
  }
}

function lip(mark: Mark, timber: boolean, lengthMm: number | null): Usual {
  const words = timber ? say('soundness.words3') : say('soundness.words4');
  return {
    does: timber ? ['sand'] : ['grind', 'prime'],
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

function hole(mark: Mark, timber: boolean, area: number | null, figure: FigureOf): Usual {
  if (timber)
    return {
      does: ['saw', 'screw'],
      words: say('soundness.letInAPieceOfThe'),
      quantities: area === null ? [] : [square(say('soundness.piece'), area)],
      asks: area === null ? say('soundness.itsOutlineOrSize') : null,
    };
  return {
    does: ['chisel', 'prime'],
    words: say('soundness.cleanPrimeFillWithRepairMortar'),
    quantities: area === null ? [] : mortar(area, mark.depthMm, figure),
    asks: area === null ? say('soundness.itsOutlineOrSize') : mark.depthMm === null ? say('soundness.depth') : null,
  };
}
