import { StyleSheet, View } from 'react-native';
import type { UnderOfRoom } from '@maquette/core';
import { FIRE_CLASSES } from '@maquette/core/coverings';
import type { RoomFacts } from '@maquette/core/room';
import { ASKED_DB, ASKED_FIRE, BUMPS, CRAWL, ESCAPE, PLANKS_RUN, WET_ROOM } from '@maquette/core/under/questions';
import type { ShownRoom } from '../../data/use-facts.ts';
import { OneField } from '../../form/one-field.tsx';
import { SPACE } from '../../theme/theme.tsx';
import { Button } from '../../ui/button.tsx';
import { Choice } from '../../ui/choice.tsx';
import { Fold } from '../../ui/fold.tsx';
import { Words } from '../../ui/text.tsx';
import { useAnswers } from '../use-answers.ts';

const YES_NO = [
  { value: 'no', label: 'No' },
  { value: 'yes', label: 'Yes' },
] as const;

/** What the rules ask of the room and the drawing does not say. What is not known yet stands open. */
export function AskedFold({
  shown,
  room,
  under,
  onRoom,
}: {
  shown: ShownRoom;
  room: RoomFacts;
  under: UnderOfRoom;
  onRoom: () => void;
}) {
  const answers = useAnswers(shown);
  const { room: known } = under;
  const isCrawl = room.base.beneath === 'crawl-space';
  const unknown = [
    ...(room.base.beneath === 'unknown' && known.dwellingBelow === null ? ['what lies beneath'] : []),
    ...(known.heated === null ? ['whether it is heated'] : []),
  ];
  const open =
    unknown.length +
    (isCrawl && known.crawl === null ? 1 : 0) +
    (known.dwellingBelow && known.askedDb === null ? 1 : 0) +
    (known.isEscapeRoute && known.askedFireClass === null ? 1 : 0);
  return (
    <Fold
      title="What the rules ask of this room"
      aside={open === 0 ? 'all answered' : `${open} to answer`}
      open={open > 0}
      memory={`under-asked/${room.id}`}
    >
      <View style={styles.box}>
        {unknown.length > 0 ? (
          <>
            <Words>{`Nobody has said yet ${unknown.join(' and ')}.`}</Words>
            <Button label="Say so on Room" onPress={onRoom} />
          </>
        ) : null}
        {isCrawl ? (
          <Choice
            label="Is the ground of the crawl space covered with film?"
            inline
            value={answers.to(CRAWL) ?? 'unknown'}
            options={[
              { value: 'unknown', label: 'Not known' },
              { value: 'open', label: 'Open' },
              { value: 'covered', label: 'Covered' },
            ]}
            onChange={(value) => void answers.set(CRAWL, value, 'Ground of the crawl space')}
          />
        ) : null}
        {known.dwellingBelow ? (
          <OneField
            of={ASKED_DB.takes}
            value={answers.to(ASKED_DB)}
            units={room.units}
            label="Step noise to take away, dB"
            hint="The lease or the house rules say how much."
            decimals={0}
            onTaken={(value) => answers.set(ASKED_DB, value, 'Step noise asked')}
          />
        ) : null}
        <OneField
          of={BUMPS.takes}
          value={answers.to(BUMPS)}
          units={room.units}
          label="Largest bump that is left"
          hint="Slide a blade over joints and patches. Empty counts as none."
          onTaken={(value) => answers.set(BUMPS, value, 'Largest bump left')}
        />
        <Choice
          label="Is it a wet room?"
          inline
          value={answers.to(WET_ROOM) ?? 'no'}
          options={YES_NO}
          onChange={(value) => void answers.set(WET_ROOM, value, 'Wet room')}
        />
        <Choice
          label="Is it an escape route or a common stair?"
          inline
          value={answers.to(ESCAPE) ?? 'no'}
          options={YES_NO}
          onChange={(value) => void answers.set(ESCAPE, value, 'Escape route')}
        />
        {known.isEscapeRoute ? (
          <Choice
            label="Fire class asked for there"
            inline
            value={answers.to(ASKED_FIRE) ?? 'unknown'}
            options={[
              { value: 'unknown', label: 'Not known' },
              ...FIRE_CLASSES.map((value) => ({ value, label: value })),
            ]}
            onChange={(value) => void answers.set(ASKED_FIRE, value, 'Fire class asked')}
          />
        ) : null}
        <Choice
          label="Planks run, seen from the first wall"
          inline
          value={answers.to(PLANKS_RUN) ?? 'longest'}
          options={[
            ...(answers.to(PLANKS_RUN) === null ? [{ value: 'longest' as const, label: 'The longer way' }] : []),
            { value: 'along', label: 'Along it' },
            { value: 'across', label: 'Across it' },
          ]}
          onChange={(value) => {
            if (value !== 'longest') void answers.set(PLANKS_RUN, value, 'Planks run');
          }}
        />
      </View>
    </Fold>
  );
}

const styles = StyleSheet.create({ box: { gap: SPACE.part } });
