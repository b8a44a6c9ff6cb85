import { createContext, useCallback, useContext, useState, type ComponentType, type ReactNode } from 'react';
import { StyleSheet } from 'react-native';
import type { UnitSystem } from '@maquette/core/units';
import { Button } from '../ui/button.tsx';

/** One number asked for on the pad. */
export interface PadAsk {
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

/** Carries the pad over the screen when a field asks for it. The pad itself is handed in: the first screen does without it. */
export function PadHost({
  pad: Pad,
  children,
}: {
  pad: ComponentType<{ ask: PadAsk; onClose: () => void }>;
  children: ReactNode;
}) {
  const [open, setOpen] = useState<{ ask: PadAsk; count: number } | null>(null);
  const ask = useCallback((next: PadAsk) => setOpen((before) => ({ ask: next, count: (before?.count ?? 0) + 1 })), []);
  return (
    <PadContext.Provider value={ask}>
      {children}
      {open ? <Pad key={open.count} ask={open.ask} onClose={() => setOpen(null)} /> : null}
    </PadContext.Provider>
  );
}

/** The key beside a field that opens the pad for it. */
export function PadKey({ label, onPress }: { label: string; onPress: () => void }) {
  return <Button label="123" hint={`Key ${label} on the pad`} onPress={onPress} style={styles.key} />;
}

const styles = StyleSheet.create({
  key: { flexGrow: 0, minWidth: 56, paddingHorizontal: 6 },
});
