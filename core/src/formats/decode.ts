/**
 * Text of a file whatever marks its encoding: UTF-8 with or without a mark, UTF-16 with one, else Windows-1252 when the bytes
 * are not valid UTF-8 (older spreadsheet exports).
 */
export function decodeText(bytes: Uint8Array): string {
  const strip = (text: string) => text.replace(/^\uFEFF/, '');
  if (bytes[0] === 0xff && bytes[1] === 0xfe) return strip(new TextDecoder('utf-16le').decode(bytes));
  if (bytes[0] === 0xfe && bytes[1] === 0xff) return strip(new TextDecoder('utf-16be').decode(bytes));
  try {
    return strip(new TextDecoder('utf-8', { fatal: true }).decode(bytes));
  } catch {
    return new TextDecoder('windows-1252').decode(bytes);
  }
}
