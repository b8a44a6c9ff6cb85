import { StyleSheet, View } from 'react-native';
import { gapWords, type UnitSystem } from '@maquette/core/units';
import { SPACE } from '../../theme/theme.tsx';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { Words } from '../../ui/text.tsx';
import type { Heights } from './height-asks.ts';
import type { Levelled } from './use-levelled.ts';

/** What of the floor the heights stand on: as it lies, or as the planned levelling leaves it. */
export function LevelledFold({
  levelled,
  heights,
  units,
  onPlan,
}: {
  levelled: Levelled;
  heights: Heights;
  units: UnitSystem;
  onPlan: () => void;
}) {
  const { wanted, asked, planned } = levelled;
  return (
    <View style={styles.box}>
      {heights.overOldFloor ? (
        <Words size="small">
          {`The floor was read on an old floor that is to come up: the surface that stays is reckoned from recorded thicknesses, and may be off by ${gapWords(2, units)}.`}
        </Words>
      ) : null}
      {wanted ? (
        <>
          <Words size="small">
            {levelled.heights
              ? 'By the floor as the planned levelling leaves it; rooms beyond count as they lie. The door ledger counts the levelling of both. The verdict below stands by the floor as it lies today.'
              : asked
                ? `Working out the levelling${planned.progress ? `, ${Math.round(planned.progress.share * 100)} %` : ''} …`
                : 'By the floor as it lies today. It is still to be levelled, which may change the steps.'}
          </Words>
          {levelled.failed ? <Words role="alert">{levelled.failed}</Words> : null}
          <ButtonRow>
            {asked ? (
              <>
                {planned.working && !levelled.heights ? <Button label="Stop" onPress={planned.stop} /> : null}
                <Button label="As it lies today" onPress={levelled.leave} />
              </>
            ) : (
              <Button label="With the planned levelling" onPress={levelled.ask} />
            )}
            <Button label="See the levelling" onPress={onPlan} />
          </ButtonRow>
        </>
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({ box: { paddingHorizontal: SPACE.edge, gap: SPACE.gap } });
