import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { useRouter } from 'expo-router';
import type { JudgedOption, UnderOfRoom } from '@maquette/core';
import { FIGURES, UNDER_FIGURES, type FigureName } from '@maquette/core/figures';
import type { RoomFacts } from '@maquette/core/room';
import type { Criterion } from '@maquette/core/verdict';
import { KINDS } from '@maquette/facts';
import type { ShownRoom } from '../../data/use-facts.ts';
import { write } from '../../data/write.ts';
import { OneField } from '../../form/one-field.tsx';
import { SPACE } from '../../theme/theme.tsx';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { Fold } from '../../ui/fold.tsx';
import { useSay } from '../../ui/shown-in.tsx';
import { Words } from '../../ui/text.tsx';
import { CriteriaList } from '../criteria-list.tsx';
import { FiguresFold } from '../figures-fold.tsx';
import type { NamedFigure } from '../named-figure.ts';
import { AskedFold } from './asked-fold.tsx';
import { OptionCard } from './option-card.tsx';
import { optionName } from './option-words.ts';
import { RULE_SCHOOLS, SchoolsFold } from './schools-fold.tsx';
import { takeChoice } from './take-option.ts';

const WEIGHTS = (Object.keys(UNDER_FIGURES) as FigureName[])
  .filter((name) => name.startsWith('under-weight'))
  .map((name): NamedFigure => [name, FIGURES[name]]);
/** So many that may be laid stand open; the rest are a press away. */
const SHOWN_FIRST = 3;

/** What could lie under the planks, the best first, and why the rest may not. */
export function ChooseTab({
  shown,
  room,
  under,
  criteria,
  onRoom,
  onRolls,
}: {
  shown: ShownRoom;
  room: RoomFacts;
  under: UnderOfRoom;
  criteria: readonly Criterion[];
  onRoom: () => void;
  onRolls: () => void;
}) {
  const router = useRouter();
  const say = useSay();
  const [all, setAll] = useState(false);
  const currency = shown.job?.currency ?? '';
  const { options, choice, chosen } = under;
  const take = ({ offered }: JudgedOption) =>
    void write(
      `Under the planks: ${optionName(offered)}`,
      takeChoice(shown, under.cards, {
        underlayId: offered.underlay?.id ?? null,
        filmId: offered.film?.id ?? null,
        isLayerChosen: true,
      }),
    );
  const isChosen = ({ offered }: JudgedOption) => offered.id === chosen?.offered.id;
  const free = options.filter(({ merit }) => merit === 'free');
  const card = (option: JudgedOption) => (
    <OptionCard
      key={option.offered.id}
      option={option}
      room={room}
      currency={currency}
      isChosen={isChosen(option)}
      isHeld={option.merit !== 'free'}
      isNext={!chosen && option === free[0]}
      onTake={() => take(option)}
      onRolls={onRolls}
    />
  );
  const open = options.filter(({ merit }) => merit === 'open');
  const refused = options.filter(({ merit }) => merit === 'refused');
  const others = free.filter((option) => !isChosen(option));
  return (
    <View style={styles.box} testID="choose">
      <CriteriaList criteria={criteria} />
      <View style={styles.list}>
        <AskedFold shown={shown} room={room} under={under} onRoom={onRoom} />
        {chosen ? (
          <>
            {card(chosen)}
            <OneField
              of={KINDS.underChoices.fields.note}
              value={choice?.note ?? ''}
              units={room.units}
              label="Note to the choice"
              onTaken={(note) => write('Note to the choice', takeChoice(shown, under.cards, { note }))}
            />
          </>
        ) : null}
        {under.roomBreaks.length > 0 ? (
          <View style={styles.first}>
            <Words>Whatever is laid, this comes first:</Words>
            {under.roomBreaks.map(({ rule, why }) => (
              <Words key={rule} size="small">{`${rule}: ${say(why)}`}</Words>
            ))}
          </View>
        ) : null}
        {others.length > 0 ? (
          <Words
            bold
          >{`${others.length} ${chosen ? 'more ' : ''}may ${under.roomBreaks.length > 0 ? 'then ' : ''}be laid here, the best first`}</Words>
        ) : free.length === 0 ? (
          <Words bold>Nothing may be laid here yet.</Words>
        ) : null}
        {(all ? others : others.slice(0, SHOWN_FIRST)).map(card)}
        {!all && others.length > SHOWN_FIRST ? (
          <Button label={`Show ${others.length - SHOWN_FIRST} more`} onPress={() => setAll(true)} />
        ) : null}
        {open.length > 0 ? (
          <Fold
            title="Something has to be known first"
            aside={String(open.filter((option) => !isChosen(option)).length)}
            open={free.length === 0}
            memory={`under-open/${room.id}`}
          >
            {open.filter((option) => !isChosen(option)).map(card)}
          </Fold>
        ) : null}
        {refused.length > 0 ? (
          <Fold title="May not be laid here" aside={String(refused.filter((option) => !isChosen(option)).length)}>
            {refused.filter((option) => !isChosen(option)).map(card)}
          </Fold>
        ) : null}
        <SchoolsFold shown={shown} schools={RULE_SCHOOLS} title="Where installers differ" />
        <Words size="small">
          A thicker underlay never makes up for a floor that is not flat: it gives way where the plank needs support.
        </Words>
        <FiguresFold shown={shown} figures={WEIGHTS} />
        <ButtonRow>
          <Button label="Cards of underlays, films and panels" onPress={() => router.push('/cards/under')} />
        </ButtonRow>
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  box: { gap: SPACE.part },
  first: { gap: SPACE.near },
  list: { paddingHorizontal: SPACE.edge, gap: SPACE.part, paddingBottom: SPACE.edge },
});
