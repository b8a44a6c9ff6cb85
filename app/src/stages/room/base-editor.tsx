import { View } from 'react-native';
import { only } from '@maquette/core/fields';
import {
  BASE,
  BASE_KINDS,
  BASE_RANGES,
  BASE_WORDS,
  BENEATH_KINDS,
  BENEATH_WORDS,
  GRADE_WORDS,
  GRADES,
  HEATING_WORDS,
  HEATINGS,
  isTimber,
  UNKNOWN_BASE,
  type BaseDetails,
  type BaseKind,
  type RoomFacts,
} from '@maquette/core/room';
import type { UnitSystem } from '@maquette/core/units';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { Choice } from '../../ui/choice.tsx';
import { Fold } from '../../ui/fold.tsx';
import { FactField } from '../../form/fact-field.tsx';
import { useFactForm } from '../../form/fact-form.ts';
import { Words } from '../../ui/text.tsx';
import type { RoomChange } from './room-change.ts';
import { useSay } from '../../ui/shown-in.tsx';
import { SPACE } from '../../theme/theme.tsx';

/** What the planks will lie over, with what is known of it; and a second base beyond a dividing line. */
export function BaseEditor({ room, change }: { room: RoomFacts; change: RoomChange }) {
  const say = useSay();
  const { baseKind, base, secondBase, lines, units } = room;
  return (
    <View style={{ gap: SPACE.part }}>
      <Choice
        label="What the planks will lie over"
        value={baseKind}
        options={BASE_KINDS.map((kind) => ({ value: kind, label: say(BASE_WORDS[kind]) }))}
        onChange={(kind) =>
          void change('Base changed', {
            baseKind: kind,
            assumed: (room.assumed ?? []).filter((one) => one !== 'base'),
          })
        }
      />
      <Details
        kind={baseKind}
        base={base}
        units={units}
        onTaken={(part) => change('Base changed', { base: { ...base, ...part } })}
      />
      {secondBase ? (
        <Fold title="Second base, beyond the line" aside={say(BASE_WORDS[secondBase.kind])} open>
          <Choice
            label="What lies there"
            value={secondBase.kind}
            options={BASE_KINDS.map((kind) => ({ value: kind, label: say(BASE_WORDS[kind]) }))}
            onChange={(kind) => void change('Second base changed', { secondBase: { ...secondBase, kind } })}
          />
          <Choice
            label="On which side of the line"
            inline
            value={secondBase.where[0]?.side ?? 'left'}
            options={[
              { value: 'left', label: 'Left of it' },
              { value: 'right', label: 'Right of it' },
            ]}
            onChange={(side) =>
              void change('Second base changed', {
                secondBase: { ...secondBase, where: secondBase.where.map((w) => ({ ...w, side })) },
              })
            }
          />
          <Details
            kind={secondBase.kind}
            base={secondBase}
            units={units}
            onTaken={(part) => change('Second base changed', { secondBase: { ...secondBase, ...part } })}
          />
          <Button
            label="One base after all"
            onPress={() => void change('Second base taken out', { secondBase: null })}
          />
        </Fold>
      ) : lines.length > 0 ? (
        <ButtonRow>
          {lines.map((line) => (
            <Button
              key={line.id}
              label={`Another base beyond ${line.name}`}
              onPress={() =>
                void change('Second base put in', {
                  secondBase: { ...UNKNOWN_BASE, kind: 'slab-on-ground', where: [{ lineId: line.id, side: 'left' }] },
                })
              }
            />
          ))}
        </ButtonRow>
      ) : (
        <Words size="small" quiet>
          An extension with another base: draw a dividing line first.
        </Words>
      )}
    </View>
  );
}

const LENGTHS = only(
  BASE,
  'slabMm',
  'heatingDepthMm',
  'joistSpacingMm',
  'joistFirstMm',
  'panelLongMm',
  'panelShortMm',
  'seamXMm',
  'seamYMm',
);

function Details({
  kind,
  base,
  units,
  onTaken,
}: {
  kind: BaseKind;
  base: BaseDetails;
  units: UnitSystem;
  onTaken: (part: Partial<BaseDetails>) => unknown;
}) {
  const say = useSay();
  const form = useFactForm(LENGTHS, base, units, onTaken);
  const field = (name: keyof typeof LENGTHS) => (
    <FactField form={form} name={name} label={say(BASE_RANGES[name].words)} />
  );
  return (
    <View style={{ gap: SPACE.part }}>
      {!isTimber(kind) ? field('slabMm') : null}
      <Choice
        label="Beneath it"
        inline
        value={base.beneath}
        options={BENEATH_KINDS.map((value) => ({ value, label: say(BENEATH_WORDS[value]) }))}
        onChange={(beneath) => onTaken({ beneath })}
      />
      <Choice
        label="Place"
        inline
        value={base.grade}
        options={GRADES.map((value) => ({ value, label: say(GRADE_WORDS[value]) }))}
        onChange={(grade) => onTaken({ grade })}
      />
      <Choice
        label="Heating in the floor"
        inline
        value={base.heating}
        options={HEATINGS.map((value) => ({ value, label: say(HEATING_WORDS[value]) }))}
        onChange={(heating) => onTaken({ heating })}
      />
      {base.heating === 'water' || base.heating === 'electric' ? field('heatingDepthMm') : null}
      {isTimber(kind) ? (
        <>
          <Choice
            label="Joists run"
            inline
            value={
              base.joistDeg === null
                ? 'unknown'
                : base.joistDeg === 0
                  ? 'along'
                  : base.joistDeg === 90
                    ? 'across'
                    : 'other'
            }
            options={[
              { value: 'unknown', label: 'not recorded' },
              { value: 'along', label: 'along W1' },
              { value: 'across', label: 'across W1' },
            ]}
            onChange={(way) => onTaken({ joistDeg: way === 'unknown' ? null : way === 'along' ? 0 : 90 })}
          />
          {field('joistSpacingMm')}
          {base.joistDeg === null || base.joistSpacingMm === null ? null : field('joistFirstMm')}
        </>
      ) : null}
      {kind === 'panels-on-joists' ? (
        <Fold title="Panel seams" aside={base.panelLongMm === null ? 'not recorded' : 'recorded'}>
          {field('panelLongMm')}
          {field('panelShortMm')}
          {field('seamXMm')}
          {field('seamYMm')}
        </Fold>
      ) : null}
    </View>
  );
}
