import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import {
  CONDITION_WORDS,
  CONDITIONS,
  FIXINGS,
  LAYER_KINDS,
  LAYER_RANGES,
  LAYERS,
  layerName,
  type AreaStack,
  type Layer,
  type Seam,
} from '@maquette/core/layers';
import { centreOf, wallName, type RoomFacts } from '@maquette/core/room';
import { bodyOf } from '@maquette/facts';
import type { ShownRoom } from '../../data/use-facts.ts';
import { write } from '../../data/write.ts';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { Choice } from '../../ui/choice.tsx';
import { Field } from '../../ui/field.tsx';
import { Fold } from '../../ui/fold.tsx';
import { LengthField } from '../../bench/length-field.tsx';
import { PhotoStrip } from '../../photos/photo-strip.tsx';
import { Words } from '../../ui/text.tsx';
import { useFollowing } from '../../ui/use-following.ts';
import { useSay } from '../../ui/shown-in.tsx';
import { usePlan } from '../../sheet/use-plan.ts';
import { SPACE } from '../../theme/theme.tsx';

interface Props {
  shown: ShownRoom;
  room: RoomFacts;
  layer: Layer;
  stacks: readonly AreaStack[];
  tapping: boolean;
  onTapping: (on: boolean) => void;
  onUp: (() => void) | null;
  onDown: (() => void) | null;
}

/** Everything that is recorded of one layer. */
export function LayerEditor({ shown, room, layer, stacks, tapping, onTapping, onUp, onDown }: Props) {
  const say = useSay();
  const { units } = room;
  const [year, setYear] = useFollowing(layer.year === null ? '' : String(layer.year));
  const [note, setNote] = useFollowing(layer.note);
  const [problem, setProblem] = useState<string | null>(null);
  const change = async (part: Partial<Layer>, words = `${say(layerName(layer))} changed`) => {
    const result = await write(words, [
      { kind: 'layers', id: layer.id, roomId: room.id, body: { ...bodyOf(layer), ...part } },
    ]);
    setProblem(result.ok ? null : result.problems.map((p) => `${p.field} ${p.message}`).join('; '));
  };
  const takeYear = () => {
    const text = year.trim();
    if (text === '') return void change({ year: null, yearOf: 'unknown' });
    const value = Number(text);
    const { min, max } = LAYER_RANGES.year;
    if (!Number.isInteger(value) || value < min || value > max)
      return setProblem(`${text}: a year of ${min} to ${max} is taken, or nothing`);
    return void change({ year: value, yearOf: layer.yearOf === 'unknown' ? 'building' : layer.yearOf });
  };
  const tile = LAYERS[layer.kind].family === 'tile';
  const whole = layer.where.length === 0;
  return (
    <View style={styles.box}>
      <LengthField
        label="Thickness"
        mm={layer.thicknessMm}
        units={units}
        range={LAYER_RANGES.thicknessMm}
        onTaken={(thicknessMm) => void change({ thicknessMm })}
      />
      <Choice
        label="Fixed"
        inline
        value={layer.fixing}
        options={FIXINGS.map((value) => ({ value, label: value }))}
        onChange={(fixing) => void change({ fixing })}
      />
      <Choice
        label="Condition"
        inline
        value={layer.condition}
        options={CONDITIONS.map((value) => ({ value, label: say(CONDITION_WORDS[value]) }))}
        onChange={(condition) => void change({ condition })}
      />
      <Field
        label="Year it was made or laid (leave empty when unknown)"
        figures
        value={year}
        onChange={setYear}
        onDone={takeYear}
        problem={problem}
        hint="Unknown counts as suspect where the material may hold a hazard."
      />
      {layer.year !== null ? (
        <Choice
          label="What the year is of"
          inline
          value={layer.yearOf}
          options={[
            { value: 'layer', label: 'this layer, documented' },
            { value: 'building', label: 'the building' },
            { value: 'unknown', label: 'not sure' },
          ]}
          onChange={(yearOf) => void change({ yearOf })}
        />
      ) : null}
      {stacks.length > 1 || !whole ? (
        <Choice
          label="Where it lies"
          inline
          value={whole ? 'all' : JSON.stringify(layer.where)}
          options={[
            { value: 'all', label: 'The whole room' },
            ...stacks.map((s) => ({ value: JSON.stringify(s.where), label: `Area ${s.label}` })),
          ]}
          onChange={(value) => void change({ where: value === 'all' ? [] : (JSON.parse(value) as Layer['where']) })}
        />
      ) : null}
      {tile ? (
        <Fold title="Tile: grout, lippage, tapping" open>
          <LengthField
            label="Grout lines, width"
            mm={layer.groutMm}
            units={units}
            range={LAYER_RANGES.groutMm}
            onTaken={(groutMm) => void change({ groutMm })}
          />
          <LengthField
            label="Greatest lippage"
            mm={layer.lippageMm}
            units={units}
            range={LAYER_RANGES.lippageMm}
            onTaken={(lippageMm) => void change({ lippageMm })}
          />
          <Button
            selected={tapping}
            label={tapping ? 'Done tapping' : 'Tap over the grid'}
            hint="Tap lightly; touch a point on the sheet once for full, twice for hollow"
            onPress={() => onTapping(!tapping)}
          />
          {tapping ? (
            <Words>
              Touch each point on the sheet: once it sounded full, again it sounded hollow, again to clear it.
            </Words>
          ) : null}
        </Fold>
      ) : null}
      {LAYERS[layer.kind].cut !== 'none' ? (
        <Fold title="Known seams" aside={layer.seams.length === 0 ? 'unknown' : String(layer.seams.length)}>
          <Seams room={room} layer={layer} onTaken={(seams) => void change({ seams }, 'Seams changed')} />
        </Fold>
      ) : null}
      <Fold title="What kind it is" aside={say(layerName(layer))}>
        <Choice
          label="Kind"
          value={layer.kind}
          options={LAYER_KINDS.map((kind) => ({ value: kind, label: say(LAYERS[kind].words) }))}
          onChange={(kind) => void change({ kind })}
        />
      </Fold>
      <Field
        label="Note"
        value={note}
        onChange={setNote}
        onDone={() => (note === layer.note ? undefined : void change({ note: note.slice(0, 500) }))}
      />
      <PhotoStrip shown={shown} about={{ about: 'layer', aboutId: layer.id, at: middleOf(stacks, layer) }} />
      <ButtonRow>
        {onUp ? <Button label="Lies higher" onPress={onUp} /> : null}
        {onDown ? <Button label="Lies lower" onPress={onDown} /> : null}
        <Button
          label="Take out of the list"
          onPress={() =>
            void write(`${say(layerName(layer))} taken out`, [
              { kind: 'layers', id: layer.id, roomId: room.id, body: bodyOf(layer), deleted: true },
            ])
          }
        />
      </ButtonRow>
    </View>
  );
}

