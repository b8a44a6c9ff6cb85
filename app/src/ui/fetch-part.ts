import { sentences } from './sentences.ts';

/** Marks where the build has put what the parts share. */
const SHARED = 'shared-by-parts';

let shared: Promise<void> | null = null;

/** Fetches what the parts of the app share, once; the first screen does without it. */
function sharedByParts(): Promise<void> {
  const at = document.getElementById(SHARED)?.getAttribute('content');
  if (!at) return Promise.resolve();
  return new Promise((resolve, reject) => {
    const script = document.createElement('script');
    script.src = at;
    script.onload = () => resolve();
    script.onerror = () => {
      // Asked for again, it may come.
      shared = null;
      reject(new Error('A part of the app could not be fetched'));
    };
    document.head.append(script);
  });
}

/** Fetches a part of the app that the first screen does without, with all that it may say: every dynamic import goes through here. */
export async function fetchPart<T>(part: () => Promise<T>): Promise<T> {
  await Promise.all([(shared ??= sharedByParts()), sentences()]);
  return part();
}
