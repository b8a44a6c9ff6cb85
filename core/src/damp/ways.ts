/** What can be done about a reading over its limit. */
export const WAYS_OUT = ['wait', 'source', 'membrane', 'other-covering'] as const;
export type WayOut = (typeof WAYS_OUT)[number];
