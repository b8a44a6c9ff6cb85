/** What the flat part says. */
export const flat = {
  'flat.edgeLengthOutOfRange': '{length}: an edge of {min} to {max} is taken',
  'flat.liesPastTheEdge': '{outside} lies past the edge, which is {length} long',
  'flat.anEdgeThatLiesStillTouches': 'An edge that lies still touches at two places',
  'flat.anEdgeThatRocksTouchesAt': 'An edge that rocks touches at one place',
};
