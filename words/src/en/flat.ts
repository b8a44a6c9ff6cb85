/** What the flat part says. */
export const flat = {
  'flat.mm-an-edge-of-to-mm': '{length} mm: an edge of {min} to {max} mm is taken',
  'flat.mm-lies-past-the-edge-which': '{outside} mm lies past the edge, which is {length} mm long',
  'flat.an-edge-that-lies-still-touches': 'An edge that lies still touches at two places',
  'flat.an-edge-that-rocks-touches-at': 'An edge that rocks touches at one place',
};
