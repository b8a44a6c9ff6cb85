import { Component, type ReactNode } from 'react';
import { View } from 'react-native';
import { Button } from './button.tsx';
import { Words } from './text.tsx';
import { SPACE } from '../theme/theme.tsx';

/** Stands in for a part of the app that could not be fetched, and says what to do; nothing that was entered is touched. */
export class PartBoundary extends Component<{ children: ReactNode }, { failed: boolean }> {
  override state = { failed: false };
  static getDerivedStateFromError() {
    return { failed: true };
  }
  override render() {
    if (!this.state.failed) return this.props.children;
    return (
      <View role="alert" style={{ padding: SPACE.edge, gap: SPACE.part }}>
        <Words bold>This part of the app could not be opened.</Words>
        <Words>
          It may not be on this device yet. What you have entered is kept. Open it again where there is signal.
        </Words>
        <Button kind="main" label="Open it again" onPress={() => globalThis.location.reload()} />
      </View>
    );
  }
}
