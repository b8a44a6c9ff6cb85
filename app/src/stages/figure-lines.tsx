import { StyleSheet, View } from 'react-native';
import '@maquette/words/figure-names';
import type { Field } from '@maquette/core/fields';
import { isFigure, usualOf, type FigureSpec } from '@maquette/core/figures';
import type { UnitSystem } from '@maquette/core/units';
import { newId } from '../data/ids.ts';
import { bodyOf } from '@maquette/facts';
import { OneField } from '../form/one-field.tsx';
import { valueWords } from '../form/value-words.ts';
import { useBook, type ShownRoom } from '../data/use-facts.ts';
import { write } from '../data/write.ts';
import { useSay } from '../ui/shown-in.tsx';
import type { NamedFigure } from './named-figure.ts';

/** Figures one under the other, each to be changed for the job. */
export function FigureLines({ shown, figures }: { shown: ShownRoom; figures: readonly NamedFigure[] }) {
  const { jobId, units } = shown.room!;
  return <JobFigureLines jobId={jobId} units={units} figures={figures} />;
}

/** The same where no room is shown. */
export function JobFigureLines({
  jobId,
  units,
  figures,
}: {
  jobId: string;
  units: UnitSystem;
  figures: readonly NamedFigure[];
}) {
  return (
    <>
      {figures.map(([name, spec]) => (
        <FigureLine key={name} name={name} spec={spec} jobId={jobId} units={units} />
      ))}
    </>
  );
}

const stated = new WeakMap<FigureSpec, Field<number>>();
/** What a figure takes, as a form asks for it: the same at every drawing, for its rules are made once. */
function statedBy(figure: FigureSpec): Field<number> {
  let field = stated.get(figure);
  if (!field) {
    const { min, max, unit } = figure;
    stated.set(
      figure,
      (field = { spec: { type: 'figure', min, max, unit, whole: false }, orNull: false, mayLack: false }),
    );
  }
  return field;
}

function FigureLine({
  name,
  spec,
  jobId,
  units,
}: {
  name: string;
  spec: FigureSpec;
  jobId: string;
  units: UnitSystem;
}) {
  const say = useSay();
  const book = useBook();
  const held = book.figures.find((f) => f.jobId === jobId && f.name === name);
  const of = statedBy(spec);
  const usualValue = isFigure(name) ? usualOf(name, units) : spec.value;
  const value = held?.value ?? usualValue;
  const take = (next: number) => {
    if (Math.abs(next - usualValue) < 1e-6 && held)
      return write(`${say(spec.words)}: back to ${usual}`, [
        { kind: 'figures', id: held.id, body: bodyOf(held), deleted: true },
      ]);
    return write(`${say(spec.words)}: ${valueWords(next, of, units)}`, [
      { kind: 'figures', id: held?.id ?? newId(), body: { jobId, name, value: next, source: 'This job' } },
    ]);
  };
  const usual = valueWords(usualValue, of, units);
  return (
    <View style={styles.line}>
      <OneField
        of={of}
        value={value}
        units={units}
        label={say(spec.words)}
        onTaken={take}
        hint={say(held ? `This job’s own; the default is ${usual}` : spec.source)}
      />
    </View>
  );
}

const styles = StyleSheet.create({ line: { gap: 0 } });
