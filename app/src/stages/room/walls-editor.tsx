import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { only } from '@maquette/core/fields';
import {
  outlineOf,
  rectangleWalls,
  turnWords,
  WALL,
  WALL_COUNT,
  wallName,
  type Start,
  type Wall,
} from '@maquette/core/room';
import { formatReach, type UnitSystem } from '@maquette/core/units';
import { usePalette, SPACE } from '../../theme/theme.tsx';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { Choice } from '../../ui/choice.tsx';
import { FactField } from '../../form/fact-field.tsx';
import { useFactForm } from '../../form/fact-form.ts';
import { Words } from '../../ui/text.tsx';
import type { Renumber } from './room-change.ts';
import { useSay } from '../../ui/shown-in.tsx';

interface Props {
  walls: readonly Wall[];
  start: Start;
  units: UnitSystem;
  /** A draft may be open or crossed; only a sound outline is handed over. */
  onTaken: (walls: Wall[], words: string, renumber?: Renumber) => unknown;
  /** Shows a draft on the sheet while it is not sound yet. */
  onDraft: (walls: Wall[] | null) => void;
}

const TURNS = [
  { value: '90', label: 'Left' },
  { value: '-90', label: 'Right' },
  { value: '0', label: 'Straight on' },
  { value: 'other', label: 'Other angle' },
] as const;

const WALL_FIELDS = only(WALL, 'lengthMm', 'turnDeg', 'name');

