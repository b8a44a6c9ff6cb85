import { inWords } from '@maquette/words';
import type { DampMethod, DampResult, DampState, DampContext } from '@maquette/core/damp';
import type { DampPin } from '../../sheet/damp-layer.tsx';

const WORDY: readonly DampMethod[] = ['film', 'scratch', 'water-drop'];

/** Tests of one method as they stand on the sheet: their newest reading, and how it counts. */
export function pinsOf({ ctx, state }: { ctx: DampContext; state: DampState }, method: DampMethod): DampPin[] {
  const last = new Map<string, DampResult>();
  for (const result of state.results) last.set(result.test.id, result);
  const outliers = new Set(state.outliers.map((o) => o.reading.id));
  const limit = state.methods.find((m) => m.method === method)?.limit ?? null;
  return ctx.facts.dampTests
    .filter((test) => test.method === method)
    .map(({ id, xMm, yMm, name }) => {
      const result = last.get(id);
      if (!result) return { id, xMm, yMm, text: name || '?', state: 'waits' };
      const { value, valueText, valid, reading } = result;
      const over = (limit !== null && value > limit.value) || outliers.has(reading.id);
      return {
        id,
        xMm,
        yMm,
        text: WORDY.includes(method) ? inWords(valueText, ctx.room.units) : value.toFixed(method === 'carbide' ? 2 : 1),
        state: !valid ? 'void' : over ? 'over' : 'under',
      };
    });
}
