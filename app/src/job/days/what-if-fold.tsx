import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { SHIPPED_CARDS, type CoveringCard } from '@maquette/core/coverings';
import { bodyOf } from '@maquette/facts';
import type { JobCourse, WhatIf } from '@maquette/core/planning';
import { SPACE, usePalette } from '../../theme/theme.tsx';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { Choice } from '../../ui/choice.tsx';
import { Fold } from '../../ui/fold.tsx';
import { useSay } from '../../ui/shown-in.tsx';
import { Words } from '../../ui/text.tsx';
import { moreWords } from '../more-words.ts';
import { dayWords, halfDaysBetween, laterWords } from '../day-words.ts';
import { useWhatIfs, type CourseShown } from '../use-course.ts';

/** Ways the job could go otherwise, side by side: dates, money, and what then holds it up. */
export function WhatIfs({ shown, course, currency }: { shown: CourseShown; course: JobCourse; currency: string }) {
  const { rows, failed, working, work, stop } = useWhatIfs(shown.ask, course);
  const [cardId, setCardId] = useState('');
  const cards: CoveringCard[] = [
    ...shown.book.cards.map((card) => ({ ...bodyOf(card), id: card.id })),
    ...SHIPPED_CARDS,
  ];
  if (working !== null)
    return (
      <View style={styles.box} role="status">
        <Words figure>{`Every case is planned beside the others, ${Math.round(working * 100)} % …`}</Words>
        <ButtonRow>
          <Button label="Stop" hint="working the cases out" onPress={stop} />
        </ButtonRow>
      </View>
    );
  return (
    <View style={styles.box} testID="what-ifs">
      {failed ? <Words role="alert">{failed}</Words> : null}
      {rows ? (
        <>
          <View role="list">
            {rows.map((row) => (
              <Row key={row.id} row={row} base={rows[0]!} today={course.days.today} currency={currency} />
            ))}
          </View>
          <Words size="small" quiet>
            Each case is planned by its own best order and by those of all others, and drawn with the same chances: what
            is harder is never shown as earlier. Money is cost, without margin and tax.
          </Words>
        </>
      ) : (
        <Words size="small" quiet>
          One person more, Saturdays, a dryer, another compound, furniture elsewhere: what each does to the date and to
          the cost.
        </Words>
      )}
      <Fold title="With another covering" aside={cards.find(({ id }) => id === cardId)?.name ?? 'none'}>
        <Choice
          label="In the rooms that take the covering most of the floor has"
          value={cardId}
          options={[{ value: '', label: 'None' }, ...cards.map(({ id, name }) => ({ value: id, label: name }))]}
          onChange={setCardId}
        />
      </Fold>
      <ButtonRow>
        <Button
          label={rows ? 'Work them out again' : 'Compare the cases'}
          onPress={() => work(cards.find(({ id }) => id === cardId) ?? null)}
        />
      </ButtonRow>
    </View>
  );
}

function Row({ row, base, today, currency }: { row: WhatIf; base: WhatIf; today: string; currency: string }) {
  const say = useSay();
  const palette = usePalette();
  const isBase = row.id === base.id;
  const day = (half: WhatIf['laying']) => (half ? dayWords(half.day, today) : 'beyond eleven months');
  const against = (a: WhatIf['laying'], b: WhatIf['laying']) =>
    isBase || !a || !b ? '' : `, ${laterWords(halfDaysBetween(a, b))}`;
  return (
    <View role="listitem" style={[styles.row, { borderColor: palette.rule }]}>
      <Words bold>{say(row.words)}</Words>
      <Words figure>{`Planks ${day(row.laying)}${against(base.laying, row.laying)}`}</Words>
      <Words figure>{`Promise ${day(row.promised.laying)}${against(base.promised.laying, row.promised.laying)}`}</Words>
      {isBase ? null : <Words figure>{`Cost ${moreWords(row.moreCents, currency)}`}</Words>}
      {row.binds ? <Words size="small" quiet>{`Holds it up longest: ${say(row.binds)}`}</Words> : null}
    </View>
  );
}

const styles = StyleSheet.create({
  box: { gap: SPACE.gap },
  row: { borderBottomWidth: 1, paddingVertical: SPACE.gap },
});
