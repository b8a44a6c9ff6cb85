import { StyleSheet, View } from 'react-native';
import type { Field } from '@maquette/core/fields';
import { isFigure, usualOf, type FigureSpec } from '@maquette/core/figures';
import { newId } from '../data/ids.ts';
import { bodyOf } from '@maquette/facts';
import { OneField } from '../form/one-field.tsx';
import { valueWords } from '../form/value-words.ts';
import { useBook, type ShownRoom } from '../data/use-facts.ts';
import { write } from '../data/write.ts';
import { Fold } from '../ui/fold.tsx';
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

function FigureLine({ name, spec, shown }: { name: string; spec: FigureSpec; shown: ShownRoom }) {
  const say = useSay();
  const book = useBook();
  const jobId = shown.room!.jobId;
  const held = book.figures.find((f) => f.jobId === jobId && f.name === name);
  const of = statedBy(spec);
  const units = shown.room!.units;
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
