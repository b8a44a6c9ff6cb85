import { StyleSheet, View } from 'react-native';
import { useState } from 'react';
import type { FigureSpec } from '@maquette/core/figures';
import { newId } from '../data/ids.ts';
import { bodyOf } from '@maquette/facts';
import { useBook, type ShownRoom } from '../data/use-facts.ts';
import { write } from '../data/write.ts';
import { Field } from '../ui/field.tsx';
import { Fold } from '../ui/fold.tsx';
import { useFollowing } from '../ui/use-following.ts';
import { useSay } from '../ui/shown-in.tsx';

export type NamedFigure = [name: string, spec: FigureSpec];

/** Rates, limits and prices of the job: each default with where it comes from, each to be changed. */
export function FiguresFold({ shown, figures }: { shown: ShownRoom; figures: readonly NamedFigure[] }) {
  const own = shown.plain.figures.filter((held) => figures.some(([name]) => name === held.name));
  return (
    <Fold
      title="Rates, limits and prices of this job"
      aside={`${own.length} changed`}
      memory={`figures/${shown.room!.id}/${figures[0]?.[0]}`}
    >
      {figures.map(([name, spec]) => (
        <FigureLine key={name} name={name} spec={spec} shown={shown} />
      ))}
    </Fold>
  );
}

function FigureLine({ name, spec, shown }: { name: string; spec: FigureSpec; shown: ShownRoom }) {
  const say = useSay();
  const book = useBook();
  const jobId = shown.room!.jobId;
  const held = book.figures.find((f) => f.jobId === jobId && f.name === name);
  const value = held?.value ?? spec.value;
  const [text, setText] = useFollowing(String(value));
  const [problem, setProblem] = useState<string | null>(null);
  const take = () => {
    const next = Number(text.trim().replace(',', '.'));
    if (text.trim() === String(value)) return setProblem(null);
    if (text.trim() === '' || !Number.isFinite(next) || next < spec.min || next > spec.max)
      return setProblem(`${text || 'Empty'}: ${spec.min} to ${spec.max} ${spec.unit} is taken`);
    setProblem(null);
    if (next === spec.value && held)
      return void write(`${say(spec.words)}: back to ${spec.value}`, [
        { kind: 'figures', id: held.id, body: bodyOf(held), deleted: true },
      ]);
    return void write(`${say(spec.words)}: ${next} ${spec.unit}`, [
      { kind: 'figures', id: held?.id ?? newId(), body: { jobId, name, value: next, source: 'This job' } },
    ]);
  };
  return (
    <View style={styles.line}>
      <Field
        label={say(spec.words)}
        figures
        unit={spec.unit}
        value={text}
        onChange={setText}
        onDone={take}
        problem={problem}
        hint={say(held ? `This job’s own; the default is ${spec.value}` : spec.source)}
      />
    </View>
  );
}

const styles = StyleSheet.create({ line: { gap: 0 } });
