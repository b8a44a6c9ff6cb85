import { View } from 'react-native';
import { only } from '@maquette/core/fields';
import {
  FRAME_KINDS,
  LEAF_KINDS,
  type LeafClearance,
  type LeafVerdict,
  type OpeningJudged,
} from '@maquette/core/heights';
import type { Opening, RoomFacts } from '@maquette/core/room';
import { formatReach, formatVolume, gapWords, type UnitSystem } from '@maquette/core/units';
import { HEIGHT_DONE } from '@maquette/core/heights';
import { bodyOf, KINDS } from '@maquette/facts';
import { newId } from '../../data/ids.ts';
import type { ShownRoom } from '../../data/use-facts.ts';
import { write } from '../../data/write.ts';
import { FactField } from '../../form/fact-field.tsx';
import { useFactForm } from '../../form/fact-form.ts';
import { SPACE } from '../../theme/theme.tsx';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { Choice } from '../../ui/choice.tsx';
import { Fold } from '../../ui/fold.tsx';
import { Words } from '../../ui/text.tsx';
import { FRAME_WORDS, LEAF_WORDS, newLeaf } from './leaf-words.ts';
import { toggleTick } from '../toggle-tick.ts';

const SIZES = only(KINDS.leaves.fields, 'cutBeforeMm', 'opensDeg', 'rugMm', 'airMm');

interface Props {
  shown: ShownRoom;
  room: RoomFacts;
  opening: Opening;
  judged: OpeningJudged;
}

/** The leaf over the new floor: what clears, where it is least, what comes off and who decides; below it what is known of the leaf. */
export function LeafFold({ shown, room, opening, judged }: Props) {
  const { units } = room;
  const held = shown.leaves.findLast(({ openingId }) => openingId === opening.id);
  const leaf = held ? bodyOf(held) : newLeaf(opening.id, {});
  const put = (words: string, part: Partial<typeof leaf>) =>
    write(words, [{ kind: 'leaves', id: held?.id ?? newId(), roomId: room.id, body: { ...leaf, ...part } }]);
  const form = useFactForm(SIZES, leaf, units, (part) => put('Leaf measured', part));
  const { clearance, leaf: verdict } = judged;
  const key = `${HEIGHT_DONE}leaf/${opening.id}`;
  const isCut = shown.ticks.some((tick) => tick.key === key);
  return (
    <Fold
      title="The leaf"
      aside={leafAside(verdict, units)}
      open={verdict?.what === 'stop' || verdict?.what === 'trim'}
      memory={`leaf/${opening.id}`}
    >
      {clearance ? (
        <Words testID="clearance">{clearanceWords(clearance, units)}</Words>
      ) : (
        <Words>Read its underside at the hinge and at the latch, and the floor on both sides.</Words>
      )}
      {verdict?.what === 'trim' ? (
        <>
          <Words bold>{`Take ${gapWords(verdict.parallel.hingeMm, units)} off its underside, evenly.`}</Words>
          {verdict.tapered ? (
            <Words>{`Or tapered: ${gapWords(verdict.tapered.hingeMm, units)} at the hinge, ${gapWords(verdict.tapered.latchMm, units)} at the latch.`}</Words>
          ) : null}
          {judged.grindL === null ? null : (
            <Words>{`Or grind the floor under its swing instead, where it may be ground: ${formatVolume(judged.grindL, units)} at most.`}</Words>
          )}
          <Words size="small">
            Old paint may hold lead: saw with extraction, do not sand. Lift the leaf off and cut it where nobody
            breathes the dust.
          </Words>
          <ButtonRow>
            <Button
              label={isCut ? 'Not cut after all' : 'The leaf is cut'}
              selected={isCut}
              onPress={() => void toggleTick(shown, key, 'Leaf cut')}
            />
          </ButtonRow>
        </>
      ) : null}
      {verdict?.what === 'stop' ? (
        <Words bold>
          {verdict.why.startsWith('fire')
            ? 'Do not cut it, and do not sink the floor under it. The door’s maker or a fire door inspector decides.'
            : 'Do not cut it. Ask its maker, hang another leaf, use rising hinges, or lower the build-up.'}
        </Words>
      ) : null}
      <View style={{ gap: SPACE.part }}>
        <Choice
          label="What leaf it is"
          inline
          value={leaf.kind}
          options={LEAF_KINDS.map((value) => ({ value, label: LEAF_WORDS[value] }))}
          onChange={(kind) => void put(`Leaf: ${LEAF_WORDS[kind]}`, { kind })}
        />
        <Choice
          label="What its frame is of"
          inline
          value={leaf.frame}
          options={FRAME_KINDS.map((value) => ({ value, label: FRAME_WORDS[value] }))}
          onChange={(frame) => void put(`Frame: ${FRAME_WORDS[frame]}`, { frame })}
        />
        <Choice
          label="A drop seal in its underside"
          inline
          value={leaf.dropSeal ? 'yes' : 'no'}
          options={[
            { value: 'no', label: 'None' },
            { value: 'yes', label: 'It has one' },
          ]}
          onChange={(value) => void put('Drop seal', { dropSeal: value === 'yes' })}
        />
        <FactField form={form} name="cutBeforeMm" label="Cut off it earlier" />
        <FactField form={form} name="opensDeg" label="Opens so far" unit="°" decimals={0} />
        <FactField form={form} name="rugMm" label="A mat or rug it passes over" />
        <FactField
          form={form}
          name="airMm"
          label="Air asked for under it"
          hint="Leave empty where none is asked for."
        />
      </View>
    </Fold>
  );
}

/** Where a leaf clears the floor least, or fouls it, and from which angle on. */
function clearanceWords({ leastMm, fromHingeMm, atDeg, closedMm, bindsDeg }: LeafClearance, units: UnitSystem): string {
  const where = `${formatReach(fromHingeMm, units)} from the hinge, ${atDeg < 0.5 ? 'closed' : `${Math.round(atDeg)}° open`}`;
  if (leastMm < 0)
    return `It would foul what lies beneath it by ${gapWords(-leastMm, units)}: ${where}${bindsDeg === null || bindsDeg < 0.5 ? '' : `. It binds from ${Math.round(bindsDeg)}° on`}.`;
  const closed = atDeg < 0.5 ? '' : ` Closed it clears what lies in the opening by ${gapWords(closedMm, units)}.`;
  return `It clears the new floor by ${gapWords(leastMm, units)} at least: ${where}.${closed}`;
}

function leafAside(verdict: LeafVerdict | null, units: UnitSystem): string {
  if (!verdict || verdict.what === 'measure') return 'to be read';
  if (verdict.what === 'nothing') return 'swings free';
  return verdict.what === 'trim' ? `cut ${gapWords(verdict.parallel.hingeMm, units)}` : 'stop';
}
