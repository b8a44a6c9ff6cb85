import type { KindCompared } from '@maquette/core';
import { gapWords, formatReach, type UnitSystem } from '@maquette/core/units';
import { Fold } from '../../ui/fold.tsx';
import { Words } from '../../ui/text.tsx';
import { moneyWords } from '../amounts.ts';

const REASONS: Record<KindCompared['kind'], string> = {
  click:
    'It lies loose: after a flood it comes up, dries and goes down again, and it rides over small joints. A plank in the middle is changed by taking the floor up from the nearest wall.',
  glue: 'It lies still under heavy loads and long runs, and a plank is changed where it lies. Every grain and step of the base shows through, and after a flood it has to be stripped off.',
};

/** Clicked or glued on this floor: what either asks, takes and costs, and why one takes it. */
export function KindsFold({
  kinds,
  units,
  currency,
}: {
  kinds: readonly KindCompared[];
  units: UnitSystem;
  currency: string;
}) {
  if (kinds.length === 0) return null;
  return (
    <Fold title="Clicked or glued on this floor" memory="lay-kinds">
      {kinds.map(({ kind, name, isChosen, materialCost, hours, restH, rules, stepMm, cementLimitRh, runM }) => (
        <Words key={kind} bold={isChosen} size="small">
          {`${name}${isChosen ? ', as chosen' : ''}: ${[
            rules
              .map(({ gapMm, edgeMm }) => `${gapWords(gapMm, units)} under ${formatReach(edgeMm, units)}`)
              .join(' and '),
            ...(stepMm === null ? [] : [`no step over ${gapWords(stepMm, units)}`]),
            `the base at ${cementLimitRh} %RH at most`,
            runM === null ? 'any length without a joint' : `a joint every ${formatReach(runM * 1000, units)}`,
            `${restH} h of rest`,
            `${Math.max(0.5, Math.round(hours * 2) / 2)} h of laying`,
            ...(materialCost === null ? [] : [moneyWords(materialCost, currency)]),
          ].join('; ')}. ${REASONS[kind]}`}
        </Words>
      ))}
      <Words size="small">
        Below the ground outside, water comes back sooner or later: a floor that can be taken up is the usual choice
        there, glue where the base is proved dry and its maker says so.
      </Words>
    </Fold>
  );
}
