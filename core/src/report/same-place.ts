import type { ShownPlacement, ShownRule } from '../assess/picture.ts';
import { profileOf } from '../flat/index.ts';
import type { ReportRoom } from './report-job.ts';

/** An edge as it is drawn in section: the rule it is held against, and where it lies. */
export interface Section {
  rule: Pick<ShownRule, 'rule' | 'overMm'>;
  shown: ShownPlacement;
}

/**
 * The edge that lay worst before a floor was levelled, and the same edge laid at the same place now. Null where nothing was
 * levelled, or nothing was over which an edge could be drawn. The gap now is what the section shows, mm.
 */
export function samePlace({ assessment, before }: ReportRoom): { then: Section; now: Section } | null {
  const was = before?.rules[0];
  const shown = was?.placements[0];
  if (!was || !shown || !assessment.flat) return null;
  const { judged, surfaceMm } = assessment.flat;
  const profile = profileOf(judged, surfaceMm, shown.placement, was.rule.edgeMm);
  const gapMm = Math.max(0, ...profile.gaps.map((gap) => gap.gapMm));
  return {
    then: { rule: was, shown },
    now: { rule: { rule: was.rule, overMm: gapMm - was.rule.gapMm }, shown: { ...shown, profile } },
  };
}
