import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import type { FactKind, FieldProblem } from '@maquette/facts';
import { rules } from '../data/rules.ts';
import { write, type Change } from '../data/write.ts';
import { SPACE } from '../theme/theme.tsx';
import { Button, ButtonRow } from '../ui/button.tsx';
import { counted } from '../ui/counted.ts';
import { FileFindings } from '../ui/file-findings.tsx';
import { Words } from '../ui/text.tsx';
import { fileFormats, type FileFormats } from './formats.ts';
import type { LineProblem } from './line-problem.ts';
import { useTextFile } from './use-text-file.tsx';

interface Read {
  changes: Change[];
  problems: readonly LineProblem[];
}

interface Props {
  label: string;
  /** Endings and types of the files that can be chosen. */
  accept: string;
  /** What one line of it is called: a card, a price. */
  noun: string;
  /** Throws, in words, where the file is none of its kind. */
  read: (text: string, formats: FileFormats, check: (kind: FactKind, body: object) => FieldProblem[]) => Read;
}

const reasonOf = (error: unknown) => (error instanceof Error ? error.message : String(error));

/** A key that brings in a file of facts: every line is checked and named where it is not taken; it is taken as one step or left. */
export function BringIn({ label, accept, noun, read }: Props) {
  const textFile = useTextFile();
  const [found, setFound] = useState<(Read & { name: string }) | null>(null);
  const [said, setSaid] = useState<string | null>(null);
  const bring = async () => {
    let name = 'The file';
    try {
      const file = await textFile.choose(accept);
      if (!file) return;
      name = file.name;
      setFound({ name, ...read(file.text, ...(await Promise.all([fileFormats(), rules.fetch()]))) });
      setSaid(null);
    } catch (error) {
      setFound(null);
      setSaid(`${name} was not taken. ${reasonOf(error)}`);
    }
  };
  const take = async (name: string, changes: Change[]) => {
    const result = await write(`${name} brought in`, changes);
    if (result.ok) setFound(null);
    setSaid(
      result.ok
        ? `${counted(changes.length, noun)} taken from ${name}. Undo takes them back.`
        : result.problems.map((p) => `${p.field} ${p.message}`).join('; '),
    );
  };
  return (
    <View style={styles.box}>
      <ButtonRow>
        <Button label={label} onPress={() => void bring()} />
      </ButtonRow>
      {textFile.status}
      {found ? (
        <FileFindings
          found={`${found.name}: ${counted(found.changes.length, noun)} to take`}
          problems={found.problems}
          missing={[]}
          onTake={found.changes.length > 0 ? () => void take(found.name, found.changes) : null}
          onDrop={() => setFound(null)}
        />
      ) : null}
      {said ? <Words role="status">{said}</Words> : null}
    </View>
  );
}

const styles = StyleSheet.create({ box: { gap: SPACE.gap } });
