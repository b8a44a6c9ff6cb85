import type { LayPlan } from '@maquette/core';
import type { UnitSystem } from '@maquette/core/units';
import type { Say } from '../../ui/shown-in.tsx';
import { sawn } from './lengths.ts';

interface Paper {
  title: string;
  svg: string;
  plan: LayPlan;
  units: UnitSystem;
  say: Say;
}

const escaped = (text: string) =>
  text.replace(/[&<>"]/g, (c) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[c]!);

const STYLE = `
  @page { size: A4; margin: 14mm; }
  body { font: 10.5pt/1.35 'Barlow', sans-serif; color: #000; margin: 0; }
  h1 { font-size: 15pt; margin: 0 0 4mm; } h2 { font-size: 11.5pt; margin: 6mm 0 2mm; }
  svg { width: 100%; height: auto; max-height: 150mm; display: block; }
  table { border-collapse: collapse; width: 100%; font-variant-numeric: tabular-nums; }
  th, td { text-align: left; padding: 0.8mm 3mm 0.8mm 0; border-bottom: 0.2mm solid #999; }
  thead { display: table-header-group; } tr { break-inside: avoid; }
`;

const table = (heads: readonly string[], rows: readonly (readonly string[])[]) =>
  `<table><thead><tr>${heads.map((head) => `<th>${escaped(head)}</th>`).join('')}</tr></thead><tbody>${rows
    .map((row) => `<tr>${row.map((cell) => `<td>${escaped(cell)}</td>`).join('')}</tr>`)
    .join('')}</tbody></table>`;

/** The set-out as a page of its own, black on white. */
export function pageOf({ title, svg, plan, units, say }: Paper): string {
  const mm = (value: number) => sawn(value, units);
  const lines = plan.chalk.map((line, k) => [
    `Line ${k + 1}, after row ${line.afterRow}`,
    ...line.fromStartMm.map((from) => `${mm(from)} from ${say(line.startWall)}`),
  ]);
  const rows = plan.rows.map(({ row, leftWideMm, rightWideMm, startMm, wholes, endMm }) => [
    String(row + 1),
    Math.abs(leftWideMm - rightWideMm) > 0.5 ? `${mm(leftWideMm)} to ${mm(rightWideMm)}` : mm(leftWideMm),
    mm(startMm),
    String(wholes),
    endMm > 0 ? mm(endMm) : '',
  ]);
  const cuts = plan.pieces
    .filter(({ kind, ripMm }) => kind !== 'whole' || ripMm)
    .map(({ number, row, kind, cutMm, ripMm, plank, restTo }) => [
      String(number),
      String(row),
      kind === 'whole' ? 'whole' : mm(cutMm),
      ripMm ? mm(Math.min(...ripMm)) : '',
      String(plank),
      restTo === null ? '' : String(restTo),
    ]);
  return `<!doctype html><html lang="en"><head><meta charset="utf-8"><title>${escaped(title)}</title><style>${STYLE}</style></head><body><h1>${escaped(title)}</h1>${svg}${
    plan.herringbone
      ? ''
      : `<h2>Lines to snap</h2>${table(['Line', 'At the left end', 'At the right end'], lines)}<h2>Rows</h2>${table(['Row', 'Width', 'First piece', 'Whole', 'Last piece'], rows)}<h2>Cuts in the order of laying</h2>${table(['Piece', 'Row', 'Length', 'Ripped to', 'Plank', 'Rest to piece'], cuts)}`
  }</body></html>`;
}

/** Opens the page in a frame of its own and asks for a printer: there it can be saved as PDF as well. */
export function printed(paper: Paper): void {
  const frame = document.createElement('iframe');
  frame.style.cssText = 'position:fixed;width:0;height:0;border:0';
  frame.title = paper.title;
  frame.srcdoc = pageOf(paper);
  frame.onload = () => {
    frame.contentWindow?.focus();
    frame.contentWindow?.print();
    // The printer has its own copy once it has been asked.
    setTimeout(() => frame.remove(), 60_000);
  };
  document.body.append(frame);
}
