import { StyleSheet, View } from 'react-native';
import { useState } from 'react';
import { FIGURES, type FigureName, type FigureSpec } from '@maquette/core/figures';
import { LAYERS, type LayerKind } from '@maquette/core/layers';
import { newId } from '../../data/ids.ts';
import { bodyOf } from '../../data/merge.ts';
import { useBook, type ShownRoom } from '../../data/use-facts.ts';
import { write } from '../../data/write.ts';
import { Field } from '../../ui/field.tsx';
import { Fold } from '../../ui/fold.tsx';
import { useFollowing } from '../../ui/use-following.ts';

/** Rates, limits and prices of the job: each default with where it comes from, each to be changed. */
export function FiguresFold({ shown }: { shown: ShownRoom }) {
  const kinds = [...new Set(shown.layers.map((l) => l.kind as LayerKind))];
  const rates: [string, FigureSpec][] = kinds.flatMap((kind): [string, FigureSpec][] => [
    [
      `hours/${kind}`,
      {
        words: `${LAYERS[kind].words}, taking up`,
        value: LAYERS[kind].hoursM2,
        unit: 'h/m²',
        min: 0.005,
        max: 10,
        source: 'Usual figure of the trade; your own timing wins.',
      },
    ],
    [
      `kg/${kind}`,
      {
        words: `${LAYERS[kind].words}, debris`,
        value: LAYERS[kind].kgM2,
        unit: 'kg/m²',
        min: 0.1,
        max: 400,
        source: 'Usual figure; weigh a piece.',
      },
    ],
  ]);
  const all: [string, FigureSpec][] = [
    ...rates,
    ...(Object.keys(FIGURES) as FigureName[]).map((n): [string, FigureSpec] => [n, FIGURES[n]]),
  ];
  return (
    <Fold title="Rates, limits and prices of this job" aside={`${shown.strip.figures.length} changed`}>
      {all.map(([name, spec]) => (
        <FigureLine key={name} name={name} spec={spec} shown={shown} />
      ))}
    </Fold>
  );
}

function FigureLine({ name, spec, shown }: { name: string; spec: FigureSpec; shown: ShownRoom }) {
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
      return void write(`${spec.words}: back to ${spec.value}`, [
        { kind: 'figures', id: held.id, body: bodyOf(held) as never, deleted: true },
      ]);
    return void write(`${spec.words}: ${next} ${spec.unit}`, [
      { kind: 'figures', id: held?.id ?? newId(), body: { jobId, name, value: next, source: 'This job' } },
    ]);
  };
  return (
    <View style={styles.line}>
      <Field
        label={spec.words}
        figures
        unit={spec.unit}
        value={text}
        onChange={setText}
        onDone={take}
        problem={problem}
        hint={held ? `This job’s own; the default is ${spec.value}` : spec.source}
      />
    </View>
  );
}

const styles = StyleSheet.create({ line: { gap: 0 } });
