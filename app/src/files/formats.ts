import { fetchPart } from '../ui/fetch-part.ts';

export type FileFormats = (typeof import('./every-format.ts'))['everyFormat'];

/** Readers and writers of files: a part that is fetched when a file is read or written. Throws, in words, where it cannot be. */
export async function fileFormats(): Promise<FileFormats> {
  try {
    return (await fetchPart(() => import('./every-format.ts'))).everyFormat;
  } catch {
    throw new Error('What reads and writes files is not on this device yet. Try again with a signal.');
  }
}
