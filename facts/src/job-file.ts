import 'reflect-metadata';
import { Type } from 'class-transformer';
import { ArrayMaxSize, Equals, IsArray, IsObject, Matches, ValidateIf, ValidateNested } from 'class-validator';
import { group, mayLack, moment, refersTo, text, whole } from '@maquette/core/fields';
import { belongings } from './belongings.ts';
import { checkId, checkShape, checkWrite } from './check.ts';
import { JOB_FILE_FORMAT, JOB_FILE_VERSION } from './format.ts';
import { FACT_KINDS, isFactKind, type FactKind, type Stored } from './kinds.ts';
import { MADE, ORDER, PLACE, type Made, type Place } from './made.ts';
import type { SaidProblem } from './problem.ts';
import { ruled } from './shape.ts';

/** Versions of one fact: far more than anybody makes. */
const VERSION_MOST = 1_000_000;

const Id = () => ruled(refersTo('facts'));
const Moment = () => ruled(moment());

/** Absent in what versions wrote that did not keep it yet. */
const Order = () => ruled(mayLack(ORDER));
const MadeBy = () => ruled(mayLack(group(MADE)));
const Version = () => ruled(whole(1, VERSION_MOST));

/** A version that a fact replaced. */
class FiledRevision implements Omit<Stored, 'id' | 'order' | 'made' | 'first'> {
  @Version() version!: number;
  @Id() writeId!: string;
  @Moment() updatedAt!: string;
  @ValidateIf((old: FiledRevision) => old.deletedAt !== null) @Moment() deletedAt!: string | null;
  @IsObject({ message: 'takes an object' }) body!: Record<string, unknown>;
  @Order() order?: number;
  @MadeBy() made?: Made | null;
}

/** One stored fact in a job file: its record, and every version it replaced, oldest first. */
export class FiledFact {
  @ruled(text(40)) kind!: FactKind;
  @Id() id!: string;
  @ValidateIf((fact: FiledFact) => fact.roomId !== null) @Id() roomId!: string | null;
  @Version() version!: number;
  @Id() writeId!: string;
  @Moment() updatedAt!: string;
  @ValidateIf((fact: FiledFact) => fact.deletedAt !== null) @Moment() deletedAt!: string | null;
  @IsObject({ message: 'takes an object' }) body!: Record<string, unknown>;
  @Order() order?: number;
  @MadeBy() made?: Made | null;
  @ruled(mayLack(group(PLACE))) first?: Place | null;

  @IsArray({ message: 'takes a list' })
  @ArrayMaxSize(1000, { message: 'takes at most 1000' })
  @IsObject({ each: true, message: 'takes objects' })
  @ValidateNested({ each: true })
  @Type(() => FiledRevision)
  replaced!: FiledRevision[];
}

/** The picture of a photograph in a job file. */
class FiledPicture {
  @Id() photoId!: string;
  @Matches(/^[A-Za-z0-9+/]+={0,2}$/, { message: 'takes a JPEG as base64' }) jpegBase64!: string;
}

/** What a job file says of itself. */
class Envelope {
  @Equals(JOB_FILE_FORMAT, { message: `takes "${JOB_FILE_FORMAT}"` }) format!: typeof JOB_FILE_FORMAT;
  @Equals(JOB_FILE_VERSION, { message: `takes ${JOB_FILE_VERSION}` }) version!: typeof JOB_FILE_VERSION;
  @Moment() writtenAt!: string;
}

/** A whole job as one file. Facts are in an order in which each may be stored: job, cards, rooms, then what lies in rooms. */
export interface JobFile extends Envelope {
  facts: FiledFact[];
  /** Absent in files of version 1, which had none. */
  pictures?: FiledPicture[];
}

/** Facts and pictures of one job at most: far more than a job has. */
export const FACTS_MOST = 100_000;
export const PICTURES_MOST = 2000;

/** Problems are listed up to this many: whoever reads them mends the first ones first. */
export const LISTED = 50;

const under = (at: string, problems: readonly SaidProblem[]): SaidProblem[] =>
  problems.map((problem) => ({ ...problem, field: problem.field === '' ? at : `${at}.${problem.field}` }));

/** Problems with what a job file says of itself: all of it but its facts and pictures. */
export const checkEnvelope = (plain: unknown): SaidProblem[] => checkShape(Envelope, plain);

/** Problems with one fact of a job file: its record, and its body and every body it replaced by the class of its kind. */
export function checkFiledFact(plain: unknown, index: number): SaidProblem[] {
  const at = `facts[${index}]`;
  const outer = checkShape(FiledFact, plain);
  if (outer.length > 0) return under(at, outer);
  const fact = plain as FiledFact;
  if (!isFactKind(fact.kind))
    return [{ field: `${at}.kind`, value: fact.kind, message: `takes one of ${FACT_KINDS.join(', ')}` }];
  const bodies = [
    { body: fact.body, name: 'body' },
    ...fact.replaced.map(({ body }, old) => ({ body, name: `replaced[${old}].body` })),
  ];
  return [
    ...checkId(fact.kind, fact.id).map((p) => ({ ...p, field: `${at}.id` })),
    ...bodies.flatMap(({ body, name }) =>
      under(`${at}.${name}`, checkWrite(fact.kind, { ...body, baseVersion: 0, writeId: fact.writeId, deleted: false })),
    ),
  ];
}

/** Problems with one picture of a job file, before it is looked at. */
export const checkFiledPicture = (plain: unknown, index: number): SaidProblem[] =>
  under(`pictures[${index}]`, checkShape(FiledPicture, plain));

/** Problems with what belongs to what in a job file whose facts have each passed. */
export function checkBelongings(
  facts: readonly FiledFact[],
  pictures: readonly Pick<FiledPicture, 'photoId'>[],
): SaidProblem[] {
  return belongings({ facts, pictures }).slice(0, LISTED);
}

/** Problems with a job file that is here as a whole. At most 50 are listed. */
export function checkJobFile(plain: unknown): SaidProblem[] {
  if (typeof plain !== 'object' || plain === null || Array.isArray(plain)) return checkEnvelope(plain);
  const { facts, pictures = [], ...envelope } = plain as { facts?: unknown; pictures?: unknown };
  const outer = checkEnvelope(envelope);
  if (!Array.isArray(facts) || facts.length > FACTS_MOST)
    outer.push({ field: 'facts', value: null, message: `takes a list of at most ${FACTS_MOST} facts` });
  if (!Array.isArray(pictures) || pictures.length > PICTURES_MOST)
    outer.push({ field: 'pictures', value: null, message: `takes a list of at most ${PICTURES_MOST} pictures` });
  if (outer.length > 0 || !Array.isArray(facts) || !Array.isArray(pictures)) return outer.slice(0, LISTED);
  const problems = pictures.flatMap(checkFiledPicture);
  for (const [index, fact] of (facts as unknown[]).entries()) {
    if (problems.length >= LISTED) break;
    problems.push(...checkFiledFact(fact, index));
  }
  return problems.length > 0
    ? problems.slice(0, LISTED)
    : checkBelongings(facts as FiledFact[], pictures as FiledPicture[]);
}
