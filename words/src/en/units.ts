/** Why a text is no length. */
export const units = {
  'units.empty': 'is empty',
  'units.noInches': '“{text}” has no inches that can be read',
  'units.noLength': '“{text}” is not a length in {unit, select, ft {feet} in {inches} ftin {inches} other {{unit}}}',
};
