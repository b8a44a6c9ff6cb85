import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { useRouter } from 'expo-router';
import { SPACE, usePalette } from '../theme/theme.tsx';
import { Button, ButtonRow } from '../ui/button.tsx';
import { Words } from '../ui/text.tsx';
import { bringJobIn, type BringIn } from './job-files.ts';

/** Told at once, of as many problems as there are. */
const SHOWN = 8;

/** Bringing a job file in: the key that asks for it, and how it goes. */
export function useBringIn(): { key: React.ReactNode; card: React.ReactNode } {
  const router = useRouter();
  const [state, setState] = useState<BringIn | null>(null);
  const tell = (next: BringIn | null) => {
    setState(next?.is === 'here' ? null : next);
    if (next?.is === 'here') router.push(`/jobs/${next.jobId}`);
  };
  return {
    key: (
      <Button
        label="Bring a job in"
        off={state?.is === 'going' ? 'A job is coming in.' : null}
        onPress={() => void bringJobIn(tell)}
      />
    ),
    card: state ? <BringInCard state={state} onClose={() => setState(null)} /> : null,
  };
}

function BringInCard({ state, onClose }: { state: BringIn; onClose: () => void }) {
  const palette = usePalette();
  const box = [styles.box, { backgroundColor: palette.bench, borderColor: palette.rule }];
  switch (state.is) {
    case 'going':
      return (
        <View role="status" style={box}>
          <Words bold>{state.name}</Words>
          <Words figure>{`${state.words} …`}</Words>
          <ButtonRow>
            <Button label="Stop" hint="nothing of it is kept" onPress={state.stop} />
          </ButtonRow>
        </View>
      );
    case 'held':
      return (
        <View role="alert" style={box}>
          <Words bold>{state.words}</Words>
          <ButtonRow>
            <Button kind="main" label="Bring it in as a copy" onPress={state.asCopy} />
            <Button label="Leave it" onPress={state.leave} />
          </ButtonRow>
        </View>
      );
    case 'refused':
      return (
        <View role="alert" style={box}>
          <Words bold>{`${state.name} was not taken, and nothing of it is in the book.`}</Words>
          {state.problems.slice(0, SHOWN).map((words) => (
            <Words key={words}>{words}</Words>
          ))}
          {state.problems.length > SHOWN ? <Words>{`And ${state.problems.length - SHOWN} more.`}</Words> : null}
          <ButtonRow>
            <Button label="Close" onPress={onClose} />
          </ButtonRow>
        </View>
      );
    case 'stopped':
    case 'unsure':
      return (
        <View role="status" style={box}>
          <Words>
            {state.is === 'stopped'
              ? `${state.name} was stopped: nothing of it is in the book.`
              : `${state.name} was told to stop, and the server has not answered since: whether it was in time shows in the book.`}
          </Words>
          <ButtonRow>
            <Button label="Close" onPress={onClose} />
          </ButtonRow>
        </View>
      );
    case 'here':
      return null;
  }
}

const styles = StyleSheet.create({ box: { borderTopWidth: 1, padding: SPACE.edge, gap: SPACE.gap } });
