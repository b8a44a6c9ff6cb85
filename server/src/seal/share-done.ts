/** How much of a piece of work is done, in thousandths: shared between the thread that works and the one that is asked. */
export type Share = Int32Array<SharedArrayBuffer>;

export const newShare = (): Share => new Int32Array(new SharedArrayBuffer(Int32Array.BYTES_PER_ELEMENT));

export const tellShare = (share: Share, done: number): void => void Atomics.store(share, 0, Math.round(done * 1000));
export const shareDone = (share: Share): number => Atomics.load(share, 0) / 1000;
