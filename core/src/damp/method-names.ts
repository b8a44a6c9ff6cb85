/** Ways of measuring damp. They answer different questions and are never converted into each other. */
export const DAMP_METHODS = [
  'survey',
  'probe',
  'hood',
  'dish',
  'carbide',
  'pin',
  'film',
  'alkalinity',
  'water-drop',
  'scratch',
] as const;
export type DampMethod = (typeof DAMP_METHODS)[number];
