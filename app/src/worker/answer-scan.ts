import { proposePlace, readScan } from '@maquette/core/scan';
import { drawnOf } from './drawn-scan.ts';
import type { ScanAnswer, ScanAsk } from './messages.ts';

/** Reads a scan's file, finds its floor and proposes where it lies. */
export async function answerScan(
  { file, up, plan, known }: ScanAsk,
  share: (share: number) => void,
): Promise<ScanAnswer> {
  const bytes = new Uint8Array(await file.arrayBuffer());
  const read = readScan(bytes, up, share);
  return { ...read, place: proposePlace(plan, read.floor, known), drawn: drawnOf(read.floor) };
}
