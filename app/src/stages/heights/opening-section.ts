import type { OpeningJudged } from '@maquette/core/heights';
import { BEYOND_WORDS, type Opening } from '@maquette/core/room';
import type { Say } from '../../ui/shown-in.tsx';
import { barWordsOf } from './bar-words.ts';
import type { Heights } from './height-asks.ts';
import type { SectionOf } from './section-view.tsx';

/** Where along an opening it is cut. */
export type CutAt = 'worst' | 'start' | 'end';

/** What lies in a room from below, as a section draws it: an underlay as thick as the weight on it leaves it. */
export function laidWords({ buildUp, addsMm }: Pick<Heights, 'buildUp' | 'addsMm'>): SectionOf['laid'] {
  const { panelMm, filmMm, underlay, coveringMm } = buildUp;
  return [
    { words: 'panel', mm: panelMm },
    { words: 'film', mm: filmMm },
    { words: 'underlay', mm: underlay ? addsMm.new - panelMm - filmMm - coveringMm : 0 },
    { words: 'plank', mm: coveringMm },
  ];
}

/** The section at one place along an opening. Null where no level is known on this side. */
export function sectionOf(
  opening: Opening,
  judged: OpeningJudged,
  heights: Heights,
  at: CutAt,
  say: Say,
): SectionOf | null {
  const known = judged.here.filter(({ levelMm }) => levelMm !== null);
  if (known.length === 0) return null;
  const steps = judged.step?.profiles.new.at ?? [];
  const worst = steps.reduce<(typeof steps)[number] | null>(
    (most, one) => (most && Math.abs(most.stepMm) >= Math.abs(one.stepMm) ? most : one),
    null,
  );
  const alongMm = at === 'start' ? 0 : at === 'end' ? opening.widthMm : (worst?.alongMm ?? opening.widthMm / 2);
  const nearest = <T extends { alongMm: number }>(list: readonly T[]) =>
    list.reduce<T | null>(
      (best, one) => (best && Math.abs(best.alongMm - alongMm) <= Math.abs(one.alongMm - alongMm) ? best : one),
      null,
    );
  const hereMm = nearest(known)!.levelMm!;
  const step = nearest(steps);
  return {
    baseMm: hereMm - heights.addsMm.new,
    laid: laidWords(heights),
    hereMm,
    beyondMm: step ? hereMm - step.stepMm : null,
    beyondWords: opening.beyond === 'unknown' ? 'floor beyond' : say(BEYOND_WORDS[opening.beyond]).toLowerCase(),
    bar: judged.bar.kind,
    barWords: barWordsOf(judged.bar.kind, say),
    packing: judged.packing?.[at === 'end' ? 1 : 0] ?? null,
  };
}
