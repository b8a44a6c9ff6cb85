/** How sayings are put together. */
export const said = {
  'said.asItIs': '{what}',
  'said.sentence': '{what}.',
};
