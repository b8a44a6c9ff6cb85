import { twiceArea, type DrawnPoint } from './outline-drawn.ts';

/** A straight line of a drawing. */
export type Piece = readonly [DrawnPoint, DrawnPoint];

/** Rings that single lines close, and how many lines close none. */
export interface Faces {
  rings: DrawnPoint[][];
  left: number;
}

/**
 * The rooms that single lines enclose: ends that lie within `near` of one another are one corner, a line that ends on another parts
 * it, lines that lead nowhere are taken off, and each face of what remains is walked round with its inside on the left hand (the
 * half-edge way of planar maps). Walls between two rooms may be one line. Takes time by the square of the number of lines.
 */
export function facesOf(pieces: readonly Piece[], near: number): Faces {
  const nodes: DrawnPoint[] = [];
  const cells = new Map<string, number[]>();
  const cell = (v: number) => Math.floor(v / near);
  const nodeAt = (point: DrawnPoint): number => {
    const [cx, cy] = [cell(point[0]), cell(point[1])];
    for (let i = cx - 1; i <= cx + 1; i++)
      for (let j = cy - 1; j <= cy + 1; j++)
        for (const node of cells.get(`${i},${j}`) ?? [])
          if (Math.hypot(nodes[node]![0] - point[0], nodes[node]![1] - point[1]) <= near) return node;
    nodes.push(point);
    const key = `${cx},${cy}`;
    cells.set(key, [...(cells.get(key) ?? []), nodes.length - 1]);
    return nodes.length - 1;
  };
  const ends = pieces.map(([a, b]) => [nodeAt(a), nodeAt(b)] as const);
  /** Nodes each node leads to, once each. */
  const ways = nodes.map(() => new Set<number>());
  for (const [a, b] of ends) {
    const stops = [a, ...nodesOn(nodes, a, b, near), b];
    for (let i = 1; i < stops.length; i++)
      if (stops[i] !== stops[i - 1]) {
        ways[stops[i - 1]!]!.add(stops[i]!);
        ways[stops[i]!]!.add(stops[i - 1]!);
      }
  }
  takeOffDeadEnds(ways);
  const left = ends.filter(([a, b]) => ways[a]!.size === 0 || ways[b]!.size === 0).length;
  return { rings: walked(nodes, ways), left };
}

/** Nodes that lie on the way from `a` to `b`, in its order. */
function nodesOn(nodes: readonly DrawnPoint[], a: number, b: number, near: number): number[] {
  const [[ax, ay], [bx, by]] = [nodes[a]!, nodes[b]!];
  const length = Math.hypot(bx - ax, by - ay);
  if (length <= near) return [];
  const [ux, uy] = [(bx - ax) / length, (by - ay) / length];
  return nodes
    .map(([x, y], node) => ({ node, along: (x - ax) * ux + (y - ay) * uy, off: (x - ax) * uy - (y - ay) * ux }))
    .filter(({ along, off }) => along > near && along < length - near && Math.abs(off) <= near)
    .sort((one, other) => one.along - other.along)
    .map(({ node }) => node);
}

function takeOffDeadEnds(ways: readonly Set<number>[]): void {
  const ending = ways.flatMap((way, node) => (way.size === 1 ? [node] : []));
  for (let node = ending.pop(); node !== undefined; node = ending.pop()) {
    const [next] = ways[node]!;
    if (next === undefined) continue;
    ways[node]!.delete(next);
    ways[next]!.delete(node);
    if (ways[next]!.size === 1) ending.push(next);
  }
}

/** Every face with its inside on the left: at each node the way that turns furthest to the left of where one came from is taken. */
function walked(nodes: readonly DrawnPoint[], ways: readonly Set<number>[]): DrawnPoint[][] {
  const heading = (from: number, to: number) =>
    Math.atan2(nodes[to]![1] - nodes[from]![1], nodes[to]![0] - nodes[from]![0]);
  const round = ways.map((way, node) => [...way].sort((a, b) => heading(node, a) - heading(node, b)));
  const seen = new Set<string>();
  const rings: DrawnPoint[][] = [];
  for (const [start, way] of round.entries())
    for (const first of way) {
      const ring: DrawnPoint[] = [];
      let [from, to] = [start, first];
      while (!seen.has(`${from},${to}`)) {
        seen.add(`${from},${to}`);
        ring.push(nodes[from]!);
        const about = round[to]!;
        const next = about[(about.indexOf(from) + about.length - 1) % about.length]!;
        [from, to] = [to, next];
      }
      if (ring.length > 2 && twiceArea(ring) > 0) rings.push(ring);
    }
  return rings;
}
