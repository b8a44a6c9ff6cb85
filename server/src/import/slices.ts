/** A part of a file of JSON: a member of the outermost object, or one item of a list that is one. */
export interface Slice {
  member: string;
  /** Which item of the list; null where the member is taken whole. */
  index: number | null;
  /** Line of the file on which it begins, from 1. */
  line: number;
  value: unknown;
  /** How long it is in the file. */
  bytes: number;
}

/** What cannot be read as JSON, and on which line. */
export class NotJson extends Error {
  constructor(readonly line: number) {
    super(`Line ${line} cannot be read as JSON`);
  }
}
/** A part of the file is larger than anything of ours. */
export class TooLarge extends Error {}

const [QUOTE, BACKSLASH, COMMA, COLON, NEWLINE] = [0x22, 0x5c, 0x2c, 0x3a, 0x0a];
const [OPEN_OBJECT, CLOSE_OBJECT, OPEN_LIST, CLOSE_LIST] = [0x7b, 0x7d, 0x5b, 0x5d];
const isSpace = (byte: number) => byte === 0x20 || byte === 0x09 || byte === 0x0d || byte === NEWLINE;

type Where = 'before' | 'name' | 'colon' | 'value' | 'item' | 'after' | 'end';

/**
 * Takes a file of JSON apart as it is read, so that never more than one part of it is held as text: the outermost object's
 * members, those named in `lists` item by item. Each part is read by `JSON.parse`: nothing passes here that would not there.
 * @param most bytes of one part
 * @throws NotJson, TooLarge
 */
export async function* slicesOf(
  chunks: AsyncIterable<Buffer>,
  lists: readonly string[],
  most: number,
): AsyncGenerator<Slice> {
  let where: Where = 'before';
  let line = 1;
  let member = '';
  let index = 0;
  /** The part being read: what earlier chunks held of it, and how deep inside it the reader is. */
  let parts: Buffer[] = [];
  let held = 0;
  let startLine = 1;
  let depth = 0;
  let inText = false;
  let escaped = false;
  let started = false;
  let first = true;

  const parse = (text: string, at: number): unknown => {
    try {
      return JSON.parse(text);
    } catch {
      throw new NotJson(at);
    }
  };
  const hold = (chunk: Buffer, from: number, to: number) => {
    if (to <= from) return;
    parts.push(chunk.subarray(from, to));
    held += to - from;
    if (held > most) throw new TooLarge();
  };
  const take = (): { value: unknown; bytes: number } => {
    const text = Buffer.concat(parts).toString('utf8');
    const bytes = held;
    [parts, held, started] = [[], 0, false];
    return { value: parse(text, startLine), bytes };
  };

  for await (const chunk of chunks) {
    let from = 0;
    for (let i = 0; i < chunk.length; i++) {
      const byte = chunk[i]!;
      if (byte === NEWLINE) line++;
      if (first && i < 3 && byte === [0xef, 0xbb, 0xbf][i]) continue;
      if (inText) {
        if (escaped) escaped = false;
        else if (byte === BACKSLASH) escaped = true;
        else if (byte === QUOTE) {
          inText = false;
          if (where === 'name') {
            hold(chunk, from, i + 1);
            member = String(take().value);
            where = 'colon';
          }
        }
        continue;
      }
      if (!started && isSpace(byte)) continue;
      switch (where) {
        case 'before':
          if (byte !== OPEN_OBJECT) throw new NotJson(line);
          where = 'name';
          index = -1;
          continue;
        case 'name':
          if (byte === CLOSE_OBJECT && index === -1) {
            where = 'end';
            continue;
          }
          if (byte !== QUOTE) throw new NotJson(line);
          [inText, started, from, startLine, index] = [true, true, i, line, 0];
          continue;
        case 'colon':
          if (byte !== COLON) throw new NotJson(line);
          where = 'value';
          continue;
        case 'value':
        case 'item': {
          if (!started) {
            if (where === 'value' && byte === OPEN_LIST && lists.includes(member)) {
              where = 'item';
              index = 0;
              continue;
            }
            if (where === 'item' && byte === CLOSE_LIST && index === 0) {
              where = 'after';
              continue;
            }
            [started, from, startLine, depth] = [true, i, line, 0];
          }
          const ends = depth === 0 && (byte === COMMA || byte === (where === 'item' ? CLOSE_LIST : CLOSE_OBJECT));
          if (ends) {
            hold(chunk, from, i);
            yield { member, index: where === 'item' ? index++ : null, line: startLine, ...take() };
            if (where === 'item') where = byte === COMMA ? 'item' : 'after';
            else where = byte === COMMA ? 'name' : 'end';
            continue;
          }
          if (byte === QUOTE) inText = true;
          else if (byte === OPEN_OBJECT || byte === OPEN_LIST) depth++;
          else if (byte === CLOSE_OBJECT || byte === CLOSE_LIST) depth--;
          if (depth < 0) throw new NotJson(line);
          continue;
        }
        case 'after':
          if (byte === COMMA) where = 'name';
          else if (byte === CLOSE_OBJECT) where = 'end';
          else throw new NotJson(line);
          continue;
        case 'end':
          throw new NotJson(line);
      }
    }
    first = false;
    if (started) hold(chunk, from, chunk.length);
    from = 0;
  }
  if (where !== 'end') throw new NotJson(line);
}
