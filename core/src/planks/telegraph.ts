/** What shows through a glued covering: places over this under a short edge, mm. */
export const TELEGRAPH = { edgeMm: 200, gapMm: 0.5 } as const;
