/**
 * The straightedge on one line of heights. `window` is the edge length in steps. For each sample i the tangent chord is the
 * one to the sample j in (i, i + window] with the steepest slope; the largest gap under any resting edge is found by
 * raising the samples between to those chords only (flatness definitions, section 2).
 */
export interface EdgeScratch {
  tangent: Int32Array;
  /** Slope of each tangent chord, mm a step. */
  slope: Float64Array;
  gap: Float64Array;
  /** Contacts of the chord that gives each sample its gap. */
  from: Int32Array;
  to: Int32Array;
  crown: Float64Array;
  /** The steepest chord within a sample's own block; the hull of the next block, and how to take its samples back. */
  within: Int32Array;
  hull: Int32Array;
  covered: Int32Array;
  sizes: Int32Array;
  /** The envelope while it is built: where each stretch of it begins, and the sample its chord comes from (-1: none). */
  start: Int32Array;
  owner: Int32Array;
}

export function edgeScratch(size: number): EdgeScratch {
  return {
    tangent: new Int32Array(size),
    slope: new Float64Array(size),
    gap: new Float64Array(size),
    from: new Int32Array(size),
    to: new Int32Array(size),
    crown: new Float64Array(size),
    within: new Int32Array(size),
    hull: new Int32Array(size + 2),
    covered: new Int32Array(size + 2),
    sizes: new Int32Array(size + 2),
    start: new Int32Array(size + 2),
    owner: new Int32Array(size + 2),
  };
}

let table = Float64Array.of(0);

/** 1/k for k up to `most`: the inner loop divides by step counts only, and multiplying is several times faster. */
function reciprocals(most: number): Float64Array {
  if (table.length <= most) table = Float64Array.from({ length: most + 64 }, (_, k) => (k === 0 ? 0 : 1 / k));
  return table;
}

/**
 * The steepest chord from each of `n` samples to one within `window` steps, into `tangent` and `slope`. The line is cut into blocks
 * of one window: what lies ahead of a sample is the rest of its own block, over which chords are found by jumping from tangent to
 * tangent, and the beginning of the next, whose upper hull is built once and taken back sample by sample as the window draws back.
 */
function tangentsAlong(h: Float64Array, n: number, window: number, scratch: EdgeScratch): void {
  const { tangent, slope: slopes, within, hull, covered, sizes } = scratch;
  const over = reciprocals(window);
  for (let block = Math.floor((n - 2) / window) * window; block >= 0; block -= window) {
    const bound = Math.min(block + window, n - 1);
    // Upper hull of the samples from the bound on, with what each addition covered so that it can be taken back.
    let size = 0;
    let near = 0;
    let last = bound;
    for (let j = bound; j <= Math.min(n - 1, bound + window - 1); j++) {
      sizes[j - bound] = size;
      while (size >= 2 && lies(h, hull[size - 2]!, hull[size - 1]!, j)) size--;
      covered[j - bound] = hull[size]!;
      hull[size++] = j;
      last = j;
    }
    for (let i = bound - 1; i >= block; i--) {
      const hi = h[i]!;
      let best = i + 1;
      let slope = h[best]! - hi;
      // Samples between c and its tangent lie under that chord, so none of them can be steeper seen from i.
      for (let c = i + 1; c < bound;) {
        const next = within[c]!;
        const candidate = (h[next]! - hi) * over[next - i]!;
        if (candidate < slope) break;
        slope = candidate;
        best = next;
        c = next;
      }
      within[i] = best;
      const limit = Math.min(n - 1, i + window);
      for (; last > limit; last--) {
        const at = last - bound;
        hull[size - 1] = covered[at]!;
        size = sizes[at]!;
      }
      if (limit > bound) {
        // Along the hull chords from i steepen up to the tangent and flatten after it; the tangent from i + 1 lay nearby.
        if (near >= size) near = size - 1;
        while (near + 1 < size && !steeper(h, i, hull[near]!, hull[near + 1]!)) near++;
        while (near > 0 && steeper(h, i, hull[near - 1]!, hull[near]!)) near--;
        const far = hull[near]!;
        const candidate = (h[far]! - hi) * over[far - i]!;
        if (candidate >= slope) {
          slope = candidate;
          best = far;
        }
      }
      tangent[i] = best;
      slopes[i] = slope;
    }
  }
}

/** Whether the chord from i to p is steeper than the one to q, farther on. */
function steeper(h: Float64Array, i: number, p: number, q: number): boolean {
  return (h[q]! - h[i]!) * (p - i) < (h[p]! - h[i]!) * (q - i);
}

/** Whether the middle of three samples lies on or under the line between the others. */
function lies(h: Float64Array, a: number, b: number, c: number): boolean {
  return (h[b]! - h[a]!) * (c - a) <= (h[c]! - h[a]!) * (b - a);
}

/**
 * Fills `scratch.gap[s]` with the largest gap at each of `n` samples, mm, and the contacts that give it. Linear time in practice.
 *
 * The hull is the upper envelope of all tangent chords. Taken from right to left, the chord from i lies over those before it on a
 * stretch that begins at i and ends once: where another chord rises over it, that one also ends no sooner, for otherwise its end
 * would stand over a tangent. So the envelope is a stack of stretches with the nearest on top.
 */
export function gapsAlong(h: Float64Array, n: number, window: number, scratch: EdgeScratch): void {
  tangentsAlong(h, n, window, scratch);
  const { tangent, slope: slopes, gap, from, to, start, owner } = scratch;
  // Stretches lie on the stack from the far end to the near one; each reaches to the start of the one beneath it.
  let depth = 0;
  start[0] = n;
  owner[0] = -1;
  for (let i = n - 2; i >= 0; i--) {
    const hi = h[i]!;
    const best = tangent[i]!;
    const slope = slopes[i]!;
    // Sample i + 1 lies under no chord yet.
    start[++depth] = i + 1;
    owner[depth] = -1;
    if (best === i + 1) continue;
    let end = i + 1;
    while (depth > 0 && end < best) {
      const held = owner[depth]!;
      const reach = Math.min(start[depth - 1]!, best);
      if (held >= 0) {
        // How far the new chord stands over the held one at the last sample of the stretch; it falls along it.
        const lead = hi + slope * (reach - 1 - i) - (h[held]! + slopes[held]! * (reach - 1 - held));
        if (lead <= 0) {
          const over = hi + slope * (end - i) - (h[held]! + slopes[held]! * (end - held));
          // Both are straight: the first sample at which the new one no longer stands over, by its fall from one to the next.
          if (over > 0) end = Math.min(reach - 1, end + Math.ceil((over / (over - lead)) * (reach - 1 - end)));
          break;
        }
      }
      end = reach;
      if (reach === start[depth - 1]) depth--;
    }
    // What is left of the stretch it ends in begins there; the stretch beneath may begin there already.
    if (start[depth]! < end) start[depth] = end;
    start[++depth] = i + 1;
    owner[depth] = i;
  }
  gap[0] = 0;
  if (n > 0) gap[n - 1] = 0;
  for (; depth > 0; depth--) {
    const first = start[depth]!;
    const held = owner[depth]!;
    const last = Math.min(n - 1, start[depth - 1]!);
    if (held < 0) {
      gap.fill(0, first, last);
      continue;
    }
    const base = h[held]!;
    const slope = slopes[held]!;
    const end = tangent[held]!;
    for (let s = first; s < last; s++) {
      const open = base + slope * (s - held) - h[s]!;
      gap[s] = open > 0 ? open : 0;
      from[s] = held;
      to[s] = end;
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
