import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { LAYER_KINDS, LAYERS, layerName, newLayer, type AreaStack, type LayerKind } from '@maquette/core/layers';
import type { LayerGate } from '@maquette/core/hazards';
import type { RoomFacts } from '@maquette/core/room';
import { formatArea, formatGap, unitLabel } from '@maquette/core/units';
import { newId } from '../../data/ids.ts';
import { bodyOf } from '@maquette/facts';
import type { ShownRoom } from '../../data/use-facts.ts';
import { write } from '../../data/write.ts';
import { usePalette, SPACE } from '../../theme/theme.tsx';
import { Button } from '../../ui/button.tsx';
import { Choice } from '../../ui/choice.tsx';
import { Words } from '../../ui/text.tsx';
import { LayerEditor } from './layer-editor.tsx';
import { Section } from './section.tsx';
import { useSay } from '../../ui/shown-in.tsx';
import { placed } from '../../data/placed.ts';
import { Sortable } from '../../ui/sortable.tsx';
import { Touch } from '../../ui/touch.tsx';

interface Props {
  shown: ShownRoom;
  room: RoomFacts;
  stacks: readonly AreaStack[];
  gates: readonly LayerGate[];
  area: string | null;
  onArea: (label: string) => void;
  open: string | null;
  onOpen: (layerId: string | null) => void;
  tapping: boolean;
  onTapping: (on: boolean) => void;
}

/** What lies there, from the top down, drawn as a section and as a list. */
export function LayersTab(props: Props) {
  const say = useSay();
  const { shown, room, stacks, gates, area, onArea, open, onOpen } = props;
  const palette = usePalette();
  const [adding, setAdding] = useState(false);
  const { units } = room;
  const stack = stacks.find((s) => s.label === area) ?? stacks[0];
  const add = (kind: LayerKind) => {
    const id = newId();
    const rank = Math.max(0, ...shown.layers.map((l) => l.rank + 1));
    setAdding(false);
    onOpen(id);
    void write(`${say(LAYERS[kind].words)} put in`, [
      {
        kind: 'layers',
        id,
        roomId: room.id,
        body: bodyOf(newLayer(id, kind, { rank, where: stack?.where ?? [] })),
      },
    ]);
  };
  const place = (id: string, to: number) => {
    const layer = stack!.layers.find((l) => l.id === id)!;
    void write(
      `${say(layerName(layer))} moved`,
      placed(stack!.layers, id, to).map(({ id: moved, rank }) => ({
        kind: 'layers',
        id: moved,
        roomId: room.id,
        body: { ...bodyOf(shown.layers.find((l) => l.id === moved)!), rank },
      })),
    );
  };
  if (!stack) return null;
  return (
    <View style={styles.box}>
      {stacks.length > 1 ? (
        <Choice
          label="Area"
          inline
          value={stack.label}
          options={stacks.map((s) => ({ value: s.label, label: `${s.label} · ${formatArea(s.areaM2, units)}` }))}
          onChange={onArea}
        />
      ) : null}
      {stack.layers.length > 0 ? (
        <Section stack={stack} baseKind={room.baseKind} units={units} />
      ) : (
        <Words>
          What lies on the floor now, from the top down? Add the layer you see first. A bare base needs nothing here.
        </Words>
      )}
      <Sortable items={stack.layers.map((layer) => ({ id: layer.id, name: say(layerName(layer)) }))} onPlace={place}>
        {(id, handle) => {
          const i = stack.layers.findIndex((l) => l.id === id);
          const layer = stack.layers[i]!;
          const gate = gates.find((g) => g.layerId === layer.id);
          return (
            <View key={layer.id} style={[styles.layer, { borderColor: palette.rule }]}>
              <View style={styles.line}>
                <Touch
                  aria-expanded={open === layer.id}
                  label={`${say(layerName(layer))}, ${formatGap(layer.thicknessMm, units)} ${unitLabel(units)}`}
                  onPress={() => onOpen(open === layer.id ? null : layer.id)}
                  style={styles.head}
                >
                  <Words figure bold size="large" style={styles.number}>
                    {String(i + 1)}
                  </Words>
                  <View style={styles.grow}>
                    <Words bold>{say(layerName(layer))}</Words>
                    <Words size="small" quiet>
                      {`${formatGap(layer.thicknessMm, units)} ${unitLabel(units)}, ${layer.fixing}${layer.year ? `, ${layer.year}` : ', year unknown'}`}
                    </Words>
                  </View>
                  {gate && !gate.open ? (
                    <Words size="small" bold color={palette.verdict.stop}>
                      {gate.positive ? 'positive' : 'gate shut'}
                    </Words>
                  ) : null}
                </Touch>
                {handle}
              </View>
              {open === layer.id ? (
                <LayerEditor {...props} layer={shown.layers.find((l) => l.id === layer.id)!} />
              ) : null}
            </View>
          );
        }}
      </Sortable>
      {adding ? (
        <View style={styles.kinds}>
          <Words bold>{stack.layers.length === 0 ? 'The layer on top is' : 'The layer under that is'}</Words>
          {LAYER_KINDS.map((kind) => (
            <Button key={kind} label={say(LAYERS[kind].words)} onPress={() => add(kind)} />
          ))}
          <Button kind="quiet" label="None of these now" onPress={() => setAdding(false)} />
        </View>
      ) : (
        <Button
          kind={stack.layers.length === 0 ? 'main' : 'plain'}
          label={stack.layers.length === 0 ? 'Add the top layer' : 'Add the layer beneath'}
          onPress={() => setAdding(true)}
        />
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  line: { flexDirection: 'row', alignItems: 'center' },
  box: { padding: SPACE.edge, gap: SPACE.part },
  layer: { borderTopWidth: 1 },
  head: { minHeight: 56, flexDirection: 'row', alignItems: 'center', gap: SPACE.part },
  number: { width: 24, textAlign: 'center' },
  grow: { flex: 1 },
  kinds: { gap: SPACE.near },
});
