import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { figure } from '@maquette/core/fields';
import { contains, tapedFromWall, wallName, type PointMm, type RoomFacts } from '@maquette/core/room';
import { FactField } from '../form/fact-field.tsx';
import { refused, useDraftForm } from '../form/fact-form.ts';
import { usePlan } from '../sheet/use-plan.ts';
import { SPACE } from '../theme/theme.tsx';
import { Button } from '../ui/button.tsx';
import { Choice } from '../ui/choice.tsx';
import { Fold } from '../ui/fold.tsx';
import { Words } from '../ui/text.tsx';

const TAPED = { alongMm: figure(0, 60_000, 'mm'), offMm: figure(0, 60_000, 'mm') };
const NOTHING = {};

/** A place keyed by two tapes, where a touch on the sheet would do: along a wall from its start, and off it. */
export function TapePlace({
  room,
  what,
  onPlace,
}: {
  room: RoomFacts;
  /** What is placed, as the key says it: `the corner`. */
  what: string;
  onPlace: (at: PointMm) => void;
}) {
  const [wall, setWall] = useState(0);
  const { corners } = usePlan(room);
  const form = useDraftForm(TAPED, NOTHING, room.units);
  const name = wallName(room.walls, wall);
  const place = () =>
    form.record(({ alongMm, offMm }) => {
      const at = tapedFromWall(corners, { wall, alongMm, offMm });
      if (!contains(corners, at.xMm, at.yMm))
        return Promise.resolve(refused('That place lies outside the room: check the two tapes, or the wall.'));
      form.restart();
      onPlace({ xMm: Math.round(at.xMm), yMm: Math.round(at.yMm) });
      return Promise.resolve({ ok: true });
    });
  return (
    <Fold title="Place it by tape" aside="instead of a touch">
      <Choice
        label="Taped from"
        inline
        value={String(wall)}
        options={room.walls.map((_, i) => ({ value: String(i), label: wallName(room.walls, i) }))}
        onChange={(value) => setWall(Number(value))}
      />
      <View style={styles.pair}>
        <FactField form={form} name="alongMm" label={`Along ${name} from its start`} />
        <FactField form={form} name="offMm" label={`Off ${name}`} />
      </View>
      {form.problem ? <Words role="alert">{form.problem}</Words> : null}
      <Button label={`Place ${what} here`} onPress={() => void place()} />
    </Fold>
  );
}

const styles = StyleSheet.create({ pair: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.part } });
