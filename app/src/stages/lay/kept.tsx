import { View } from 'react-native';
import type { LayPlan, ShownBreach } from '@maquette/core';
import type { RoomFacts } from '@maquette/core/room';
import { formatReach, gapWords } from '@maquette/core/units';
import { SPACE } from '../../theme/theme.tsx';
import { counted } from '../../ui/counted.ts';
import { useSay } from '../../ui/shown-in.tsx';
import { Words } from '../../ui/text.tsx';

const RULES: Record<ShownBreach['rule'], string> = {
  stagger: 'its joint stands too near to one of the row before',
  second: 'its joint stands too near to one of the second row before',
  stair: 'three joints climb in equal steps',
  zone: 'a joint lies where none should',
};
const SHOWN = 6;

/** Which rules the layout keeps, and where it cannot. */
export function Kept({ plan, room }: { plan: LayPlan; room: RoomFacts }) {
  const say = useSay();
  const { units } = room;
  const { keptOff, overRun } = plan;
  const offs = (
    [
      [keptOff.soft, 'soft spot'],
      [keptOff.low, 'low'],
      [keptOff.mark, 'marked place'],
      [keptOff.opening, 'opening'],
      [keptOff.corner, 'corner'],
    ] as const
  ).flatMap(([n, what]) => (n > 0 ? [counted(n, what)] : []));
  const noWay = plan.pieces.filter(({ wayIn }) => wayIn === null);
  const shaved = plan.pieces.filter(({ wayIn }) => wayIn === 'shaved' || wayIn === 'along');
  const nothing =
    plan.breaches.length + plan.short.length + plan.shortEnds.length + noWay.length + overRun.parted.length === 0 &&
    overRun.longM === null &&
    !plan.herringbone;
  return (
    <View style={{ gap: SPACE.near }} testID="kept">
      {offs.length > 0 ? <Words size="small">{`Joints keep off ${offs.join(', ')}.`}</Words> : null}
      {nothing ? <Words>Every joint, end and edge row keeps the rules of the card.</Words> : null}
      {overRun.longM ? (
        <Words bold>
          {`The floor runs ${formatReach(overRun.longM.isM * 1000, units)} in one, and the card allows ${formatReach(overRun.longM.mayM * 1000, units)}. Part it in an opening, or draw a dividing line on Room and part it there.`}
        </Words>
      ) : null}
      {overRun.parted.map((opening, k) => (
        <Words key={`parted${k}`} bold>
          {`The ${say(opening)} is laid through, and Heights has the floor parted there: see why on Heights before you lay it in one.`}
        </Words>
      ))}
      {plan.short.map((edge, k) => (
        <Words key={`short${k}`} bold>
          {`No first row keeps every edge. ${edge.wall ? `Along ${say(edge.wall)}` : 'Along one wall'} the row would be ${gapWords(edge.shortMm, units)} too narrow. Give that wall a wider gap if its skirting covers it, or start at another wall.`}
        </Words>
      ))}
      {plan.breaches.slice(0, SHOWN).map((breach, k) => (
        <Words key={k}>
          {`Row ${breach.row}: ${RULES[breach.rule]}, by ${gapWords(breach.shortMm, units)}, ${breach.tapes.map(({ distanceMm, name }) => `${formatReach(distanceMm, units)} from ${say(name)}`).join(' and ')}.`}
        </Words>
      ))}
      {plan.breaches.length > SHOWN ? (
        <Words>{`And ${counted(plan.breaches.length - SHOWN, 'more place')} like these.`}</Words>
      ) : null}
      {plan.shortEnds.slice(0, SHOWN).map(({ row, shortMm }, k) => (
        <Words key={`end${k}`}>{`Row ${row}: the bond leaves an end ${gapWords(shortMm, units)} too short.`}</Words>
      ))}
      {noWay.map(({ number, under }) => (
        <Words key={number} bold>
          {`Piece ${number} cannot be brought in${under ? ` under ${say(under)}` : ''}: start at another wall, or take down what hangs there.`}
        </Words>
      ))}
      {shaved.length > 0 ? (
        <Words size="small">{`${counted(shaved.length, 'piece')} cannot be tilted in: the list under Cut says how each comes in.`}</Words>
      ) : null}
    </View>
  );
}
