import { centsWords } from '../bill/index.ts';
import type { Block, PaperPage } from '../paper/index.ts';
import { dayOf, moment, say, type Sayable } from '../said/index.ts';
import type { ReportJob } from './report-job.ts';

const dayWords = (day: string): Sayable =>
  day === '' ? say('report.noDay') : say('said.asItIs', { what: dayOf(`${day}T12:00:00.000Z`) });

/** Prices as they were given, plans as they were kept, what was approved or refused, by whom and when. */
export function choicesPage({ quotations, keptPlans, approvals, coverUps, rooms, currency }: ReportJob): PaperPage {
  const roomOf = (id: string): Sayable =>
    rooms.find(({ set }) => set.room.id === id)?.set.room.name ?? say('report.roomGone');
  const blocks: Block[] = [
    { is: 'heading', text: say('report.pricesGiven') },
    quotations.length === 0
      ? { is: 'text', text: say('report.noPriceGiven') }
      : {
          is: 'table',
          columns: [
            { title: say('report.quotation'), share: 2 },
            { title: say('report.givenOn'), share: 4 },
            { title: say('report.withTax'), share: 3, isFigure: true },
            { title: say('report.promised'), share: 4 },
          ],
          rows: quotations.map(({ number, givenAt, grossCents, promisedDay }): Sayable[] => [
            String(number),
            say('said.asItIs', { what: moment(givenAt) }),
            centsWords(grossCents, currency),
            dayWords(promisedDay),
          ]),
        },
    { is: 'heading', text: say('report.plansKept') },
    keptPlans.length === 0
      ? { is: 'text', text: say('report.noDayPromised') }
      : {
          is: 'table',
          columns: [
            { title: say('report.plan'), share: 2 },
            { title: say('report.keptOn'), share: 4 },
            { title: say('report.promised'), share: 4 },
          ],
          rows: keptPlans.map(({ edition, keptAt, promisedDay }): Sayable[] => [
            String(edition),
            say('said.asItIs', { what: moment(keptAt) }),
            dayWords(promisedDay),
          ]),
        },
    { is: 'heading', text: say('report.approvals') },
    approvals.length === 0
      ? { is: 'text', text: say('report.noApprovals') }
      : {
          is: 'table',
          columns: [
            { title: say('report.what'), share: 5 },
            { title: say('report.answer'), share: 2 },
            { title: say('report.price'), share: 3, isFigure: true },
            { title: say('report.promised'), share: 3 },
            { title: say('report.byAndWhen'), share: 4 },
          ],
          rows: approvals.map(({ what, isApproved, cents, promisedDay, by, givenAt, ...agreed }): Sayable[] => [
            agreed.unaskedCents === 0 && agreed.unaskedDays === 0
              ? what
              : say('report.upToUnasked', {
                  what,
                  sum: centsWords(agreed.unaskedCents, currency),
                  days: agreed.unaskedDays,
                }),
            isApproved ? say('report.approved') : say('report.refused'),
            centsWords(cents, currency),
            dayWords(promisedDay),
            say('report.byAt', { by, at: moment(givenAt) }),
          ]),
        },
    { is: 'heading', text: say('report.coveredUp') },
    coverUps.length === 0
      ? { is: 'text', text: say('report.nothingCovered') }
      : {
          is: 'table',
          columns: [
            { title: say('report.room'), share: 3 },
            { title: say('report.what'), share: 3 },
            { title: say('report.byAndWhen'), share: 4 },
            { title: say('report.missing'), share: 6 },
          ],
          rows: coverUps.map(({ ofRoomId, cover, by, coveredAt, missing, reason }): Sayable[] => [
            roomOf(ofRoomId),
            coverWords(cover),
            say('report.byAt', { by, at: moment(coveredAt) }),
            missing.length === 0
              ? say('report.nothingMissing')
              : say('report.missingBecause', { what: missing.join('; '), reason: reason || say('report.noReason') }),
          ]),
        },
  ];
  return { id: 'choices', title: say('report.choices'), under: '', blocks };
}

/** What covers something up, in the trade’s words. */
export function coverWords(cover: ReportJob['coverUps'][number]['cover']): Sayable {
  switch (cover) {
    case 'pour':
      return say('report.coverPour');
    case 'membrane':
      return say('report.coverMembrane');
    case 'underlay':
      return say('report.coverUnderlay');
    case 'planks':
      return say('report.coverPlanks');
  }
}