function middleOf(stacks: readonly AreaStack[], layer: Layer): { xMm: number; yMm: number } | null {
  const part = stacks.find((s) => s.layers.some((l) => l.id === layer.id))?.region[0];
  if (!part) return null;
  const [x, y] = centreOf(part);
  return { xMm: Math.round(x), yMm: Math.round(y) };
}

/** Seams as they are taped: so far off a wall, running along it. */
function Seams({ room, layer, onTaken }: { room: RoomFacts; layer: Layer; onTaken: (seams: Seam[]) => void }) {
  const [wall, setWall] = useState(0);
  const { corners } = usePlan(room);
  const add = (offMm: number) => {
    const [a, b] = [corners[wall]!, corners[(wall + 1) % corners.length]!];
    const length = Math.hypot(b.xMm - a.xMm, b.yMm - a.yMm) || 1;
    const [nx, ny] = [-(b.yMm - a.yMm) / length, (b.xMm - a.xMm) / length];
    const at = (p: { xMm: number; yMm: number }) =>
      [Math.round(p.xMm + nx * offMm), Math.round(p.yMm + ny * offMm)] as const;
    const [[axMm, ayMm], [bxMm, byMm]] = [at(a), at(b)];
    onTaken([...layer.seams, { axMm, ayMm, bxMm, byMm }]);
  };
  return (
    <View style={styles.inner}>
      <Choice
        label="Seam runs along wall"
        inline
        value={String(wall)}
        options={room.walls.map((_, i) => ({ value: String(i), label: wallName(room.walls, i) }))}
        onChange={(value) => setWall(Number(value))}
      />
      <LengthField
        key={layer.seams.length}
        label={`A seam, off ${wallName(room.walls, wall)}`}
        mm={null}
        units={room.units}
        range={{ min: 10, max: 60_000 }}
        onTaken={add}
        hint="Cuts follow known seams: nothing is sawn there."
      />
      {layer.seams.length > 0 ? <Button label="Forget the seams" onPress={() => onTaken([])} /> : null}
    </View>
  );
}

const styles = StyleSheet.create({ box: { gap: SPACE.part, paddingBottom: SPACE.edge }, inner: { gap: SPACE.part } });
