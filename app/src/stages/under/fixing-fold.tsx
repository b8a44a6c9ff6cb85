import { StyleSheet, View } from 'react-native';
import type { PanelsOfJob, PanelsOfRoom } from '@maquette/core';
import type { RoomFacts } from '@maquette/core/room';
import { formatGap, gapWords, unitLabel } from '@maquette/core/units';
import { BASE_THINNEST, FIXED_BY, FIXINGS_AT, LOCATED, PITCHES } from '@maquette/core/under/questions';
import type { ShownRoom } from '../../data/use-facts.ts';
import { OneField } from '../../form/one-field.tsx';
import { SPACE } from '../../theme/theme.tsx';
import { Choice } from '../../ui/choice.tsx';
import { counted } from '../../ui/counted.ts';
import { Fold } from '../../ui/fold.tsx';
import { Words } from '../../ui/text.tsx';
import { useAnswers } from '../use-answers.ts';

const REFUSED = {
  measure: 'How thick the base is where it is thinnest is not known: nothing is fixed until it is.',
  services:
    'Nothing that is sold holds the panel and stays in the base. Locate pipes and cables, take a thinner panel, or glue it as its sheet says.',
  none: 'Nothing that is sold may be used here: take a thinner panel, or glue it as its sheet says. Over heating nothing comes through the base.',
} as const;

/** How panels are fixed: how far apart, with what, and how long; refused where points would come through what is not located. */
export function FixingFold({
  shown,
  room,
  of,
  here,
}: {
  shown: ShownRoom;
  room: RoomFacts;
  of: PanelsOfJob;
  here: PanelsOfRoom;
}) {
  const answers = useAnswers(shown);
  const { units } = room;
  const { fixing, pitch } = here;
  const all = of.rooms.reduce((sum, { fixings }) => sum + fixings, 0);
  const pitchWords = (school: '75/150' | '50/100') =>
    `${formatGap(PITCHES[units][school].edgeMm, units)} and ${formatGap(PITCHES[units][school].fieldMm, units)} ${unitLabel(units)}`;
  const length = fixing.lengthMm === null ? null : gapWords(fixing.lengthMm, units);
  return (
    <Fold
      title="Fixings"
      aside={`${counted(here.fixings, 'fixing')}${length ? `, ${length}` : ''}`}
      open={length === null}
      memory={`fixings/${room.id}`}
    >
      <View style={styles.box}>
        {fixing.why === null ? (
          <Words bold>{`${length} long: three times the panel at least, and its point stays in the base.`}</Words>
        ) : (
          <Words bold role="alert">
            {REFUSED[fixing.why]}
          </Words>
        )}
        <Words>
          {`${formatGap(pitch.edgeMm, units)} ${unitLabel(units)} apart along every edge, cut ones too, and ${formatGap(pitch.fieldMm, units)} ${unitLabel(units)} in the field, ${gapWords(pitch.insetMm, units)} in from the edge: ${here.fixings} here${of.rooms.length > 1 ? `, ${all} over ${of.rooms.length} rooms` : ''}.`}
        </Words>
        <OneField
          of={BASE_THINNEST.takes}
          value={answers.to(BASE_THINNEST)}
          units={units}
          label="Base, where it is thinnest"
          hint="Look at an edge, at a register or at a lifted board."
          onTaken={(value) => answers.set(BASE_THINNEST, value, 'Base where it is thinnest')}
        />
        <Choice
          label="Are pipes and cables beneath located?"
          inline
          value={answers.to(LOCATED) ?? 'no'}
          options={[
            { value: 'no', label: 'No' },
            { value: 'yes', label: 'Yes, and marked' },
          ]}
          onChange={(value) => void answers.set(LOCATED, value, 'Pipes and cables located')}
        />
        <Choice
          label="How far apart"
          inline
          value={answers.to(FIXINGS_AT) ?? '75/150'}
          options={[
            {
              value: '75/150',
              label: `${pitchWords('75/150')} (usual)`,
            },
            { value: '50/100', label: pitchWords('50/100') },
            { value: 'own', label: 'As set below' },
          ]}
          onChange={(value) => void answers.set(FIXINGS_AT, value, 'Fixings, how far apart')}
        />
        <Choice
          label="With what"
          value={answers.to(FIXED_BY) ?? 'staples'}
          options={[
            {
              value: 'staples',
              label: 'Divergent staples (usual)',
              note: 'quick, and their legs spread so that they do not work loose',
            },
            { value: 'screws', label: 'Screws', note: 'the surest hold, and they come out again' },
            { value: 'nails', label: 'Ring-shank nails', note: 'many lay them; some squeak after years' },
          ]}
          onChange={(value) => void answers.set(FIXED_BY, value, 'Panels fixed with')}
        />
      </View>
    </Fold>
  );
}

const styles = StyleSheet.create({ box: { gap: SPACE.part } });
