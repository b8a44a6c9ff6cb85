/** So many of something: `1 bag`, `3 bags`. `many` is given where it is no plain plural. */
export function counted(n: number, one: string, many = `${one}s`): string {
  return `${n} ${n === 1 ? one : many}`;
}
