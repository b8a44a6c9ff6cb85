import { createReadStream, statSync } from 'node:fs';
import { join } from 'node:path';
import { carriedOf, isOlder, JOB_FILE_VERSION, upgradedFact, type SaidProblem } from '@maquette/facts';
import {
  checkBelongings,
  checkEnvelope,
  checkFiledFact,
  checkFiledPicture,
  FACTS_MOST,
  LISTED,
  PICTURES_MOST,
  type FiledFact,
} from '@maquette/facts/job-file';
import { keepPart } from '../store/picture-files.ts';
import { makePicture, type Made } from '../store/pictures.ts';
import { tell, type Gauge } from './progress.ts';
import { slicesOf, type Slice } from './slices.ts';

/** The name of the file as it was sent, in the import's own folder. */
export const SENT = 'job.json';
/** A job file may be this large without its pictures, bytes: a hundred thousand facts, set out line by line, are. */
export const PLAIN_MOST = 60_000_000;
/** One item of it, bytes: a picture of 20 MB as text, or a scan with all its cells. */
const ITEM_MOST = 30_000_000;
/** Facts checked between two looks at whether to stop. */
const BETWEEN = 500;

/** A picture of the file on disk under a name of its own, to be given its place when the job is stored. */
export interface ReadPicture extends Omit<Made, 'data'> {
  photoId: string;
  part: string;
  bytes: number;
}

export type ReadFile =
  { ok: true; facts: FiledFact[]; pictures: ReadPicture[] } | { ok: false; problems: SaidProblem[] };

/**
 * Reads a job file piece by piece and holds every fact against the class of its kind: nothing of it is stored but its
 * pictures, in the import's own folder. What is wrong is told by path and line, 50 problems at most.
 * @throws NotJson, TooLarge, Stopped
 */
export async function readFile(folder: string, gauge: Gauge): Promise<ReadFile> {
  const path = join(folder, SENT);
  const size = statSync(path).size;
  const envelope: Record<string, unknown> = {};
  const facts: unknown[] = [];
  const lines: { facts: number[]; pictures: number[] } = { facts: [], pictures: [] };
  const pictures: ReadPicture[] = [];
  const problems: SaidProblem[] = [];
  const stream = createReadStream(path, { highWaterMark: 1 << 18 });
  const say = (field: string, value: unknown, message: string, line: number) =>
    problems.push({ field, value, message, line });

  async function take({ member, index, line, value }: Slice): Promise<void> {
    if (member === 'facts' && index !== null) {
      if (index === FACTS_MOST) say('facts', null, `takes at most ${FACTS_MOST} facts`, line);
      if (lines.facts.length !== index) say('facts', null, 'stands in the file twice', line);
      lines.facts.push(line);
      facts.push(value);
    } else if (member === 'pictures' && index !== null) {
      if (index === PICTURES_MOST) say('pictures', null, `takes at most ${PICTURES_MOST} pictures`, line);
      if (lines.pictures.length !== index) say('pictures', null, 'stands in the file twice', line);
      lines.pictures.push(line);
      await picture(value, index, line);
    } else if (member === 'facts' || member === 'pictures') say(member, null, 'takes a list', line);
    else if (member === '__proto__' || Object.hasOwn(envelope, member))
      say(member, null, Object.hasOwn(envelope, member) ? 'stands in the file twice' : 'is not a known field', line);
    else envelope[member] = value;
  }

  async function picture(value: unknown, index: number, line: number): Promise<void> {
    const wrong = checkFiledPicture(value, index);
    problems.push(...wrong.map((problem) => ({ ...problem, line })));
    if (wrong.length > 0) return;
    const { photoId, jpegBase64 } = value as { photoId: string; jpegBase64: string };
    const made = await makePicture(Buffer.from(jpegBase64, 'base64'));
    if ('words' in made) return void say(`pictures[${index}].jpegBase64`, photoId, made.words, line);
    const { data, ...rest } = made;
    pictures.push({ ...rest, photoId, bytes: data.length, part: await keepPart(folder, data) });
  }

  let plain = 0;
  for await (const slice of slicesOf(stream, ['facts', 'pictures'], ITEM_MOST)) {
    if (slice.member !== 'pictures') plain += slice.bytes;
    if (plain > PLAIN_MOST)
      say('facts', null, `takes at most ${PLAIN_MOST / 1e6} million bytes besides pictures`, slice.line);
    else await take(slice);
    if (problems.length >= LISTED || plain > PLAIN_MOST) break;
    if (facts.length % BETWEEN === 0) tell(gauge, 'reading', stream.bytesRead, size);
  }
  stream.destroy();
  const older = isOlder(envelope['version']);
  problems.push(...checkEnvelope(older ? { ...envelope, version: JOB_FILE_VERSION } : envelope));
  if (lines.facts.length === 0 && problems.length === 0)
    problems.push({ field: 'facts', value: null, message: 'takes a list of facts' });
  if (problems.length === 0) await check();
  return problems.length === 0
    ? { ok: true, facts: facts as FiledFact[], pictures }
    : { ok: false, problems: problems.slice(0, LISTED).map(withLine) };

  async function check(): Promise<void> {
    for (const [index, fact] of facts.entries()) {
      if (index % BETWEEN === 0) {
        tell(gauge, 'checking', index, facts.length);
        // Lets whoever shares this thread have a turn.
        await new Promise(setImmediate);
      }
      if (older) facts[index] = upgradedFact(fact);
      problems.push(...checkFiledFact(facts[index], index));
      if (problems.length >= LISTED) return;
    }
    // What was part of a room in its version and is a fact of its own now.
    if (older && problems.length === 0) facts.push(...carriedOf(facts));
    if (problems.length === 0) problems.push(...checkBelongings(facts as FiledFact[], pictures));
  }

  /** Adds the line on which the fact or picture begins that a problem's path names. */
  function withLine(problem: SaidProblem): SaidProblem {
    const named = /^(facts|pictures)\[(\d+)\]/.exec(problem.field);
    const line = problem.line ?? (named ? lines[named[1] as 'facts' | 'pictures'][Number(named[2])] : undefined);
    return line === undefined ? problem : { ...problem, line };
  }
}
