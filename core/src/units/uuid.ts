/** UUID version 7 (RFC 9562): 48 bits of Unix time in ms, then 74 random bits from the ten bytes given. Sorts by time. */
export function uuidV7(timeMs: number, random: Uint8Array): string {
  const hex = (value: number, digits: number) => value.toString(16).padStart(digits, '0');
  const tail = Array.from(random.subarray(0, 10), (byte) => hex(byte, 2)).join('');
  const time = hex(Math.floor(timeMs), 12);
  const variant = hex(8 + (random[2]! % 4), 1);
  return `${time.slice(0, 8)}-${time.slice(8)}-7${tail.slice(0, 3)}-${variant}${tail.slice(3, 6)}-${tail.slice(6, 18)}`;
}
