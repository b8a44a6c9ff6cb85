import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import {
  CONDITION_WORDS,
  CONDITIONS,
  FIXINGS,
  LAYER_KINDS,
  LAYERS,
  layerName,
  type AreaStack,
  type Layer,
  type Seam,
} from '@maquette/core/layers';
import { centreOf, wallName, type RoomFacts } from '@maquette/core/room';
import { figure, only } from '@maquette/core/fields';
import { bodyOf, KINDS } from '@maquette/facts';
import type { ShownRoom } from '../../data/use-facts.ts';
import { write } from '../../data/write.ts';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { Choice } from '../../ui/choice.tsx';
import { Fold } from '../../ui/fold.tsx';
import { FactField } from '../../form/fact-field.tsx';
import { useFactForm } from '../../form/fact-form.ts';
import { OneField } from '../../form/one-field.tsx';
import { PhotoStrip } from '../../photos/photo-strip.tsx';
import { Words } from '../../ui/text.tsx';
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
}

const LAYER_FIELDS = only(KINDS.layers.fields, 'thicknessMm', 'year', 'groutMm', 'lippageMm', 'note');
const OFF_WALL = figure(10, 60_000, 'mm');

/** Everything that is recorded of one layer. */
export function LayerEditor({ shown, room, layer, stacks, tapping, onTapping }: Props) {
  const say = useSay();
  const { units } = room;
  const change = (part: Partial<Layer>, words = `${say(layerName(layer))} changed`) =>
    write(words, [{ kind: 'layers', id: layer.id, roomId: room.id, body: { ...bodyOf(layer), ...part } }]);
  const form = useFactForm(LAYER_FIELDS, layer, units, (part) => {
    if (part.year === undefined) return change(part);
    // A year is the building’s until somebody says that it is the layer’s own.
    const known = layer.yearOf === 'unknown' ? 'building' : layer.yearOf;
    return change({ year: part.year, yearOf: part.year === null ? 'unknown' : known });
  });
  const tile = LAYERS[layer.kind].family === 'tile';
  const whole = layer.where.length === 0;
  return (
    <View style={styles.box}>
      <FactField form={form} name="thicknessMm" label="Thickness" />
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
      <FactField
        form={form}
        name="year"
        label="Year it was made or laid (leave empty when unknown)"
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
          <FactField form={form} name="groutMm" label="Grout lines, width" />
          <FactField form={form} name="lippageMm" label="Greatest lippage" />
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
          <Seams room={room} layer={layer} onTaken={(seams) => change({ seams }, 'Seams changed')} />
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
      <FactField form={form} name="note" label="Note" />
      <PhotoStrip shown={shown} about={{ about: 'layer', aboutId: layer.id, at: middleOf(stacks, layer) }} />
      <ButtonRow>
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
function Seams({ room, layer, onTaken }: { room: RoomFacts; layer: Layer; onTaken: (seams: Seam[]) => unknown }) {
  const [wall, setWall] = useState(0);
  const { corners } = usePlan(room);
  const add = (offMm: number) => {
    const [a, b] = [corners[wall]!, corners[(wall + 1) % corners.length]!];
    const length = Math.hypot(b.xMm - a.xMm, b.yMm - a.yMm) || 1;
    const [nx, ny] = [-(b.yMm - a.yMm) / length, (b.xMm - a.xMm) / length];
    const at = (p: { xMm: number; yMm: number }) =>
      [Math.round(p.xMm + nx * offMm), Math.round(p.yMm + ny * offMm)] as const;
    const [[axMm, ayMm], [bxMm, byMm]] = [at(a), at(b)];
    return onTaken([...layer.seams, { axMm, ayMm, bxMm, byMm }]);
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
      <OneField
        key={layer.seams.length}
        of={OFF_WALL}
        value={null}
        units={room.units}
        label={`A seam, off ${wallName(room.walls, wall)}`}
        onTaken={add}
        hint="Cuts follow known seams: nothing is sawn there."
      />
      {layer.seams.length > 0 ? <Button label="Forget the seams" onPress={() => onTaken([])} /> : null}
    </View>
  );
}

const styles = StyleSheet.create({ box: { gap: SPACE.part, paddingBottom: SPACE.edge }, inner: { gap: SPACE.part } });
