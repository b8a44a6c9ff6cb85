/** What the scan part says. */
export const scan = {
  'scan.theFileIsCutOffIts': 'The file is cut off: its heading declares {declared} points and {there} are there',
  'scan.overMillionPointsThinTheScan': 'Over {POINTSMOST} million points: thin the scan out, or scan the room in parts',
  'scan.fewerThanThreePointsNoFloor': 'Fewer than three points: no floor can be found in them',
  'scan.noLevelPlaneWithEnoughPoints': 'No level plane with enough points: is the floor in the scan?',
  'scan.theScansFloorReachesOverBy': 'The scan’s floor reaches over {longMm} by {wideMm}: scan one room at a time',
  'scan.noFloorWithEnoughPointsOn': 'No floor with enough points on it: scan closer, or hold the phone lower',
  'scan.noPlyHeadingTheFileIs': 'No PLY heading: the file is cut off or is something else',
  'scan.nothing': 'nothing',
  'scan.isNoPlyFormatAsciiOr': '“{format}” is no PLY format: ascii or binary is taken',
  'scan.isNoPlyType': '“{type}” is no PLY type',
  'scan.thePlyHeadingCounts':
    'The heading of the PLY file says “{count}” for how many of “{name}” there are: a whole number is taken',
  'scan.thePlyFileHoldsNoPoints': 'The PLY file holds no points',
  'scan.millionPointsMillionAtMostAre':
    '{count} million points: {POINTSMOST} million at most are taken. Thin the scan out',
  'scan.thePlyFileKeepsListsBefore': 'The PLY file keeps lists before or among its points: save it as points alone',
  'scan.thePlyFilesPointsHaveNo': 'The PLY file’s points have no {name}',
  'scan.placesOfTypeAreNotTaken': 'Places of type “{type}” are not taken: float or double is',
  'scan.pointsAScanOfAFloor': '{count} points: a scan of a floor has thousands',
  'scan.noLineWithThreeNumbersAn': 'No line with three numbers: an XYZ file has x, y and z on each line',
};
