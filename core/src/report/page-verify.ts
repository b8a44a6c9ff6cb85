import type { Block, PaperPage } from '../paper/index.ts';
import { moment, say, type Sayable } from '../said/index.ts';
import type { ReportJob } from './report-job.ts';

/** How anybody checks the record, what that shows and what it does not. */
export function verifyPage({ chain, seals, atUtc, edition }: ReportJob): PaperPage {
  const before = seals.map(({ sealedAt, sealSha256, chainSha256 }): Sayable[] => [
    say('said.asItIs', { what: moment(sealedAt) }),
    sealSha256,
    chainSha256,
  ]);
  const blocks: Block[] = [
    chain
      ? { is: 'text', text: say('report.chainOf', { facts: chain.facts, digest: chain.digest }) }
      : { is: 'text', text: say('report.noChain') },
    { is: 'heading', text: say('report.howToCheck') },
    {
      is: 'list',
      items: [
        say('report.checkMessage'),
        say('report.checkManifest'),
        say('report.checkSignature'),
        say('report.checkScript'),
      ],
    },
    { is: 'heading', text: say('report.whatItShows') },
    { is: 'text', text: say('report.shows') },
    { is: 'text', text: say('report.showsNot') },
    ...(before.length > 0
      ? [
          { is: 'heading' as const, text: say('report.sealedBefore') },
          {
            is: 'table' as const,
            columns: [
              { title: say('report.when'), share: 3 },
              { title: say('report.seal'), share: 6 },
              { title: say('report.chainDigest'), share: 6 },
            ],
            rows: before,
          },
        ]
      : []),
    { is: 'text', text: say('report.madeAt', { at: moment(atUtc), edition }), quiet: true },
  ];
  return { id: 'verify', title: say('report.verify'), under: '', blocks };
}
