/** Normal deviates by Box and Muller. */
export function normal(chance: () => number): number {
  return Math.sqrt(-2 * Math.log(1 - chance())) * Math.cos(2 * Math.PI * chance());
}
