import { decimals, say } from '../said/index.ts';
import { gathering, POINTS_MOST, ScanProblem, TELL_EVERY, type Cloud, type Share } from './cloud.ts';
import { readTextPoints } from './text-points.ts';

/** Bytes a property of a type takes, by both names the format has for it. */
const SIZES: Record<string, number> = {
  char: 1,
  int8: 1,
  uchar: 1,
  uint8: 1,
  short: 2,
  int16: 2,
  ushort: 2,
  uint16: 2,
  int: 4,
  int32: 4,
  uint: 4,
  uint32: 4,
  float: 4,
  float32: 4,
  double: 8,
  float64: 8,
};
const HEADER_MOST = 65_536;

interface Element {
  name: string;
  count: number;
  properties: { name: string; type: string }[];
  /** Its size cannot be told without reading it. */
  hasList: boolean;
}

interface Header {
  format: 'ascii' | 'binary_little_endian' | 'binary_big_endian';
  elements: Element[];
  bodyAt: number;
}

function headerOf(bytes: Uint8Array): Header {
  const text = new TextDecoder('latin1').decode(bytes.subarray(0, HEADER_MOST));
  const end = /(^|\n)end_header\r?\n/.exec(text);
  if (!/^ply\r?\n/.test(text) || !end) throw new ScanProblem(say('scan.noPlyHeadingTheFileIs'));
  const header: Partial<Header> & { elements: Element[] } = { elements: [], bodyAt: end.index + end[0].length };
  for (const line of text.slice(0, end.index).split(/\r?\n/)) {
    const words = line.trim().split(/\s+/);
    const element = header.elements.at(-1);
    if (words[0] === 'format') header.format = words[1] as Header['format'];
    else if (words[0] === 'element') {
      const [, name = '', count = ''] = words;
      if (!/^\d{1,12}$/.test(count)) throw new ScanProblem(say('scan.thePlyHeadingCounts', { name, count }));
      header.elements.push({ name, count: Number(count), properties: [], hasList: false });
    } else if (words[0] === 'property' && element) {
      if (words[1] === 'list') element.hasList = true;
      else element.properties.push({ type: words[1] ?? '', name: words[2] ?? '' });
    }
  }
  if (header.format !== 'ascii' && header.format !== 'binary_little_endian' && header.format !== 'binary_big_endian')
    throw new ScanProblem(say('scan.isNoPlyFormatAsciiOr', { format: header.format ?? say('scan.nothing') }));
  return header as Header;
}

const sizeOf = ({ properties }: Element) =>
  properties.reduce((sum, { type }) => {
    if (!SIZES[type]) throw new ScanProblem(say('scan.isNoPlyType', { type }));
    return sum + SIZES[type];
  }, 0);

/**
 * Points of a PLY file, ASCII or binary of either order, whatever else each of its points carries. Throws `ScanProblem`: no
 * heading, no points, or fewer than the heading declares.
 */
export function readPly(bytes: Uint8Array, share: Share = () => undefined): Cloud {
  const { format, elements, bodyAt } = headerOf(bytes);
  const index = elements.findIndex(({ name }) => name === 'vertex');
  const vertex = elements[index];
  if (!vertex || !(vertex.count > 0)) throw new ScanProblem(say('scan.thePlyFileHoldsNoPoints'));
  if (vertex.count > POINTS_MOST)
    throw new ScanProblem(
      say('scan.millionPointsMillionAtMostAre', {
        count: decimals(vertex.count / 1e6, 1),
        POINTSMOST: POINTS_MOST / 1e6,
      }),
    );
  const before = elements.slice(0, index);
  if (vertex.hasList || before.some(({ hasList }) => hasList))
    throw new ScanProblem(say('scan.thePlyFileKeepsListsBefore'));
  const column = (name: string) => {
    const found = vertex.properties.findIndex((property) => property.name === name);
    if (found < 0) throw new ScanProblem(say('scan.thePlyFilesPointsHaveNo', { name }));
    return found;
  };
  const [x, y, z] = [column('x'), column('y'), column('z')];
  if (format === 'ascii') {
    const lines = before.reduce((sum, { count }) => sum + count, 0);
    const cloud = readTextPoints(bytes, pastLines(bytes, bodyAt, lines), { x, y, z }, share, vertex.count);
    if (cloud.count < vertex.count) throw new ScanProblem(short(vertex.count, cloud.count));
    return cloud;
  }
  const stride = sizeOf(vertex);
  const start = bodyAt + before.reduce((sum, element) => sum + element.count * sizeOf(element), 0);
  const there = Math.floor((bytes.length - start) / stride);
  if (there < vertex.count) throw new ScanProblem(short(vertex.count, Math.max(0, there)));
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const little = format === 'binary_little_endian';
  const offset = (at: number) => vertex.properties.slice(0, at).reduce((sum, { type }) => sum + SIZES[type]!, 0);
  const reader = (at: number): ((byte: number) => number) => {
    const from = offset(at);
    const { type } = vertex.properties[at]!;
    if (type === 'float' || type === 'float32') return (byte) => view.getFloat32(byte + from, little);
    if (type === 'double' || type === 'float64') return (byte) => view.getFloat64(byte + from, little);
    throw new ScanProblem(say('scan.placesOfTypeAreNotTaken', { type }));
  };
  const [readX, readY, readZ] = [reader(x), reader(y), reader(z)];
  const cloud = gathering(vertex.count);
  for (let i = 0, byte = start; i < vertex.count; i++, byte += stride) {
    const [px, py, pz] = [readX(byte), readY(byte), readZ(byte)];
    if (Number.isFinite(px + py + pz)) cloud.add(px, py, pz);
    if ((i + 1) % TELL_EVERY === 0) share((i + 1) / vertex.count);
  }
  return cloud;
}

const short = (declared: number, there: number) => say('scan.theFileIsCutOffIts', { declared, there });

function pastLines(bytes: Uint8Array, start: number, lines: number): number {
  let at = start;
  for (let left = lines; left > 0 && at < bytes.length; at++) if (bytes[at] === 10) left--;
  return at;
}
