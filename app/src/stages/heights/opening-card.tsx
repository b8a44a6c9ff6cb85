import { StyleSheet, View } from 'react-native';
import type { OpeningJudged, StepProfile } from '@maquette/core/heights';
import { openingName, type Opening, type RoomFacts } from '@maquette/core/room';
import { formatGap, formatReach, gapWords, unitLabel, type UnitSystem } from '@maquette/core/units';
import type { ShownRoom } from '../../data/use-facts.ts';
import { SPACE } from '../../theme/theme.tsx';
import { Button } from '../../ui/button.tsx';
import { Fold } from '../../ui/fold.tsx';
import { Mark } from '../../ui/mark.tsx';
import { capital } from '../../ui/capital.ts';
import { useSay } from '../../ui/shown-in.tsx';
import { Words } from '../../ui/text.tsx';
import { barWordsOf, BAR_REASONS } from './bar-words.ts';
import { placeKey, type Heights } from './height-asks.ts';
import { isRampMade, RampLines } from './ramp-lines.tsx';
import { LeafFold } from './leaf-fold.tsx';
import { PackingLines } from './packing-lines.tsx';
import type { CutAt } from './opening-section.ts';
import { StepChart } from './step-chart.tsx';
import { UndercutFold } from './undercut-fold.tsx';

interface Props {
  shown: ShownRoom;
  room: RoomFacts;
  opening: Opening;
  judged: OpeningJudged;
  heights: Heights;
  /** Where the section is cut, or the leaf on the sheet in its place. */
  cut: CutAt | 'leaf';
  onCut: (at: CutAt | 'leaf') => void;
  onRead: () => void;
  /** Goes to reading a level that nothing waits for. */
  onReadAt: (key: string) => void;
  /** Goes to the levelling, where what is asked for here is planned. */
  onPlan: () => void;
}

