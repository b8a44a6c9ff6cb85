/**
 * The straightedge on one line of heights. `window` is the edge length in steps. For each sample i the tangent chord is the
 * one to the sample j in (i, i + window] with the steepest slope; the largest gap under any resting edge is found by
 * raising the samples between to those chords only (flatness definitions, section 2).
 */
export interface EdgeScratch {
  tangent: Int32Array;
  gap: Float64Array;
  /** Contacts of the chord that gives each sample its gap. */
  from: Int32Array;
  to: Int32Array;
  crown: Float64Array;
}

export function edgeScratch(size: number): EdgeScratch {
  return {
    tangent: new Int32Array(size),
    gap: new Float64Array(size),
    from: new Int32Array(size),
    to: new Int32Array(size),
    crown: new Float64Array(size),
  };
}

let table = Float64Array.of(0);

/** 1/k for k up to `most`: the inner loop divides by step counts only, and multiplying is several times faster. */
function reciprocals(most: number): Float64Array {
  if (table.length <= most) table = Float64Array.from({ length: most + 64 }, (_, k) => (k === 0 ? 0 : 1 / k));
  return table;
}

/** Fills `scratch.gap[s]` with the largest gap at each of `n` samples, mm, and the contacts that give it. Linear time in practice. */
export function gapsAlong(h: Float64Array, n: number, window: number, scratch: EdgeScratch): void {
  const { tangent, gap, from, to } = scratch;
  const over = reciprocals(window);
  gap.fill(0, 0, n);
  for (let i = n - 2; i >= 0; i--) {
    const limit = Math.min(n - 1, i + window);
    const hi = h[i]!;
    let best = i + 1;
    let slope = h[best]! - hi;
    // Samples between c and its tangent lie under that chord, so none of them can be steeper seen from i.
    for (let c = i + 1; c < limit;) {
      const next = tangent[c]!;
      if (next > limit) {
        for (let j = c + 1; j <= limit; j++) {
          const candidate = (h[j]! - hi) * over[j - i]!;
          if (candidate >= slope) {
            slope = candidate;
            best = j;
          }
        }
        break;
      }
      const candidate = (h[next]! - hi) * over[next - i]!;
      if (candidate < slope) break;
      slope = candidate;
      best = next;
      c = next;
    }
    tangent[i] = best;
    for (let s = i + 1, chord = hi + slope; s < best; s++, chord += slope) {
      const open = chord - h[s]!;
      if (open > gap[s]!) {
        gap[s] = open;
        from[s] = i;
        to[s] = best;
      }
    }
  }
}

/**
 * Crown at each sample c into `crown`: the end gap of an edge balanced there, K = h_c - (h_{c-a} + h_{c+a}) / 2 with a = half
 * the edge, or as much of it as the room leaves on both sides. Half-integer a is interpolated. mm; 0 at the ends of the run.
 */
export function crownsAlong(h: Float64Array, n: number, window: number, crown: Float64Array): void {
  const whole = window >> 1;
  const odd = (window & 1) === 1;
  for (let c = 0; c < n; c++) {
    const room = c < n - 1 - c ? c : n - 1 - c;
    if (room > whole && odd)
      crown[c] = h[c]! - (h[c - whole]! + h[c - whole - 1]! + h[c + whole]! + h[c + whole + 1]!) / 4;
    else {
      const a = room < whole ? room : whole;
      crown[c] = h[c]! - (h[c - a]! + h[c + a]!) / 2;
    }
  }
}

/**
 * Whether any gap or rocking along `n` samples could be over `limitMm`. An edge spans at most `window` steps, so it lies within
 * two windows end to end; over those, neither a gap nor a crown can be larger than the range of the heights once the straight
 * line through their ends is taken off. False is certain; true asks for a closer look.
 */
export function mayExceed(h: Float64Array, n: number, window: number, limitMm: number): boolean {
  const last = n - 1;
  for (let from = 0; from < last; from += window) {
    const to = Math.min(last, from + 2 * window);
    const slope = (h[to]! - h[from]!) / (to - from);
    let [least, most] = [0, 0];
    for (let s = from + 1, line = h[from]! + slope; s < to; s++, line += slope) {
      const off = h[s]! - line;
      if (off > most) most = off;
      else if (off < least) least = off;
    }
    if (most - least > limitMm) return true;
    if (to === last) return false;
  }
  return false;
}
