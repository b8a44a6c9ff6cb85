import sharp from 'sharp';

/** What a drawn photograph shows: the display of a meter with a figure, or the place a test stands in. */
export type Scene = { shows: 'display'; figure: string } | { shows: 'place'; seed: number };

const WIDE = 1200;
const HIGH = 900;

/** Segments of a figure on a display, each from and to, in a cell of two by four; drawn, so that no font is needed. */
const SEGMENTS = ['M0 0H2', 'M2 0V2', 'M2 2V4', 'M0 4H2', 'M0 2V4', 'M0 0V2', 'M0 2H2'];
/** Segments lit for each digit. */
const LIT = ['012345', '12', '01346', '01236', '1256', '02356', '023456', '012', '0123456', '012356'];

function figurePaths(figure: string): string {
  let x = 0;
  return [...figure]
    .map((letter) => {
      const at = x;
      x += letter === '.' ? 0.8 : 3;
      if (letter === '.') return `<path d="M${at - 0.4} 4h0.1" />`;
      return [...(LIT[Number(letter)] ?? '')]
        .map((segment) => `<path transform="translate(${at} 0)" d="${SEGMENTS[Number(segment)]}" />`)
        .join('');
    })
    .join('');
}

/** Slab, with a wall behind it and daylight from one side. */
const floor = (turn: number) => `
  <defs><linearGradient id="l" x1="0" x2="1" y1="0" y2="1">
    <stop offset="0" stop-color="#d9d5cb"/><stop offset="1" stop-color="#8f8b81"/></linearGradient></defs>
  <rect width="${WIDE}" height="${HIGH}" fill="url(#l)"/>
  <rect width="${WIDE}" height="${170 + 40 * turn}" fill="#e9e4d6"/>
  <rect y="${160 + 40 * turn}" width="${WIDE}" height="22" fill="#f6f3ea"/>
  <path d="M${120 + 90 * turn} ${HIGH} C 420 700 ${500 + 60 * turn} 560 ${760 - 50 * turn} ${182 + 40 * turn}" stroke="#6f6a60" stroke-width="4" fill="none"/>`;

function drawn(scene: Scene): string {
  if (scene.shows === 'place') {
    const [x, y] = [420 + 90 * scene.seed, 520 + 30 * scene.seed];
    return `${floor(scene.seed)}
      <ellipse cx="${x}" cy="${y}" rx="60" ry="34" fill="#4b4a46"/><ellipse cx="${x}" cy="${y - 14}" rx="46" ry="26" fill="#2f6f8f"/>
      <path d="M${x} ${y} L${WIDE} ${y + 150}" stroke="#e0b02c" stroke-width="16"/>
      <path d="M${x} ${y} L60 ${y + 40}" stroke="#e0b02c" stroke-width="16"/>`;
  }
  const scale = 330 / (3 * scene.figure.replace('.', '').length);
  return `${floor(0)}
    <rect x="330" y="200" width="540" height="620" rx="46" fill="#2c3338"/>
    <rect x="390" y="270" width="420" height="250" rx="10" fill="#c9d3b8"/>
    <g transform="translate(430 ${395 - 2 * scale}) scale(${scale})" fill="none" stroke="#1d241b" stroke-width="0.5" stroke-linecap="square">${figurePaths(scene.figure)}</g>
    <circle cx="600" cy="650" r="64" fill="#e0b02c"/><circle cx="460" cy="650" r="34" fill="#59646b"/><circle cx="740" cy="650" r="34" fill="#59646b"/>`;
}

/** A photograph nobody took, as JPEG. */
export const drawnPhoto = (scene: Scene): Promise<Buffer> =>
  sharp(Buffer.from(`<svg xmlns="http://www.w3.org/2000/svg" width="${WIDE}" height="${HIGH}">${drawn(scene)}</svg>`))
    .jpeg({ quality: 80 })
    .toBuffer();
