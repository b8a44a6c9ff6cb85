import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { pickFiles } from '../data/save-text.ts';
import { SPACE } from '../theme/theme.tsx';
import { Button, ButtonRow } from '../ui/button.tsx';
import { Words } from '../ui/text.tsx';
import { useDesk } from '../worker/use-judged.ts';

/** Lines of a file of readings that are read: more than any of them may hold. */
const LINES_MOST = 20_000;

export interface TextFile {
  name: string;
  text: string;
  /** Lines the file has beyond those that were read. */
  left: number;
}

type Reading = { name: string; share: number } | { name: string; lines: number };

/** Reads text files in the worker, with how far it is and a key that stops it. `status` tells of a file that was cut short. */
export function useTextFile(): { choose: (accept: string) => Promise<TextFile | null>; status: React.ReactNode } {
  const desk = useDesk();
  const [reading, setReading] = useState<Reading | null>(null);
  const choose = async (accept: string): Promise<TextFile | null> => {
    const [file] = await pickFiles(accept, false);
    if (!file) return null;
    const { name } = file;
    setReading({ name, share: 0 });
    return new Promise((resolve, reject) => {
      desk.ask(
        { kind: 'text', text: { file, linesMost: LINES_MOST } },
        (answer, reason) => {
          setReading(answer?.cut ? { name, lines: answer.lines } : null);
          if (answer) resolve({ name, text: answer.text, left: answer.cut ? answer.lines - LINES_MOST : 0 });
          else reject(new Error(`${name}: ${reason ?? 'it cannot be read'}`));
        },
        'now',
        ({ share }) => setReading({ name, share }),
      );
    });
  };
  const stop = () => {
    desk.stop();
    setReading(null);
  };
  const status =
    reading === null ? null : 'lines' in reading ? (
      <Words role="alert">
        {`${reading.name} has ${reading.lines.toLocaleString('en')} lines: the first ${LINES_MOST.toLocaleString('en')} were read, the others were not.`}
      </Words>
    ) : (
      <View role="status" style={styles.box}>
        <Words figure>{`Reading ${reading.name}, ${Math.round(reading.share * 100)} % …`}</Words>
        <ButtonRow>
          <Button label="Stop" hint="reading the file" onPress={stop} />
        </ButtonRow>
      </View>
    );
  return { choose, status };
}

const styles = StyleSheet.create({ box: { gap: SPACE.near } });
