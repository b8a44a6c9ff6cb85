import type { DampJudged } from './judged.ts';

/** The dampest valid reading of the base's own humidity, %RH, in its depth or by a hood over it; null where none was read. */
export function dampestRh({ state }: Pick<DampJudged, 'state'>): number | null {
  const read = state.methods.flatMap(({ method, governing }) =>
    governing && (method === 'probe' || method === 'hood') ? [governing.value] : [],
  );
  return read.length === 0 ? null : Math.max(...read);
}
