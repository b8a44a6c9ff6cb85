import { View } from 'react-native';
import type { ShownRoom } from '../../data/use-facts.ts';
import { SPACE } from '../../theme/theme.tsx';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { counted } from '../../ui/counted.ts';
import { Fold } from '../../ui/fold.tsx';
import { useSay } from '../../ui/shown-in.tsx';
import { Words } from '../../ui/text.tsx';
import { changeSetOut } from './set-out-change.ts';
import type { LayPlanned } from './use-lay-plan.ts';

const RULES = {
  second: 'The stagger against the second row before',
  stagger: 'The stagger against either row',
  end: 'The least end of the card, against 150 mm',
} as const;

/** What other start walls would take, and what each rule costs in planks. */
export function CompareFold({ shown, planned }: { shown: ShownRoom; planned: LayPlanned }) {
  const say = useSay();
  const { starts, prices, beside, compare, price } = planned;
  return (
    <Fold title="Compare start walls and rules" memory={`lay-compare/${shown.room!.id}`}>
      <View style={{ gap: SPACE.gap }} testID="compare">
        {starts?.map(({ wall, name, planks, waste, breaches, shortEdges, minutes }, k) => (
          <View key={wall} style={{ gap: SPACE.near }}>
            <Words bold={k === 0} figure>
              {`${say(name)}: ${counted(planks, 'plank')}, ${(waste * 100).toFixed(1)} % cut away, ${Math.round(minutes / 60)} h${breaches > 0 ? `, ${counted(breaches, 'rule')} not kept` : ''}${shortEdges > 0 ? ', an edge too narrow' : ''}`}
            </Words>
            {k === 0 || shown.laidRows.length > 0 ? null : (
              <ButtonRow>
                <Button
                  label={`Start at ${say(name)}`}
                  onPress={() => void changeSetOut(shown, `Start at ${say(name)}`, { startWall: wall })}
                />
              </ButtonRow>
            )}
          </View>
        ))}
        {prices?.map(({ rule, planks }) => (
          <Words key={rule} figure>
            {`${RULES[rule]}: ${planks === 0 ? 'costs no plank here' : `costs ${counted(planks, 'plank')}`}.`}
          </Words>
        ))}
        {beside ? <Words role="status">Working it out …</Words> : null}
        <ButtonRow>
          <Button label="Compare start walls" onPress={compare} />
          <Button label="What each rule costs" onPress={price} />
        </ButtonRow>
      </View>
    </Fold>
  );
}
