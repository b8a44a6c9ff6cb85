import { View } from 'react-native';
import type { ShownHerringbone } from '@maquette/core';
import type { UnitSystem } from '@maquette/core/units';
import { SPACE } from '../../theme/theme.tsx';
import { counted } from '../../ui/counted.ts';
import { Fold } from '../../ui/fold.tsx';
import { Words } from '../../ui/text.tsx';
import { sawn } from './lengths.ts';

/** Staves of herringbone: how many of either hand, and those that the edges of the floor cut. */
export function StaveList({ herringbone, units }: { herringbone: ShownHerringbone; units: UnitSystem }) {
  const cut = herringbone.staves.filter(({ isWhole }) => !isWhole);
  const { bought, whole } = herringbone;
  return (
    <View style={{ padding: SPACE.edge, gap: SPACE.part }} testID="staves">
      <Words bold size="large" figure>
        {`${bought.left} left, ${bought.right} right`}
      </Words>
      <Words>{`${whole.left + whole.right} go down whole. ${counted(cut.length, 'piece')} at the edges come from ${bought.left + bought.right - whole.left - whole.right} more.`}</Words>
      {herringbone.border ? (
        <Words>{`Border of ${counted(herringbone.border.rows, 'row')}, ${counted(herringbone.border.planks, 'stave')}: ${herringbone.border.runs.map(({ lengthMm }) => sawn(lengthMm, units)).join(', ')} along its middle, side after side. Lay it last, grooved into the pattern’s cut edge.`}</Words>
      ) : null}
      <Words>
        Begin at the line of the tips with a strip four staves deep, left and right in turn. Cut the edges last, each
        piece off its place with a square.
      </Words>
      <Fold title="Pieces at the edges" aside={String(cut.length)} memory="lay-staves">
        <View style={{ gap: SPACE.near }} role="list" accessibilityLabel="Pieces at the edges">
          {cut.map(({ number, hand, centreMm }) => (
            <View key={number} role="listitem">
              <Words figure size="small">{`${number}, ${hand}: ${sawn(centreMm, units)} along its middle`}</Words>
            </View>
          ))}
        </View>
      </Fold>
    </View>
  );
}
