import { plyBytes } from './invented-scan.ts';
import { problemOf } from './invented-problem.ts';
import { inMetres, readPly, readXyz, type Cloud } from './index.ts';

const POINTS: [number, number, number][] = [
  [1, 2, 3],
  [1.5, -2.25, 3.125],
  [-4, 0.5, 2.75],
];
/** Places as the file has them: a cloud keeps them less its first point. */
const placesOf = ({ count, x, y, z, origin }: Cloud) =>
  Array.from({ length: count }, (_, i) => [x[i]! + origin[0], y[i]! + origin[1], z[i]! + origin[2]]);
const text = (words: string) => new TextEncoder().encode(words);

test('binary PLY of either order gives the places, whatever else each point carries', () => {
  expect(placesOf(readPly(plyBytes(POINTS)))).toEqual(POINTS);
  expect(placesOf(readPly(plyBytes(POINTS, true)))).toEqual(POINTS);
});

test('ASCII PLY reads its columns by name, past an element before the points', () => {
  const file = text(
    'ply\r\nformat ascii 1.0\r\nelement camera 1\r\nproperty float f\r\nelement vertex 3\r\nproperty uchar red\r\nproperty double z\r\nproperty double x\r\nproperty double y\r\nend_header\r\n7.5\r\n9 3 1 2\r\n9 3.125 1.5 -2.25\r\n9 2.75e0 -4 5E-1\r\n',
  );
  expect(placesOf(readPly(file))).toEqual(POINTS);
});

test('a PLY file that is cut off says how many points are there', () => {
  expect(problemOf(() => readPly(plyBytes(POINTS).slice(0, -5)))).toContain('declares 3 points and 2 are there');
  const ascii =
    'ply\nformat ascii 1.0\nelement vertex 2\nproperty float x\nproperty float y\nproperty float z\nend_header\n';
  expect(problemOf(() => readPly(text(`${ascii}1 2 3\n`)))).toContain('declares 2 points and 1 are there');
});

test.each([
  ['something else', 'No PLY heading'],
  ['ply\nformat ascii 1.0\nelement vertex 0\nend_header\n', 'holds no points'],
  ['ply\nformat ascii 1.0\nelement camera -3\nelement vertex 1\nend_header\n', '“-3” for how many of “camera”'],
  ['ply\nformat ascii 1.0\nelement vertex 1e9\nend_header\n', '“1e9” for how many of “vertex”'],
  ['ply\nformat ascii 1.0\nelement vertex -5\nend_header\n', '“-5” for how many of “vertex”'],
  ['ply\nformat odd 1.0\nelement vertex 1\nproperty float x\nend_header\n', '“odd” is no PLY format'],
  ['ply\nformat ascii 1.0\nelement vertex 1\nproperty float x\nproperty float y\nend_header\n1 2\n', 'have no z'],
  [
    'ply\nformat binary_little_endian 1.0\nelement vertex 1\nproperty list uchar int a\nproperty float x\nend_header\n',
    'lists',
  ],
  ['ply\nformat ascii 1.0\nelement vertex 99000000\nproperty float x\nend_header\n', '99.0 million points'],
])('a PLY file that cannot be read is told in words: %j', (file, words) => {
  expect(problemOf(() => readPly(text(file)))).toContain(words);
});

test.each([
  ['spaces', '1 2 3\n1.5 -2.25 3.125\n-4 0.5 2.75\n'],
  ['a heading, commas and colours', 'x,y,z,r,g,b\n1,2,3,9,9,9\n1.5,-2.25,3.125,9,9,9\n-4,0.5,2.75,9,9,9'],
  ['semicolons with decimal commas', '1,0;2,0;3,0\r\n1,5;-2,25;3,125\r\n-4;0,5;2,75\r\n'],
  ['tabs and exponents', '1\t2\t3\n15e-1\t-2.25E0\t+3.125\n-4\t.5\t2.75\n\n'],
])('XYZ with %s', (_, file) => {
  const cloud = readXyz(text(file));
  expect(placesOf(cloud)).toEqual(POINTS);
  expect(cloud.badLines).toBe(0);
});

test('lines of an XYZ file that hold no place are counted; a file of words is refused', () => {
  const cloud = readXyz(text('1 2 3\n1 2\nfour five six\n4 5 6\n'));
  expect([cloud.count, cloud.badLines]).toEqual([2, 2]);
  expect(problemOf(() => readXyz(text('no numbers here\n')))).toContain('No line with three numbers');
});

test('places far from the origin keep their tenths of a millimetre', () => {
  const { x } = readXyz(text('512345.1000 1 0\n512345.1004 1 0\n'));
  expect(x[1]! * 1000).toBeCloseTo(0.4, 3);
});

test('a file that counts in millimetres is put into metres, one in metres is left', () => {
  const mm = readXyz(text('0 0 0\n4200 3000 12\n'));
  expect(inMetres(mm)).toBe(true);
  expect([mm.x[1], mm.z[1]!.toFixed(4)]).toEqual([Math.fround(4.2), '0.0120']);
  expect(inMetres(readXyz(text('0 0 0\n4.2 3 0.012\n')))).toBe(false);
});
