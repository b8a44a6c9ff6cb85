import { View } from 'react-native';
import { setOuts } from '@maquette/core/setout/facts';
import { wallName, type RoomFacts } from '@maquette/core/room';
import type { ShownRoom } from '../../data/use-facts.ts';
import { OneField } from '../../form/one-field.tsx';
import { SPACE } from '../../theme/theme.tsx';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { Choice } from '../../ui/choice.tsx';
import { Words } from '../../ui/text.tsx';
import { changeSetOut, setOutOf } from './set-out-change.ts';

const spec = setOuts.fields.windows.spec;
const widthField = (spec.type === 'list' && spec.of.spec.type === 'group' ? spec.of.spec.fields['widthMm'] : null)!;
/** What a window measures until somebody says otherwise, mm. */
const USUAL_MM = 1000;
const NONE = 'none';

/** Windows by their wall and width: planks follow the light of the wall that has most of them. */
export function WindowsFields({ shown, room }: { shown: ShownRoom; room: RoomFacts }) {
  const { windows } = setOutOf(shown);
  return (
    <View style={{ gap: SPACE.near }} testID="windows">
      {windows.map(({ wall, widthMm }, k) => (
        <View key={k} style={{ gap: SPACE.near }}>
          <OneField
            of={widthField}
            value={widthMm}
            units={room.units}
            label={`Window ${k + 1}, ${wallName(room.walls, wall)}: width`}
            onTaken={(taken) =>
              changeSetOut(shown, `Window ${k + 1}`, {
                windows: windows.map((one, i) => (i === k ? { ...one, widthMm: taken as number } : one)),
              })
            }
          />
          <ButtonRow>
            <Button
              label={`Take window ${k + 1} out`}
              onPress={() =>
                void changeSetOut(shown, `Window ${k + 1} taken out`, { windows: windows.filter((_, i) => i !== k) })
              }
            />
          </ButtonRow>
        </View>
      ))}
      <Choice
        label="Add a window in"
        inline
        value={NONE}
        options={room.walls.map((_, wall) => ({ value: String(wall), label: wallName(room.walls, wall) }))}
        onChange={(value) =>
          void changeSetOut(shown, `Window in ${wallName(room.walls, Number(value))}`, {
            windows: [...windows, { wall: Number(value), widthMm: USUAL_MM }],
          })
        }
      />
      {windows.length === 0 ? (
        <Words size="small">Enter the windows, and planks run away from the wall that has most of them.</Words>
      ) : null}
    </View>
  );
}
