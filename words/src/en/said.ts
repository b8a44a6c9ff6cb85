/** How sayings are put together. */
export const said = {
  'said.as-it-is': '{what}',
  'said.sentence': '{what}.',
};
