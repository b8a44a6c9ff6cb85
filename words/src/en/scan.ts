/** What the scan part says. */
export const scan = {
  'scan.the-file-is-cut-off-its': 'The file is cut off: its heading declares {declared} points and {there} are there',
  'scan.over-million-points-thin-the-scan':
    'Over {POINTSMOST} million points: thin the scan out, or scan the room in parts',
  'scan.fewer-than-three-points-no-floor': 'Fewer than three points: no floor can be found in them',
  'scan.no-level-plane-with-enough-points': 'No level plane with enough points: is the floor in the scan?',
  'scan.the-scans-floor-reaches-over-by': 'The scan’s floor reaches over {maxA} by {maxB} m: scan one room at a time',
  'scan.no-floor-with-enough-points-on': 'No floor with enough points on it: scan closer, or hold the phone lower',
  'scan.no-ply-heading-the-file-is': 'No PLY heading: the file is cut off or is something else',
  'scan.nothing': 'nothing',
  'scan.is-no-ply-format-ascii-or': '“{format}” is no PLY format: ascii or binary is taken',
  'scan.is-no-ply-type': '“{type}” is no PLY type',
  'scan.the-ply-file-holds-no-points': 'The PLY file holds no points',
  'scan.million-points-million-at-most-are':
    '{count} million points: {POINTSMOST} million at most are taken. Thin the scan out',
  'scan.the-ply-file-keeps-lists-before':
    'The PLY file keeps lists before or among its points: save it as points alone',
  'scan.the-ply-files-points-have-no': 'The PLY file’s points have no {name}',
  'scan.places-of-type-are-not-taken': 'Places of type “{type}” are not taken: float or double is',
  'scan.points-a-scan-of-a-floor': '{count} points: a scan of a floor has thousands',
  'scan.no-line-with-three-numbers-an': 'No line with three numbers: an XYZ file has x, y and z on each line',
};
