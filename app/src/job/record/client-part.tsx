import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { only } from '@maquette/core/fields';
import type { JobCourse } from '@maquette/core/planning';
import { approvalStanding, type Approval } from '@maquette/core/record';
import { openIn, standingWords, type Decision } from '@maquette/core/report';
import { KINDS } from '@maquette/facts';
import { newId, nowUtc } from '../../data/ids.ts';
import { sha256Of } from '../../data/sha256.ts';
import { write } from '../../data/write.ts';
import { FactField } from '../../form/fact-field.tsx';
import { useDraftForm } from '../../form/fact-form.ts';
import { SPACE, usePalette } from '../../theme/theme.tsx';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { useSay } from '../../ui/shown-in.tsx';
import { Words } from '../../ui/text.tsx';
import { dayWords } from '../day-words.ts';
import { centsWords } from '@maquette/core/bill/money-words';
import type { CourseShown } from '../use-course.ts';
import { PartBox } from './part-box.tsx';
import { PlanFirst } from './plan-first.tsx';
import type { PaperMaker } from './use-record.ts';

interface Props {
  shown: CourseShown;
  jobId: string;
  approvals: readonly Approval[];
  paper: PaperMaker;
  /** Has days and price worked out. */
  onPlan: () => void;
}

/** What a client decides: the job as it is priced, and every change that was found. Prices are with tax. */
export function decisionsOf({ days, price, changes }: JobCourse): Decision[] {
  const withTax = (cents: number) => (price.net > 0 ? Math.round((cents * price.gross) / price.net) : cents);
  const given = price.given;
  return [
    {
      about: 'plan',
      what: given ? `The job as quoted, number ${given.number}` : 'The job as it is priced',
      cents: given?.grossCents ?? price.gross,
      promisedDay: given?.promisedDay || (days.chances.p80.laying?.day ?? ''),
      leaves: days.caveats.map(({ roomId, title }) =>
        openIn(days.rooms.find(({ id }) => id === roomId)?.name ?? '', title),
      ),
    },
    ...changes
      .filter(({ surprise }) => surprise.state !== 'may-come')
      .map(({ surprise, netCents, after }) => ({
        about: surprise.id,
        what: surprise.what,
        cents: withTax(netCents),
        promisedDay: after.laying?.day ?? '',
        leaves: [],
      })),
  ];
}

/** What waits for the client, with the client beside the installer: shown, approved or refused by name. */
export function ClientPart({ shown, jobId, approvals, paper, onPlan }: Props) {
  const { course, job } = shown;
  if (!course)
    return (
      <PartBox>
        <PlanFirst what="What the client decides is made of days and price." shown={shown} onAsk={onPlan} />
      </PartBox>
    );
  const decisions = decisionsOf(course);
  return (
    <PartBox>
      <Words>
        Show this to the client. An answer is kept with its price and day; if either goes up later, it is asked again.
        No approval opens what is shut for safety.
      </Words>
      {decisions.map((decision) => (
        <DecisionCard
          key={decision.about}
          jobId={jobId}
          decision={decision}
          decisions={decisions}
          approvals={approvals}
          currency={job?.currency ?? ''}
          today={course.days.today}
          isNow={shown.isNow}
          paper={paper}
        />
      ))}
      <ButtonRow>
        <Button
          label="Save the client’s page"
          hint="one page to read, without costs or notes"
          onPress={() => paper.make({ paper: 'client', decisions }, `${job?.name ?? 'job'} client`)}
        />
      </ButtonRow>
      {paper.making?.name.startsWith('client') ? (
        <Words role="status" figure>{`Being made, ${Math.round(paper.making.share * 100)} % …`}</Words>
      ) : null}
    </PartBox>
  );
}

const BY = only(KINDS.approvals.fields, 'by');

interface CardProps {
  jobId: string;
  decision: Decision;
  decisions: readonly Decision[];
  approvals: readonly Approval[];
  currency: string;
  today: string;
  /** Price and day are of the facts as they are. */
  isNow: boolean;
  paper: PaperMaker;
}

function DecisionCard({ jobId, decision, decisions, approvals, currency, today, isNow, paper }: CardProps) {
  const say = useSay();
  const palette = usePalette();
  const [problem, setProblem] = useState<string | null>(null);
  const { about, what, cents, promisedDay, leaves } = decision;
  const standing = approvalStanding(approvals, about, decision);
  const form = useDraftForm(BY, { by: '' }, 'metric');
  // Nobody answers to a price or a day that has just gone.
  const off = isNow ? null : 'Price and day are worked out anew.';
  const answer = (isApproved: boolean) =>
    form.record(async ({ by }) => {
      if (by.trim() === '') {
        setProblem('Enter the name of whoever decides.');
        return { ok: true };
      }
      setProblem(null);
      // What was on the screen is kept by its digest: the page as the client was shown it.
      const html = await new Promise<string | null>((told) => paper.text({ paper: 'client', decisions }, told));
      return write(isApproved ? `Approved: ${what}` : `Refused: ${what}`, [
        {
          kind: 'approvals',
          id: newId(),
          body: {
            jobId,
            about,
            what: what.toString().slice(0, 300),
            isApproved,
            cents,
            promisedDay,
            by,
            givenAt: nowUtc(),
            pageSha256: html === null ? '' : ((await sha256Of(new TextEncoder().encode(html))) ?? ''),
            note: '',
          },
        },
      ]);
    });
  return (
    <View style={[styles.card, { borderColor: palette.rule }]} testID="decision">
      <Words bold>{say(what)}</Words>
      <Words figure size="large">
        {centsWords(cents, currency)}
      </Words>
      <Words>
        {promisedDay === ''
          ? 'No day can be promised yet.'
          : `Of five such jobs four keep ${dayWords(promisedDay, today)}.`}
      </Words>
      {leaves.map((one) => (
        <Words key={say(one)} size="small">
          {`Left open: ${say(one)}`}
        </Words>
      ))}
      <Words bold={standing === null || standing.isStale}>{say(standingWords(approvals, decision, currency))}</Words>
      {standing === null || standing.isStale ? (
        <>
          <FactField form={form} name="by" label="Who decides" />
          {(problem ?? form.problem) ? <Words role="alert">{problem ?? form.problem}</Words> : null}
          <ButtonRow>
            <Button label="Approve" hint={say(what)} off={off} onPress={() => void answer(true)} />
            <Button label="Refuse" hint={say(what)} off={off} onPress={() => void answer(false)} />
          </ButtonRow>
        </>
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({ card: { borderTopWidth: 1, paddingVertical: SPACE.gap, gap: SPACE.near } });