/** Walls by length and turn, walked with the room on the left hand. Edits stay as a draft until the outline closes and is sound. */
export function WallsEditor({ walls, start, units, onTaken, onDraft }: Props) {
  const say = useSay();
  const palette = usePalette();
  const [draft, setDraft] = useState<Wall[] | null>(null);
  const [at, setAt] = useState(0);
  const shown = draft ?? [...walls];
  const outline = outlineOf(shown, start);
  const wall = shown[Math.min(at, shown.length - 1)]!;
  const index = Math.min(at, shown.length - 1);

  const edit = (next: Wall[], words: string, renumber?: Renumber) => {
    const checked = outlineOf(next, start);
    if (checked.problem) {
      setDraft(next);
      onDraft(next);
    } else {
      setDraft(null);
      onDraft(null);
      onTaken(next, words, renumber);
    }
  };
  const change = (part: Partial<Wall>) =>
    edit(
      shown.map((w, i) => {
        if (i !== index) return w;
        const { drawn, ...taped } = w;
        // A length that was keyed is no longer one off the drawing.
        return { ...taped, ...(drawn && part.lengthMm === undefined ? { drawn } : {}), ...part };
      }),
      `${wallName(shown, index)} changed`,
    );
  const add = () => {
    // Halving the wall keeps the room closed: the new piece is then turned and measured.
    const half = wall.lengthMm / 2;
    edit(
      [
        ...shown.slice(0, index),
        { ...wall, lengthMm: half, turnDeg: 0, drawn: true },
        { lengthMm: half, turnDeg: wall.turnDeg, drawn: true },
        ...shown.slice(index + 1),
      ],
      `${wallName(shown, index)} divided`,
      (o) =>
        o.wall < index || (o.wall === index && o.fromMm < half)
          ? o
          : { wall: o.wall + 1, fromMm: o.wall === index ? o.fromMm - half : o.fromMm },
    );
    setAt(index + 1);
  };
  const alcove = (out: boolean) => {
    // A wall in three parts with the middle set out (alcove) or in (a breast or pier) by 500 mm: sizes are then corrected.
    const third = Math.round(wall.lengthMm / 3);
    const [first, back] = out ? [-90, 90] : [90, -90];
    const parts: Wall[] = [
      { lengthMm: third, turnDeg: first },
      { lengthMm: 500, turnDeg: back },
      { lengthMm: wall.lengthMm - 2 * third, turnDeg: back },
      { lengthMm: 500, turnDeg: first },
      { ...wall, lengthMm: third },
    ].map((part) => ({ ...part, drawn: true }));
    edit(
      [...shown.slice(0, index), ...parts, ...shown.slice(index + 1)],
      out ? 'Alcove added' : 'Breast added',
      (o) => {
        if (o.wall !== index) return o.wall < index ? o : { wall: o.wall + 4, fromMm: o.fromMm };
        const part = Math.min(2, Math.floor(o.fromMm / third));
        return { wall: index + 2 * part, fromMm: o.fromMm - part * third };
      },
    );
    setAt(index + 2);
  };
  const lShape = () => {
    const r = shown.length === 4 ? shown : rectangleWalls(4000, 3000);
    const [a, b] = [r[0]!.lengthMm, r[1]!.lengthMm];
    edit(
      [
        { lengthMm: a, turnDeg: 90 },
        { lengthMm: Math.round(b / 2), turnDeg: 90, drawn: true },
        { lengthMm: Math.round(a / 2), turnDeg: -90, drawn: true },
        { lengthMm: b - Math.round(b / 2), turnDeg: 90, drawn: true },
        { lengthMm: a - Math.round(a / 2), turnDeg: 90, drawn: true },
        { lengthMm: b, turnDeg: 90 },
      ],
      'L shape',
      (o) => ({ wall: o.wall < 2 ? o.wall : o.wall + 2, fromMm: o.fromMm }),
    );
  };
  return (
    <View style={styles.box}>
      <View role="radiogroup" accessibilityLabel="Wall to change" style={styles.chips}>
        {shown.map((w, i) => (
          <Button
            key={i}
            label={wallName(shown, i)}
            hint={`${formatReach(w.lengthMm, units)}, then ${say(turnWords(w.turnDeg))}`}
            selected={i === index}
            onPress={() => setAt(i)}
            style={styles.chip}
          />
        ))}
      </View>
      <WallFields key={index} wall={wall} name={wallName(shown, index)} units={units} change={change} />
      <ButtonRow>
        <Button
          label="Divide wall"
          off={shown.length >= WALL_COUNT.max ? `A room takes ${WALL_COUNT.max} walls.` : null}
          onPress={add}
        />
        <Button label="Alcove" onPress={() => alcove(true)} />
        <Button label="Breast" onPress={() => alcove(false)} />
        {shown.length === 4 ? <Button label="Make it an L" onPress={lShape} /> : null}
        <Button
          label="Take wall out"
          off={shown.length <= WALL_COUNT.min ? `A room needs ${WALL_COUNT.min} walls.` : null}
          onPress={() =>
            edit(
              shown.filter((_, i) => i !== index),
              `${wallName(shown, index)} taken out`,
              (o) => (o.wall === index ? null : { wall: o.wall > index ? o.wall - 1 : o.wall, fromMm: o.fromMm }),
            )
          }
        />
      </ButtonRow>
      {outline.problem ? (
        <View role="alert" style={[styles.alert, { backgroundColor: palette.highWash }]}>
          <Words bold>{say(outline.problem.words)}</Words>
          <Words size="small">The room on record stays as it was until the walls close.</Words>
          <ButtonRow>
            <Button
              label="Back to the room on record"
              onPress={() => {
                setDraft(null);
                onDraft(null);
              }}
            />
          </ButtonRow>
        </View>
      ) : (
        <Words
          size="small"
          figure
          quiet
          testID="closing"
        >{`Closing error ${formatReach(Math.round(outline.closingMm), units)} in ${formatReach(
          shown.reduce((sum, w) => sum + w.lengthMm, 0),
          units,
        )} of wall`}</Words>
      )}
    </View>
  );
}

function WallFields({
  wall,
  name,
  units,
  change,
}: {
  wall: Wall;
  name: string;
  units: UnitSystem;
  change: (part: Partial<Wall>) => unknown;
}) {
  const form = useFactForm(WALL_FIELDS, { ...wall, name: wall.name ?? '' }, units, change);
  const turnValue = TURNS.some((t) => t.value === String(wall.turnDeg)) ? String(wall.turnDeg) : 'other';
  return (
    <>
      <FactField form={form} name="lengthMm" label={`Length of ${name}`} />
      <Choice
        label={`At the end of ${name} turn`}
        inline
        value={turnValue as (typeof TURNS)[number]['value']}
        options={TURNS}
        onChange={(value) => change({ turnDeg: value === 'other' ? 45 : Number(value) })}
      />
      {turnValue === 'other' ? (
        <FactField form={form} name="turnDeg" label="Turn" hint="Left is positive. A square inside corner is 90." />
      ) : null}
      <FactField form={form} name="name" label="What this wall is called (if anything)" />
    </>
  );
}

const styles = StyleSheet.create({
  box: { gap: SPACE.part },
  chips: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.near },
  chip: { minWidth: 52, flexGrow: 0, paddingHorizontal: SPACE.gap },
  alert: { padding: SPACE.part, gap: SPACE.gap },
});
