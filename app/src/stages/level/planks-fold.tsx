import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { TELEGRAPH } from '@maquette/core/planks';
import { isTimber, type RoomFacts } from '@maquette/core/room';
import { lipsOf } from '@maquette/core/soundness';
import { formatGap, formatReach, roundTo, unitLabel } from '@maquette/core/units';
import { placeWords } from '@maquette/core/verdict';
import type { ShownRoom } from '../../data/use-facts.ts';
import { Button } from '../../ui/button.tsx';
import { Fold } from '../../ui/fold.tsx';
import { Words } from '../../ui/text.tsx';
import type { PlanksAnswer } from '../../worker/messages.ts';
import type { Planned } from '../../worker/use-planned.ts';
import type { ShownWay } from './shown-ways.ts';
import { useSay } from '../../ui/shown-in.tsx';
import { usePlan } from '../../sheet/use-plan.ts';
import { counted } from '../../ui/counted.ts';
import { SPACE } from '../../theme/theme.tsx';

interface Props {
  shown: ShownRoom;
  room: RoomFacts;
  planned: Planned;
  way: ShownWay;
}

type Asked = { of: string; answer: PlanksAnswer | null; failed: string | null; working: boolean };

/** Planks laid over what a way leaves, or over the floor as it is: where they would be soft, and what would show through glue. */
export function PlanksFold({ shown, room, planned, way }: Props) {
  const [asked, setAsked] = useState<Asked | null>(null);
  const change = way.way?.change ?? null;
  const card = shown.card!;
  const ask = (of: string, after: typeof change) => {
    setAsked({ of, answer: null, failed: null, working: true });
    planned.planks(after, (answer, failed) => setAsked({ of, answer, failed, working: false }));
  };
  const glued = card.kind === 'glue-down-vinyl';
  return (
    <Fold title="Planks on what is left" aside="where a foot feels it">
      <Words>
        {glued
          ? 'A glued covering follows the floor: what shows through is listed. Planks are also laid over it as a row would bridge it.'
          : 'Rows of this covering are laid over the floor, and a foot is set on the worst places.'}
      </Words>
      <View style={styles.keys}>
        {change ? (
          <Button
            label={`After: ${way.words.toLowerCase()}`}
            onPress={() => ask(`After ${way.words.toLowerCase()}`, change)}
          />
        ) : null}
        <Button label="On the floor as it is" onPress={() => ask('On the floor as it is', null)} />
      </View>
      {asked?.working ? <Words role="status">Laying planks …</Words> : null}
      {asked?.failed ? <Words role="alert">{asked.failed}</Words> : null}
      {asked?.answer ? <Report shown={shown} room={room} of={asked.of} answer={asked.answer} /> : null}
    </Fold>
  );
}

function Report({ shown, room, of, answer }: { shown: ShownRoom; room: RoomFacts; of: string; answer: PlanksAnswer }) {
  const say = useSay();
  const { units } = room;
  const { report, showing } = answer;
  const { make } = report;
  const plan = usePlan(room);
  const mm = (value: number) => `${formatGap(value, units)} ${unitLabel(units)}`;
  const lips = lipsOf(shown.plain.marks);
  return (
    <View style={styles.box} testID="planks">
      <Words bold>
        {report.soft.length === 0
          ? `${of}: soft nowhere. ${counted(report.planks, 'plank')} in ${counted(report.rows, 'row')} lie on it all along.`
          : `${of}: soft under foot at ${report.soft.length} place${report.soft.length === 1 ? '' : 's'}`}
      </Words>
      <View role="list" accessibilityLabel="Soft places" style={styles.list}>
        {report.soft.map((soft, i) => (
          <View role="listitem" key={i}>
            <Words figure>
              {`${i + 1}. sinks ${mm(soft.sinksMm)} over ${mm(soft.gapMm)} of air, a joint turns ${roundTo(soft.jointDeg, 0.01)}°`}
            </Words>
            <Words size="small" quiet>
              {say(placeWords(room, plan, soft.at))}
            </Words>
          </View>
        ))}
      </View>
      <Words testID="bent">
        {report.bent[0]
          ? `Joints bent most by the floor itself: ${report.bent.map(({ at, jointDeg }) => `${roundTo(jointDeg, 0.01)}° ${say(placeWords(room, plan, at))}`).join('; ')}.`
          : 'No joint lies bent.'}
      </Words>
      {report.unsettled > 0 ? (
        <Words size="small">{`${counted(report.unsettled, 'row')} did not come to rest and are left out.`}</Words>
      ) : null}
      {showing ? (
        <>
          <Words bold>
            {showing.length + lips.length === 0
              ? 'Nothing the map can see shows through'
              : `Shows through: ${counted(showing.length, 'place')} over ${mm(TELEGRAPH.gapMm)} under ${formatReach(TELEGRAPH.edgeMm, units)}, ${lips.length} lips`}
          </Words>
          {showing.slice(0, 6).map((place, i) => (
            <Words key={i} figure>{`${mm(place.valueMm)}, ${say(placeWords(room, plan, place.at))}`}</Words>
          ))}
          {lips.slice(0, 6).map((lip) => (
            <Words
              key={lip.id}
              figure
            >{`lip of ${mm(lip.stepMm!)}, ${say(placeWords(room, plan, [lip.xMm, lip.yMm]))}`}</Words>
          ))}
        </>
      ) : null}
      <Words size="small" quiet>
        {`A ranking and a warning, no proof of strength. Taken for it: planks ${formatReach(make.lengthMm, units)} by ${formatReach(make.widthMm, units)}, ${mm(make.thicknessMm)} thick, ${make.modulusNPerMm2} N/mm²; a joint ${make.jointShare} as stiff as the plank; what lies beneath gives by ${make.bedNPerMm3} N/mm³; a foot of ${make.footN} N on one row by itself. ${counted(report.planks, 'plank')} in ${counted(report.rows, 'row')} ${report.alongDeg === 0 ? 'along the first wall' : 'across from the first wall'}.${isTimber(room.baseKind) ? ' The base’s own bounce comes on top.' : ''}`}
      </Words>
    </View>
  );
}

const styles = StyleSheet.create({
  box: { gap: SPACE.gap },
  list: { gap: SPACE.near },
  keys: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.gap },
});
