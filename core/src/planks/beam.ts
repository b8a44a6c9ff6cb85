/**
 * A row of planks as a beam on one-sided support (flatness definitions, section 4). Nodes stand `stepMm` apart; forces in N,
 * lengths in mm. Stiffness k_i resists the bend w_{i-1} - 2 w_i + w_{i+1} at node i: EI / step^3 inside a plank, less at a
 * joint. The floor only pushes.
 */
export interface Beam {
  stepMm: number;
  /** Floor under each node, mm. */
  floorMm: Float64Array;
  /** Bending stiffness at each node, N/mm; those at both ends are not used. */
  bendNPerMm: Float64Array;
  /** Stiffness of what lies between plank and floor, of one node's length of it, N/mm. */
  bedNPerMm: number;
  /** Weight of one node's length, N. */
  weightN: number;
}

interface Rest {
  /** Underside of the planks at each node, mm. */
  planksMm: Float64Array;
  /** 1 where they press on the floor. */
  touches: Uint8Array;
  /** The set of touching nodes came to rest within the bound on rounds. */
  settled: boolean;
  rounds: number;
}

const MOST_ROUNDS = 200;

/**
 * Where the row comes to rest under its weight and `loadN` at each node (null: none): the least of bending, bed and load energy,
 * by Newton's method with the set of touching nodes. It stops only when that set stays as it was after a whole step.
 */
export function restOf(beam: Beam, loadN: Float64Array | null = null, from?: Uint8Array): Rest {
  const n = beam.floorMm.length;
  let touches: Uint8Array = from?.slice() ?? new Uint8Array(n).fill(1);
  // With less than two touching places a beam may tip: then all are taken to touch, and it sorts itself out.
  if (touches.reduce((sum, on) => sum + on, 0) < 2) touches = new Uint8Array(n).fill(1);
  let planksMm: Float64Array = new Float64Array(n);
  const seen = new Set<string>();
  for (let rounds = 1; rounds <= MOST_ROUNDS; rounds++) {
    planksMm = solve(beam, touches, loadN);
    const next = Uint8Array.from(planksMm, (w, i) => (w <= beam.floorMm[i]! ? 1 : 0));
    if (next.every((on, i) => on === touches[i])) return { planksMm, touches, settled: true, rounds };
    const key = next.join('');
    // A set met before would be met for ever: letting go of one node at a time breaks the ring.
    if (seen.has(key)) touches = oneAtATime(beam, touches, next, planksMm);
    else touches = next;
    seen.add(key);
    if (touches.reduce((sum, on) => sum + on, 0) < 2) touches = lowestTwo(planksMm, beam.floorMm);
  }
  return { planksMm, touches, settled: false, rounds: MOST_ROUNDS };
}

/** Changes only the node that is farthest from what it should be. */
function oneAtATime({ floorMm }: Beam, touches: Uint8Array, next: Uint8Array, planksMm: Float64Array): Uint8Array {
  let worst = -1;
  for (let i = 0; i < touches.length; i++) {
    if (touches[i] === next[i]) continue;
    if (worst < 0 || Math.abs(planksMm[i]! - floorMm[i]!) > Math.abs(planksMm[worst]! - floorMm[worst]!)) worst = i;
  }
  const out = touches.slice();
  if (worst >= 0) out[worst] = next[worst]!;
  return out;
}

function lowestTwo(planksMm: Float64Array, floorMm: Float64Array): Uint8Array {
  const order = Array.from(planksMm.keys()).sort((a, b) => planksMm[a]! - floorMm[a]! - (planksMm[b]! - floorMm[b]!));
  const out = new Uint8Array(planksMm.length);
  for (const i of order.slice(0, 2)) out[i] = 1;
  return out;
}

/** Too little to matter, and enough that a beam that floats free has one place to be, N/mm. */
const ANCHOR_N_PER_MM = 1e-7;

/** One linear step: banded Cholesky of the bending energy and the bed under the touching nodes (bandwidth two). */
function solve(beam: Beam, touches: Uint8Array, loadN: Float64Array | null): Float64Array {
  const { floorMm, bendNPerMm, bedNPerMm, weightN } = beam;
  const n = floorMm.length;
  const [d0, d1, d2] = [new Float64Array(n), new Float64Array(n), new Float64Array(n)];
  const b = new Float64Array(n);
  for (let i = 1; i < n - 1; i++) {
    const k = bendNPerMm[i]!;
    d0[i - 1]! += k;
    d0[i]! += 4 * k;
    d0[i + 1]! += k;
    d1[i - 1]! -= 2 * k;
    d1[i]! -= 2 * k;
    d2[i - 1]! += k;
  }
  for (let i = 0; i < n; i++) {
    const bed = touches[i] ? bedNPerMm : ANCHOR_N_PER_MM;
    d0[i]! += bed;
    b[i] = bed * floorMm[i]! - weightN - (loadN?.[i] ?? 0);
  }
  // L D L' in place: d0 becomes D, d1 and d2 the two bands of L.
  for (let i = 0; i < n; i++) {
    if (i >= 1) d0[i]! -= d1[i - 1]! ** 2 * d0[i - 1]!;
    if (i >= 2) d0[i]! -= d2[i - 2]! ** 2 * d0[i - 2]!;
    if (i + 1 < n) {
      if (i >= 1) d1[i]! -= d1[i - 1]! * d2[i - 1]! * d0[i - 1]!;
      d1[i]! /= d0[i]!;
    }
    if (i + 2 < n) d2[i]! /= d0[i]!;
  }
  for (let i = 0; i < n; i++) {
    if (i >= 1) b[i]! -= d1[i - 1]! * b[i - 1]!;
    if (i >= 2) b[i]! -= d2[i - 2]! * b[i - 2]!;
  }
  for (let i = 0; i < n; i++) b[i]! /= d0[i]!;
  for (let i = n - 1; i >= 0; i--) {
    if (i + 1 < n) b[i]! -= d1[i]! * b[i + 1]!;
    if (i + 2 < n) b[i]! -= d2[i]! * b[i + 2]!;
  }
  return b;
}
