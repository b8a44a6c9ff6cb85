import { counted } from './counted.ts';

/** How far this device's clock is off, in words: told in minutes, and in hours or days where it is that much. */
export function skewWords(skewMs: number): string {
  const minutes = Math.round(Math.abs(skewMs) / 60_000);
  const much =
    minutes < 120
      ? counted(minutes, 'minute')
      : minutes < 72 * 60
        ? counted(Math.round(minutes / 60), 'hour')
        : counted(Math.round(minutes / 1440), 'day');
  return `The clock of this device is ${much} ${skewMs > 0 ? 'ahead of' : 'behind'} the server’s.`;
}
