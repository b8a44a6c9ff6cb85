/** Ways a level is read, with how far off each may be (standard uncertainty), mm. */
export const READ_BY_MM = { staff: 0.5, tape: 1, eye: 2 } as const;
export type ReadBy = keyof typeof READ_BY_MM;

/** How far off a difference or a sum is when each of its parts may be off by so much: root of the sum of squares, mm. */
export const combined = (...partsMm: readonly number[]): number => Math.hypot(...partsMm);
