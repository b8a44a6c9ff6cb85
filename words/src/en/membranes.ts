/** Steps and cautions of membranes. */
export const membranes = {
  'under.membraneGround': 'Grind the base open, vacuum it, and fill cracks and holes with what the maker names.',
  'under.membranePrimer': 'Prime with {kg} and let it dry {hours} h.',
  'under.membraneMix': 'Mix one tub at a time: it has to be on the floor within {min} minutes.',
  'under.membraneFirst': 'Roll on the first coat, {kg}, and {upMm} up every wall, pipe and frame.',
  'under.membraneNext':
    'Roll on coat {coat}, {kg}, across the one before, not sooner than {fromH} h and not later than {toH} h after it.',
  'under.membranePinHoles':
    'Look along the floor against the light for pin-holes and misses, and roll over each of them.',
  'under.membraneTakesBoth': 'After {hardH} h compound and adhesive may be laid on it.',
  'under.membraneTakesCompound':
    'After {hardH} h compound may be laid on it, and the planks on that; no adhesive directly.',
  'under.membraneTakesAdhesive': 'After {hardH} h adhesive may be spread on it; no compound.',
  'under.membraneTakesNothing': 'After {hardH} h planks may float over it; neither compound nor adhesive holds on it.',
  'under.cautionEpoxy': 'Epoxy: nitrile gloves and long sleeves. What gets on the skin may make it allergic for good.',
  'under.cautionPot': 'A full tub left standing gets hot: pour it out on the floor.',
  'under.cautionIsocyanate':
    'Isocyanates: gloves, goggles, and the mask the maker names. The maker’s safety sheet decides, and in many places a trained user.',
  'under.cautionSolvent': 'Solvent: no flame, pilot light or spark in the room or below it.',
  'under.cautionSkin': 'Keep it off skin and eyes, and wash it off at once.',
  'under.cautionVentilate': 'Keep air moving and others out until it is hard.',
};