/** One opening: its step and bar, why, the packing or the ramp, the leaf and the frame. */
export function OpeningCard({ shown, room, opening, judged, heights, cut, onCut, onRead, onReadAt, onPlan }: Props) {
  const say = useSay();
  const { units } = room;
  const { bar, step, packing, ramp, access, toRead, again } = judged;
  const profile = step?.profiles[bar.age ?? 'new'] ?? null;
  const verdict =
    bar.kind === 'measure' || again || toRead.some(({ of }) => of === 'beyond')
      ? 'measure'
      : bar.kind === 'make-good' || (bar.kind === 'made-ramp' && !isRampMade(shown, opening.id))
        ? 'work'
        : 'lay';
  const range = profile && stepWords(profile, units);
  const joined = heights.joined.find(({ openingId }) => openingId === opening.id);
  const ends: [string, string] =
    opening.kind === 'door'
      ? opening.hinge === 'start'
        ? ['the hinge', 'the latch']
        : ['the latch', 'the hinge']
      : ['its near end', 'its far end'];
  const grooves = heights.places
    .filter(({ of, aboutId }) => of === 'groove' && aboutId === opening.id)
    .map((place, k) => ({ key: placeKey(place), at: ends[k]! }));
  const limit = smallerLimit(bar.worstMm, heights);
  return (
    <View style={styles.box} testID="opening">
      <View style={styles.line}>
        <Mark verdict={verdict} width={56} />
        <View style={styles.grow}>
          <Words bold size="large">
            {capital(say(openingName(room, opening)))}
          </Words>
          <Words testID="bar">{barWordsOf(bar.kind, say)}</Words>
        </View>
        {range ? (
          <Words figure bold size="large" testID="step">
            {range}
          </Words>
        ) : null}
      </View>
      {profile ? (
        <StepChart
          profile={profile}
          limitMm={limit?.mm ?? null}
          limitWords={limit?.words ?? ''}
          ends={ends}
          units={units}
        />
      ) : null}
      {joined?.readBeyond && !step ? (
        <Words>
          It was read from the other side. Read the floor on both sides of it, and the step stands here as well.
        </Words>
      ) : null}
      {toRead.some(({ of }) => of !== 'beyond' || !joined?.readBeyond) || again ? (
        <Button kind="main" label={again ? 'Read it once more' : 'Read what is missing'} onPress={onRead} />
      ) : null}
      {packing ? (
        <PackingLines
          room={room}
          packing={packing}
          ends={ends}
          grooves={grooves}
          isRead={grooves.every(({ key }) => shown.levels.some((level) => placeKey(level) === key))}
          onReadAt={onReadAt}
        />
      ) : null}
      {ramp && ramp.shape !== 'none' && profile ? (
        <RampLines
          shown={shown}
          room={room}
          opening={opening}
          ramp={ramp}
          meanMm={profile.meanMm}
          // The ramp lies on the lower side: in this room where the floor beyond is the higher.
          isHere={profile.maxMm < 0}
          joined={joined ?? null}
          onPlan={onPlan}
        />
      ) : null}
      {access ? (
        <Words>
          {access.shape === 'upright'
            ? 'The edge of the bar is low enough to stand upright under the access rules.'
            : `Under the access rules the edge is ${access.shape === 'bevelled' ? 'bevelled' : 'ramped'} over ${formatReach(access.lengthMm, units)}.`}
        </Words>
      ) : null}
      {judged.underSillMm === null ? null : (
        <Words bold={judged.underSillMm < 0}>
          {judged.underSillMm < 0
            ? `The floor would stand ${gapWords(-judged.underSillMm, units)} over the water bar of the sill: lower the build-up. Keep the weather strip.`
            : `The floor stays ${gapWords(judged.underSillMm, units)} under the water bar of the sill. Keep the weather strip.`}
        </Words>
      )}
      <Fold
        title="Why this bar?"
        aside={
          bar.others.length > 0
            ? `else ${bar.others.map((kind) => barWordsOf(kind, say).toLowerCase()).join(', ')}`
            : ''
        }
      >
        <Words>{BAR_REASONS[bar.kind]}</Words>
        {bar.worstMm === null ? null : (
          <Words>{`The step it was chosen by: ${gapWords(bar.worstMm, units)}, ${bar.age === 'used' ? 'on the floor once it is lived on' : 'on the new floor'}. It may be off by ${formatGap(step?.offMm ?? 0, units)} ${unitLabel(units)}.`}</Words>
        )}
        {bar.lessByMm === null || bar.lessByMm <= 0 ? null : (
          <Words>{`${gapWords(bar.lessByMm, units)} less step would let a smaller one serve.`}</Words>
        )}
        {bar.nearLimitMm === null ? null : (
          <Words>{`The limit of ${gapWords(bar.nearLimitMm, units)} lies within what the readings may be off.`}</Words>
        )}
        <Words size="small" quiet>
          {`New floor here = surface that stays + ${formatGap(heights.addsMm.new, units)} ${unitLabel(units)} of build-up; step = new floor here − floor beyond, every ${gapWords(50, units)} along the opening.${joined ? ' Beyond lies a room of this job: what it lays is counted there.' : ''}`}
        </Words>
      </Fold>
      <View style={styles.cuts} role="group" accessibilityLabel="Where the section is cut">
        {(['start', 'worst', 'end', ...(opening.kind === 'door' ? (['leaf'] as const) : [])] as const).map((at) => (
          <Button
            key={at}
            label={
              at === 'leaf'
                ? 'Leaf in its swing'
                : at === 'worst'
                  ? 'Worst place'
                  : `At ${ends[at === 'start' ? 0 : 1]}`
            }
            selected={cut === at}
            onPress={() => onCut(at)}
          />
        ))}
      </View>
      {opening.kind === 'door' ? (
        <>
          <LeafFold shown={shown} room={room} opening={opening} judged={judged} />
          <UndercutFold room={room} cuts={heights.undercuts.filter(({ openingId }) => openingId === opening.id)} />
        </>
      ) : null}
    </View>
  );
}

/** A step along an opening as it is walked out of the room: up, down, or some of both. */
function stepWords({ minMm, maxMm }: StepProfile, units: UnitSystem): string {
  const way = minMm >= 0 ? 'down' : maxMm <= 0 ? 'up' : null;
  const [a, b] = way === 'up' ? [-maxMm, -minMm] : [minMm, maxMm];
  const words =
    formatGap(a, units) === formatGap(b, units)
      ? gapWords(b, units)
      : `${formatGap(a, units)} to ${gapWords(b, units)}`;
  return way && formatGap(b, units) !== formatGap(0, units) ? `${words} ${way}` : words;
}

/** The limit of the bar below the one that was chosen: what the step was past. */
function smallerLimit(worstMm: number | null, { rules: { limits } }: Heights): { mm: number; words: string } | null {
  if (worstMm === null) return null;
  const past = [
    { mm: limits.flatMm, words: 'flat bar' },
    { mm: limits.tiltedMm, words: 'T on a wedge' },
    { mm: limits.reducerMm, words: 'reducer' },
  ].filter(({ mm }) => mm < worstMm);
  return past.at(-1) ?? { mm: limits.flatMm, words: 'flat bar' };
}

const styles = StyleSheet.create({
  box: { padding: SPACE.edge, gap: SPACE.part },
  line: { flexDirection: 'row', alignItems: 'center', gap: SPACE.part },
  grow: { flex: 1 },
  cuts: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.gap },
});
