import { pathOf, type Block, type Paper } from '@maquette/core/paper';
import type { Sayable } from '@maquette/core/said';
import { paperHtml } from './paper-html.ts';

const say = (what: Sayable) => (typeof what === 'string' ? what : what.code);
const paper = (blocks: Block[], part: Partial<Paper> = {}): Paper => ({
  title: 'Report',
  about: 'Sluice House',
  foot: 'Advice',
  mark: '',
  code: null,
  pages: [{ id: 'one', title: 'One', under: '', blocks }],
  ...part,
});
const EVIL = '<img src=x onerror="alert(1)"> & <script>alert(2)</script>';

test('what a user wrote is text and nothing else, wherever it stands', () => {
  const html = paperHtml(
    paper(
      [
        { is: 'lead', text: EVIL },
        { is: 'heading', text: EVIL, id: EVIL },
        { is: 'text', text: EVIL, bold: EVIL },
        { is: 'list', items: [EVIL] },
        { is: 'pairs', rows: [[EVIL, [EVIL]]] },
        { is: 'table', columns: [{ title: EVIL, share: 1 }], rows: [[EVIL]] },
        { is: 'verdicts', rows: [{ verdict: 'wait', name: EVIL, figure: EVIL, under: EVIL, page: 'one' }] },
        { is: 'signature', path: 'M0 0L1 1', width: 320, height: 120, name: EVIL },
        { is: 'photographs', photographs: [{ sha256: 'ab', words: EVIL }] },
      ],
      { title: EVIL, about: EVIL, foot: EVIL },
    ),
    say,
  );
  expect(html).not.toMatch(/<img|<script|onerror="/);
  expect(html).toContain('&lt;script&gt;');
});

test('the page asks nobody for anything: no script, no address, no frame, and says so to the browser', () => {
  const html = paperHtml(paper([{ is: 'text', text: 'Hall' }]), say);
  expect(html).not.toMatch(/https?:|<script|<link|<iframe|@import|url\(http/);
  expect(html).toContain(`default-src 'none'`);
  expect(html).toContain('<meta name="robots" content="noindex">');
  expect(html).toContain('<meta name="referrer" content="no-referrer">');
});

test('sheets are of the size asked for; a table has heads for whoever hears it, a drawing its words', () => {
  const drawing = {
    width: 10,
    height: 10,
    marks: [
      {
        path: pathOf([
          [0, 0],
          [9, 9],
        ]),
        stroke: 'ink' as const,
        width: 1,
        clip: 'M0 0L10 0L10 10Z',
      },
    ],
  };
  const blocks: Block[] = [
    { is: 'table', columns: [{ title: 'Rule', share: 1 }], rows: [['3 mm']] },
    { is: 'table', columns: [{ title: 'Empty', share: 1 }], rows: [] },
    { is: 'figures', figures: [{ title: 'Before', drawing, alt: 'A floor in section' }] },
  ];
  const html = paperHtml(paper(blocks), say, 'Letter');
  expect(html).toContain('@page{size:612pt 792pt');
  expect(paperHtml(paper(blocks), say)).toContain('@page{size:595.28pt 841.89pt');
  expect(html).toContain('<th scope="col">Rule</th>');
  expect(html).not.toContain('Empty');
  expect(html).toMatch(/role="img" aria-label="A floor in section"/);
  expect(html).toMatch(/<clipPath id="(c[a-z0-9]+)">.*clip-path="url\(#\1\)"/);
});
