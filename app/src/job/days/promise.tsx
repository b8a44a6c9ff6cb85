import { StyleSheet, View } from 'react-native';
import type { ShownDays } from '@maquette/core/planning';
import { SPACE, usePalette } from '../../theme/theme.tsx';
import { Fold } from '../../ui/fold.tsx';
import { useSay, useTimes } from '../../ui/shown-in.tsx';
import { Words } from '../../ui/text.tsx';
import { dayWords, halfDayWords } from '../day-words.ts';

const LINKS: Record<NonNullable<ShownDays['reasons'][number]['waitedFor']>, string> = {
  after: 'follows on it',
  people: 'then somebody is free for it',
  machine: 'then the machine is free for it',
  room: 'then the room is free for it',
  way: 'then the way in is open again',
  held: 'then what both need is free again',
};

/** When planks can go down, which day to promise, and why it is not earlier. */
export function Promise({ days }: { days: ShownDays }) {
  const say = useSay();
  const times = useTimes();
  const palette = usePalette();
  const { laying, chances, bound, earliest, handOver, today, reasons, rooms } = days;
  if (days.none)
    return (
      <View style={styles.box} role="alert">
        <Words bold size="large" color={palette.verdict.stop}>
          There is no plan
        </Words>
        <Words>{say(days.none)}</Words>
      </View>
    );
  if (!laying)
    return (
      <View style={styles.box}>
        <Words bold size="large">
          Every room is laid
        </Words>
        {handOver ? <Words>{`What is left is done by ${dayWords(handOver, today)}.`}</Words> : null}
      </View>
    );
  const clock = times.localTime(laying.at).slice(11);
  const roomName = (id: string | null) => rooms.find((room) => room.id === id)?.name ?? '';
  const longest = reasons
    .slice(0, -1)
    .reduce<(typeof reasons)[number] | null>(
      (most, one) =>
        !most || Date.parse(one.to) - Date.parse(one.from) > Date.parse(most.to) - Date.parse(most.from) ? one : most,
      null,
    );
  const because = longest
    ? ` ${roomName(longest.roomId) ? `${roomName(longest.roomId)}: ` : ''}${say(longest.words)}, until ${dayWords(times.dayOf(longest.to), today)}.`
    : '';
  const proof = !bound
    ? 'How early it could be at best is not known: something lies beyond eleven months.'
    : bound.isMet
      ? 'It cannot be earlier with these times and these people.'
      : `At most ${bound.days === 1 ? 'a day' : `${bound.days} days`} could be gained by another order.`;
  return (
    <View style={styles.box} testID="promise">
      <View style={styles.pair}>
        <View style={styles.half}>
          <Words size="small" quiet>
            Planks in the last room from
          </Words>
          <Words figure bold size="title">
            {dayWords(laying.day, today)}
          </Words>
          <Words size="small" quiet>{`${clock}, if all goes as planned`}</Words>
        </View>
        <View style={styles.half}>
          <Words size="small" quiet>
            Promise
          </Words>
          <Words figure bold size="title">
            {chances.p80.laying ? dayWords(chances.p80.laying.day, today) : 'no day'}
          </Words>
          <Words size="small" quiet>
            {chances.p80.laying ? 'kept in four of five cases' : 'in too many cases it lies beyond eleven months'}
          </Words>
        </View>
      </View>
      <Words>{`${proof}${because}`}</Words>
      <Words size="small" quiet>
        {`Handed over ${handOver ? dayWords(handOver, today) : ''}; promise ${chances.p80.handOver ? dayWords(chances.p80.handOver, today) : 'no day'}.`}
        {earliest ? ` Another order would begin ${halfDayWords(earliest, today)}; this one keeps its date better.` : ''}
      </Words>
      <Fold title="Why then" aside={`${reasons.length} steps`}>
        <View role="list" style={styles.steps}>
          {reasons.map((reason, k) => (
            <View key={reason.key} role="listitem" style={[styles.step, { borderColor: palette.rule }]}>
              <Words
                figure
              >{`${dayWords(times.dayOf(reason.from), today)}, ${times.localTime(reason.from).slice(11)}`}</Words>
              <Words bold>{[roomName(reason.roomId), say(reason.words)].filter(Boolean).join(': ')}</Words>
              <Words size="small" quiet>
                {[
                  k === 0
                    ? 'Nothing holds it up before.'
                    : reason.waitedFor === 'after'
                      ? ''
                      : `What was before ended, ${LINKS[reason.waitedFor ?? 'after']}.`,
                  k > 0 && reason.idleH >= 1
                    ? `${Math.round(reason.idleH)} h outside working hours, or too short a rest of the day, lie between.`
                    : '',
                ]
                  .filter(Boolean)
                  .join(' ')}
              </Words>
            </View>
          ))}
        </View>
      </Fold>
      <Fold title="How sure">
        {(
          [
            ['p50', 'In half of all cases'],
            ['p80', 'In four of five cases'],
            ['p95', 'In nineteen of twenty cases'],
          ] as const
        ).map(([share, label]) => (
          <Words key={share} figure>
            {`${label}: ${chances[share].laying ? `planks by ${halfDayWords(chances[share].laying, today)}` : 'planks later than eleven months'}; handed over by ${chances[share].handOver ? dayWords(chances[share].handOver, today) : 'a later day'}.`}
          </Words>
        ))}
        <Words size="small" quiet>
          {`The plan is gone through 1 000 times with other times: works take now more, now less; what dries takes as long as its forecast allows; what may come comes as often as it was said to. The half day itself is kept in ${Math.round(days.kept * 100)} % of them. ${days.tries} orders were tried.`}
        </Words>
      </Fold>
    </View>
  );
}

const styles = StyleSheet.create({
  box: { paddingHorizontal: SPACE.edge, gap: SPACE.gap },
  pair: { flexDirection: 'row', gap: SPACE.edge },
  half: { flex: 1 },
  steps: { gap: 0 },
  step: { borderBottomWidth: 1, paddingVertical: SPACE.gap },
});
