import type { ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { SPACE } from '../../theme/theme.tsx';

/** What stands in one part of a record, with air between words and keys. */
export function PartBox({ children }: { children: ReactNode }) {
  return <View style={styles.box}>{children}</View>;
}

const styles = StyleSheet.create({ box: { gap: SPACE.gap } });
