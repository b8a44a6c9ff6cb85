/** What the flat part says. */
export const flat = {
  'flat.mmAnEdgeOfToMm': '{length} mm: an edge of {min} to {max} mm is taken',
  'flat.mmLiesPastTheEdgeWhich': '{outside} mm lies past the edge, which is {length} mm long',
  'flat.anEdgeThatLiesStillTouches': 'An edge that lies still touches at two places',
  'flat.anEdgeThatRocksTouchesAt': 'An edge that rocks touches at one place',
};
