import { StyleSheet, View } from 'react-native';
import Svg, { G, Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import { layerName, type AreaStack } from '@maquette/core/layers';
import { BASE_WORDS, type BaseKind } from '@maquette/core/room';
import { gapWords, type UnitSystem } from '@maquette/core/units';
import { FACE, usePalette } from '../../theme/theme.tsx';
import { useSay } from '../../ui/shown-in.tsx';

const WIDE_PX = 330;
const TALL_PX = 150;
const BASE_PX = 34;
/** A layer thinner on paper than this carries its name beside it with a leader. */
const LEAST_PX = 3;
const NAME_PX = 22;

/** A section through the floor, to scale in height: what lies where, from the top down to the base. */
export function Section({ stack, baseKind, units }: { stack: AreaStack; baseKind: BaseKind; units: UnitSystem }) {
  const say = useSay();
  const palette = usePalette();
  const scale = stack.thicknessMm > 0 ? (TALL_PX - BASE_PX - 10) / Math.max(stack.thicknessMm, 5) : 1;
  const rows = laidOut(stack, scale);
  const free = rows.at(-1)?.free ?? 4;
  const words = stack.layers.map((l) => `${say(layerName(l))} ${gapWords(l.thicknessMm, units)}`).join(', ');
  return (
    <View style={styles.box}>
      <Svg
        width={WIDE_PX}
        height={Math.max(TALL_PX, free + 30)}
        role="img"
        aria-label={`Section${stack.layers.length > 0 ? `: ${words}` : ''}, over ${say(BASE_WORDS[baseKind])}`}
      >
        <Rect x={0} y={TALL_PX - BASE_PX} width={120} height={BASE_PX} fill={palette.plank} />
        {[0, 1, 2, 3, 4, 5].map((i) => (
          <Line
            key={i}
            x1={i * 24}
            y1={TALL_PX}
            x2={i * 24 + BASE_PX * 0.7}
            y2={TALL_PX - BASE_PX}
            stroke={palette.rule}
            strokeWidth={1.5}
          />
        ))}
        {rows.map(({ layer, y: top, tall, at }, i) => (
          <G key={layer.id}>
            <Rect
              x={0}
              y={top}
              width={120}
              height={tall}
              fill={i % 2 === 0 ? palette.lowWash : palette.highWash}
              stroke={palette.ink}
              strokeWidth={1}
            />
            <Path
              d={`M120 ${top + tall / 2}H128L136 ${at - 5}H142`}
              stroke={palette.quiet}
              strokeWidth={1}
              fill="none"
            />
            <SvgText x={146} y={at} fontFamily={FACE.text} fontSize={14} fill={palette.ink}>
              {`${gapWords(layer.thicknessMm, units)}  ${say(layerName(layer))}`}
            </SvgText>
          </G>
        ))}
        <Line x1={0} y1={TALL_PX - BASE_PX} x2={120} y2={TALL_PX - BASE_PX} stroke={palette.ink} strokeWidth={2.5} />
        <SvgText x={146} y={Math.max(TALL_PX - 8, free + 16)} fontFamily={FACE.text} fontSize={14} fill={palette.quiet}>
          {say(BASE_WORDS[baseKind])}
        </SvgText>
      </Svg>
    </View>
  );
}

/** Layers from the top down in px, each with the height of its name: names keep apart. */
function laidOut(stack: AreaStack, scale: number) {
  const rows: { layer: AreaStack['layers'][number]; y: number; tall: number; at: number; free: number }[] = [];
  for (const layer of stack.layers) {
    const before = rows.at(-1);
    const y = before ? before.y + before.layer.thicknessMm * scale : TALL_PX - BASE_PX - stack.thicknessMm * scale;
    const tall = Math.max(LEAST_PX, layer.thicknessMm * scale);
    const at = Math.max(y + tall / 2 + 5, (before?.free ?? 4) + 12);
    rows.push({ layer, y, tall, at, free: at + NAME_PX - 16 });
  }
  return rows;
}

const styles = StyleSheet.create({ box: { alignItems: 'flex-start' } });
