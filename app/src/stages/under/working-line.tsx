import { View } from 'react-native';
import { SPACE } from '../../theme/theme.tsx';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { Words } from '../../ui/text.tsx';
import type { Planned } from './planned.ts';

/** How far the plan over all rooms is, with a way to stop it; nothing once it stands. */
export function WorkingLine({ planned }: { planned: Planned }) {
  const { working, failed } = planned;
  if (working === null && !failed && planned.plan) return null;
  return (
    <View style={{ gap: SPACE.near }}>
      {working !== null || !failed ? (
        <Words role="status">{`Working out all rooms of the job: ${Math.round((working ?? 0) * 100)} %`}</Words>
      ) : (
        <Words role="alert">{failed}</Words>
      )}
      <ButtonRow>
        {working !== null ? (
          <Button label="Stop" onPress={planned.stop} />
        ) : failed ? (
          <Button kind="main" label="Work it out" onPress={planned.again} />
        ) : null}
      </ButtonRow>
    </View>
  );
}
