import {
  SHEET_PT,
  VERDICT_MARKS,
  verdictWords,
  type Block,
  type Drawing,
  type Paper,
  type PaperPage,
  type PaperSize,
} from '@maquette/core/paper';
import type { Sayable } from '@maquette/core/said';

/** Puts what is said into words, in the units and by the clock of whoever reads. */
type Say = (what: Sayable) => string;

const escaped = (text: string): string =>
  text.replace(/[&<>"]/g, (sign) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[sign]!);

const INK = {
  ink: '#1E2428',
  quiet: '#59636A',
  rule: '#CFC8BA',
  high: '#A8452E',
  low: '#1D6E78',
  good: '#44662B',
  none: 'none',
} as const;

const STYLE = `
*{box-sizing:border-box}
body{max-width:46rem;margin:0 auto;padding:1.25rem;color:#1E2428;background:#fff;font:1.05rem/1.45 Barlow,"Helvetica Neue",Arial,sans-serif}
h1{margin:2.5rem 0 .75rem;padding-bottom:.4rem;border-bottom:2px solid;font-size:1.7rem;line-height:1.2}
h2{margin:1.75rem 0 .5rem;font-size:1.2rem}
p{margin:.5rem 0}
.lead{font-size:1.3rem}
.quiet,figcaption,footer{color:#59636A;font-size:.92rem}
table{width:100%;margin:.75rem 0;border-collapse:collapse;font-size:.92rem}
th,td{padding:.4rem .5rem;border-bottom:1px solid #CFC8BA;text-align:left;vertical-align:top}
.figure{text-align:right;font-variant-numeric:tabular-nums}
.wide{overflow-x:auto}
dl{display:grid;grid-template-columns:5rem 1fr;gap:.25rem 1rem}
dt{color:#59636A;font-weight:600}
dd{margin:0}
figure{margin:.75rem 0}
.pair{display:grid;grid-template-columns:repeat(auto-fit,minmax(16rem,1fr));gap:1.5rem}
figure strong{float:right;font-size:1.4rem}
svg{display:block;width:100%;height:auto;max-height:24rem}
.pair>figure:only-child>svg{max-height:38rem}
.mark{width:3rem}
.code svg{width:8rem}
.line{height:2.6rem;border-bottom:1px solid #59636A}
@media print{body{max-width:none;padding:0;font-size:11.5pt}h1{break-before:page;margin-top:0}h1:first-of-type,.flows{break-before:auto}table,figure,dl,li{break-inside:avoid}h2{break-after:avoid}}
`;

/** A drawing as SVG, with its words where a reader of screens finds them. */
function svgOf(drawing: Drawing, alt: string, say: Say): string {
  const clips = new Map<string, string>();
  const marks = drawing.marks.map((mark) => {
    if ('text' in mark)
      return `<text x="${mark.x}" y="${mark.y}" font-size="${mark.size}" text-anchor="${mark.anchor}" fill="${INK[mark.ink]}"${mark.bold ? ' font-weight="600"' : ''}>${escaped(say(mark.text))}</text>`;
    const { path, stroke, fill, fillShare, width, dash, clip } = mark;
    // Names of clips are of this drawing: several of them may stand on one page.
    if (clip && !clips.has(clip)) clips.set(clip, `c${nameOf(clip)}`);
    return (
      `<path d="${path}" fill="${fill ? INK[fill] : 'none'}" fill-rule="evenodd"` +
      (fillShare === undefined ? '' : ` fill-opacity="${fillShare}"`) +
      (stroke === 'none' ? '' : ` stroke="${INK[stroke]}" stroke-width="${width}"`) +
      (dash ? ` stroke-dasharray="${dash.join(' ')}"` : '') +
      (clip ? ` clip-path="url(#${clips.get(clip)})"` : '') +
      '/>'
    );
  });
  const defined = [...clips].map(
    ([path, id]) => `<clipPath id="${id}"><path d="${path}" clip-rule="evenodd"/></clipPath>`,
  );
  return `<svg viewBox="0 0 ${drawing.width} ${drawing.height}" role="img" aria-label="${escaped(alt)}">${defined.join('')}${marks.join('')}</svg>`;
}

/** A short name of a path: the same path has the same one. */
function nameOf(path: string): string {
  let hash = 0;
  for (let k = 0; k < path.length; k++) hash = (hash * 31 + path.charCodeAt(k)) >>> 0;
  return hash.toString(36);
}

function verdicts({ rows }: Extract<Block, { is: 'verdicts' }>, say: Say): string {
  const lines = rows.map(({ verdict, name, figure, under }) => {
    const { path, color, isFilled, more } = VERDICT_MARKS[verdict];
    const first = isFilled ? `fill="${color}"` : `fill="none" stroke="${color}" stroke-width="1.2"`;
    const second = more ? `<path d="${more}" fill="none" stroke="${color}" stroke-width="1.2"/>` : '';
    return `<tr><td class="mark"><svg viewBox="0 0 40 12" aria-hidden="true"><path d="${path}" ${first}/>${second}</svg><small>${escaped(say(verdictWords(verdict)))}</small></td><th scope="row">${escaped(say(name))}</th><td><strong>${escaped(say(figure))}</strong><br>${escaped(say(under))}</td></tr>`;
  });
  return `<table>${lines.join('')}</table>`;
}

function table({ columns, rows }: Extract<Block, { is: 'table' }>, say: Say): string {
  if (rows.length === 0) return '';
  const name = (k: number) => (columns[k]?.isFigure ? ' class="figure"' : '');
  const heads = columns.map(({ title }, k) => `<th scope="col"${name(k)}>${escaped(say(title))}</th>`);
  const lines = rows.map(
    (cells) => `<tr>${cells.map((cell, k) => `<td${name(k)}>${escaped(say(cell))}</td>`).join('')}</tr>`,
  );
  // A table wider than a phone is scrolled by keys as well.
  return `<div class="wide" tabindex="0"><table><thead><tr>${heads.join('')}</tr></thead><tbody>${lines.join('')}</tbody></table></div>`;
}

function blockHtml(block: Block, say: Say): string {
  const paragraph = (text: Sayable, name = '') =>
    say(text) === '' ? '' : `<p${name && ` class="${name}"`}>${escaped(say(text))}</p>`;
  switch (block.is) {
    case 'lead':
      return paragraph(block.text, 'lead');
    case 'heading':
      return `<h2${block.id ? ` id="${escaped(block.id)}"` : ''}>${escaped(say(block.text))}</h2>`;
    case 'text':
      return block.bold
        ? `<p><strong>${escaped(say(block.bold))}:</strong> ${escaped(say(block.text))}</p>`
        : paragraph(block.text, block.quiet ? 'quiet' : '');
    case 'list':
      return `<ul>${block.items.map((item) => `<li>${escaped(say(item))}</li>`).join('')}</ul>`;
    case 'verdicts':
      return verdicts(block, say);
    case 'table':
      return table(block, say);
    case 'pairs':
      return `<dl>${block.rows.map(([label, lines]) => `<dt>${escaped(say(label))}</dt><dd>${lines.map((line) => escaped(say(line))).join('<br>')}</dd>`).join('')}</dl>`;
    case 'figures':
      return `<div class="pair">${block.figures
        .map(
          ({ title, figure, drawing, alt }) =>
            `<figure>${figure ? `<strong>${escaped(say(figure))}</strong>` : ''}<figcaption>${escaped(say(title))}</figcaption>${svgOf(drawing, say(alt), say)}</figure>`,
        )
        .join('')}</div>`;
    case 'photographs':
      return block.photographs.length === 0
        ? ''
        : `<ul>${block.photographs.map(({ words, sha256 }) => `<li>${escaped(say(words))} <small>${sha256}</small></li>`).join('')}</ul>`;
    case 'rules':
      return `${'<div class="line"></div>'.repeat(block.count)}${paragraph(block.label, 'quiet')}`;
    case 'signature':
      return `<figure>${svgOf({ width: block.width, height: block.height, marks: [{ path: block.path, stroke: 'ink', width: 2 }] }, say(block.name), say)}</figure>`;
  }
}

const pageHtml = (page: PaperPage, say: Say): string =>
  `<section><h1${page.flows ? ' class="flows"' : ''} id="${escaped(page.id)}">${escaped(say(page.title))}</h1>${page.blocks.map((block) => blockHtml(block, say)).join('\n')}</section>`;

/** A paper as one HTML file: no script, no address outside it, readable on a phone and printed on sheets of a size. */
export function paperHtml(paper: Paper, say: Say, size: PaperSize = 'A4'): string {
  const [width, height] = SHEET_PT[size];
  const code = paper.code ? `<figure class="code">${svgOf(paper.code, say(paper.title), say)}</figure>` : '';
  return `<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<meta name="robots" content="noindex">
<meta name="referrer" content="no-referrer">
<meta http-equiv="Content-Security-Policy" content="default-src 'none'; style-src 'unsafe-inline'">
<title>${escaped(say(paper.title))}</title>
<style>@page{size:${width}pt ${height}pt;margin:36pt}${STYLE}</style>
</head>
<body>
<header class="quiet">${escaped(say(paper.about))}</header>
<main>
${paper.pages.map((page) => pageHtml(page, say)).join('\n')}
</main>
<footer>${code}<p>${escaped(say(paper.foot))}</p></footer>
</body>
</html>
`;
}
