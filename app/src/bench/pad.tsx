import type { ReactElement } from 'react';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { usePalette } from '../theme/theme.tsx';
import { Keypad } from './keypad.tsx';
import type { PadAction } from './pad-keys.tsx';
import type { PadAsk } from './pad-panel.tsx';

/** The pad for one number, over the bottom of the screen. */
export function Pad({ ask, onClose }: { ask: PadAsk; onClose: () => void }): ReactElement {
  const palette = usePalette();
  const [minus, setMinus] = useState((ask.lastMm ?? 0) < 0);
  const close: PadAction = { label: 'Close', onPress: onClose };
  const sign: PadAction[] = ask.signed ? [{ label: minus ? 'Below' : 'Above', onPress: () => setMinus(!minus) }] : [];
  return (
    <View
      role="dialog"
      accessibilityLabel={ask.title}
      style={[styles.panel, { backgroundColor: palette.bench, borderColor: palette.ink }]}
    >
      <Keypad
        asked={ask.title}
        units={ask.units}
        plain={ask.plain}
        title={ask.title}
        lines={ask.signed ? [minus ? 'below (key Below to turn it round)' : 'above (key Above to turn it round)'] : []}
        lastMm={ask.lastMm === null ? null : Math.abs(ask.lastMm)}
        lastWords="as it is"
        range={ask.signed ? { min: 0, max: Math.max(Math.abs(ask.range.min), ask.range.max) } : ask.range}
        take="Take"
        actions={[close, ...sign]}
        onTake={(mm) => {
          onClose();
          ask.onTake(ask.signed && minus ? -mm : mm);
        }}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  panel: {
    position: 'absolute',
    left: 0,
    right: 0,
    bottom: 0,
    borderTopWidth: 2,
    maxWidth: 560,
    zIndex: 20,
    marginHorizontal: 'auto',
  },
});
