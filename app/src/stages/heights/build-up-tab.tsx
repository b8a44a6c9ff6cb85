import { StyleSheet, View } from 'react-native';
import { ACCESS, accessOf, usualBuildUp } from '@maquette/core/heights';
import { HEIGHT_FIGURES, FIGURES, type FigureName } from '@maquette/core/figures';
import { only } from '@maquette/core/fields';
import type { RoomFacts } from '@maquette/core/room';
import { gapWords } from '@maquette/core/units';
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
import { useSay } from '../../ui/shown-in.tsx';
import { Words } from '../../ui/text.tsx';
import { FiguresFold } from '../figures-fold.tsx';
import type { NamedFigure } from '../named-figure.ts';
import { useAnswers } from '../use-answers.ts';
import type { Heights } from './height-asks.ts';
import { finishedWords } from './heights-sheet.tsx';

const LAID = only(
  KINDS.buildUps.fields,
  'panelMm',
  'filmMm',
  'underlayMm',
  'kPaAtHalfMm',
  'setShare',
  'coveringMm',
  'coveringKgM2',
);

const FIGURES_HERE = (Object.keys(HEIGHT_FIGURES) as FigureName[]).map((name): NamedFigure => [name, FIGURES[name]]);

/** What goes down here from below, and what it comes to under its own weight and once it is lived on. */
export function BuildUpTab({ shown, room, heights }: { shown: ShownRoom; room: RoomFacts; heights: Heights }) {
  const say = useSay();
  const { units } = room;
  const answers = useAnswers(shown);
  const held = shown.buildUps.at(-1);
  const body = held ? bodyOf(held) : usualBuildUp(shown.card!);
  const put = (words: string, part: Partial<typeof body>) =>
    write(words, [{ kind: 'buildUps', id: held?.id ?? newId(), roomId: room.id, body: { ...body, ...part } }]);
  const form = useFactForm(LAID, body, units, (part) => put('Build-up', part));
  const { addsMm } = heights;
  const access = accessOf(shown.job?.country ?? null, shown.plain.figures);
  return (
    <View style={styles.box}>
      <Words bold size="large" figure testID="adds">
        {`${gapWords(addsMm.new, units)} new, ${gapWords(addsMm.used, units)} once lived on`}
      </Words>
      <Words size="small">
        {held
          ? 'As it was stated for this room.'
          : 'Usual for this covering until somebody says otherwise; the maker’s sheet decides.'}
      </Words>
      {heights.finished ? (
        <Words
          size="small"
          testID="finished"
        >{`The sheet shows the finished floor: ${finishedWords(heights.finished, room)}`}</Words>
      ) : null}
      <FactField form={form} name="panelMm" label="Panel on the surface that stays" />
      <FactField form={form} name="filmMm" label="Film" />
      <FactField
        form={form}
        name="underlayMm"
        label="Underlay"
        hint="Leave empty where none is laid, or where the planks have a pad of their own."
      />
      <FactField
        form={form}
        name="kPaAtHalfMm"
        label="Pressure at which it gives way by half a millimetre"
        unit="kPa"
        decimals={0}
      />
      <FactField
        form={form}
        name="setShare"
        label="Share of its thickness it loses for good"
        decimals={2}
        hint="0.05 as a rule, up to 0.15; 0 for rubber and cork."
      />
      <FactField
        form={form}
        name="coveringMm"
        label="Planks, with their adhesive"
        hint="Leave empty to take the thickness on the card."
      />
      <FactField form={form} name="coveringKgM2" label="What the planks weigh on a square metre" unit="kg/m²" />
      {held ? (
        <ButtonRow>
          <Button
            label="Back to what is usual"
            onPress={() =>
              void write('Build-up: back to what is usual', [
                { kind: 'buildUps', id: held.id, roomId: room.id, body: bodyOf(held), deleted: true },
              ])
            }
          />
        </ButtonRow>
      ) : null}
      <Fold title="How it is worked out">
        <Words>
          Panel, film, underlay and planks, one on the other. An underlay gives way by half a millimetre at its
          pressure, and by as much less as less presses on it, never by more than half of itself. New, the planks alone
          press on it. Lived on, 2 kPa press on it as well and it has lost its share for good. Doors, flanges, bays and
          skirting are held against the new floor, the gap under a fire leaf against the one lived on, and steps against
          both.
        </Words>
      </Fold>
      <Choice
        label="Do access rules apply here?"
        inline
        value={answers.to(ACCESS) ?? 'no'}
        options={[
          { value: 'no', label: 'No' },
          { value: 'yes', label: 'Yes: hold every edge against them' },
        ]}
        onChange={(value) => void answers.set(ACCESS, value, 'Access rules')}
      />
      {answers.to(ACCESS) === 'yes' ? (
        <Words size="small" testID="access">
          {`An edge up to ${gapWords(access.rule.uprightMm, units)} stands upright, up to ${gapWords(access.rule.bevelledMm, units)} it is bevelled 1 in ${access.rule.bevelRatio}, over that it is a ramp of 1 in ${access.rule.rampRatio}. ${say(access.source)}.`}
        </Words>
      ) : null}
      <FiguresFold shown={shown} figures={FIGURES_HERE} />
    </View>
  );
}

const styles = StyleSheet.create({ box: { padding: SPACE.edge, gap: SPACE.part } });
