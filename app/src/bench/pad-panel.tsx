import { createContext, useContext, useMemo, useState, type ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { Keypad, type PadAction } from './keypad.tsx';
import type { UnitSystem } from '@maquette/core/units';
import { usePalette } from '../theme/theme.tsx';
import { Button } from '../ui/button.tsx';

/** One number asked for on the pad. */
interface PadAsk {
  title: string;
  units: UnitSystem;
  lastMm: number | null;
  range: { min: number; max: number };
  onTake: (mm: number) => void;
  signed?: boolean;
  /** A figure that is no length: `lastMm`, `range` and what is taken are in this unit. */
  plain?: { unit: string; decimals: number };
}

const PadContext = createContext<(ask: PadAsk) => void>(() => undefined);

/** Opens the pad for one number; what is taken goes to the asker and the pad closes. */
export function usePad(): (ask: PadAsk) => void {
  return useContext(PadContext);
}

/** Carries the pad over the bottom of the screen when a field asks for it. */
export function PadHost({ children }: { children: ReactNode }) {
  const palette = usePalette();
  const [ask, setAsk] = useState<PadAsk | null>(null);
  const [minus, setMinus] = useState(false);
  const open = useMemo(
    () => (next: PadAsk) => {
      setMinus((next.lastMm ?? 0) < 0);
      setAsk(next);
    },
    [],
  );
  const close: PadAction = { label: 'Close', onPress: () => setAsk(null) };
  const sign: PadAction[] = ask?.signed ? [{ label: minus ? 'Below' : 'Above', onPress: () => setMinus(!minus) }] : [];
  const range = ask?.signed ? { min: 0, max: Math.max(Math.abs(ask.range.min), ask.range.max) } : ask?.range;
  return (
    <PadContext.Provider value={open}>
      {children}
      {ask ? (
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
            lines={
              ask.signed ? [minus ? 'below (key Below to turn it round)' : 'above (key Above to turn it round)'] : []
            }
            lastMm={ask.lastMm === null ? null : Math.abs(ask.lastMm)}
            range={range!}
            take="Take"
            actions={[close, ...sign]}
            onTake={(mm) => {
              setAsk(null);
              ask.onTake(ask.signed && minus ? -mm : mm);
            }}
          />
        </View>
      ) : null}
    </PadContext.Provider>
  );
}

/** The key beside a field that opens the pad for it. */
export function PadKey({ label, onPress }: { label: string; onPress: () => void }) {
  return <Button label="123" hint={`Key ${label} on the pad`} onPress={onPress} style={styles.key} />;
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
  key: { flexGrow: 0, minWidth: 56, paddingHorizontal: 6 },
});
