import { StyleSheet, View } from 'react-native';
import { filled } from '@maquette/core/fields';
import { jobFiguresOf, type AnyFigureName } from '@maquette/core/figures/job';
import { approvalStanding, type Approval, type ApprovalTolerance } from '@maquette/core/record';
import { askedAgainWords, decisionsOf, standingWords, toleranceOf, type Decision } from '@maquette/core/report';
import { KINDS } from '@maquette/facts';
import { useUnits } from '../../data/device-settings.ts';
import { newId, nowUtc } from '../../data/ids.ts';
import { sha256Of } from '../../data/sha256.ts';
import { write } from '../../data/write.ts';
import { FactField } from '../../form/fact-field.tsx';
import { useDraftForm } from '../../form/fact-form.ts';
import { SPACE, usePalette } from '../../theme/theme.tsx';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { Fold } from '../../ui/fold.tsx';
import { useSay } from '../../ui/shown-in.tsx';
import { Words } from '../../ui/text.tsx';
import { dayWords } from '../day-words.ts';
import { JobFigures } from '../job-figures.tsx';
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

/** What waits for the client, with the client beside the installer: shown, approved or refused by name. */
export function ClientPart({ shown, jobId, approvals, paper, onPlan }: Props) {
  const { course, job } = shown;
  const units = useUnits()[0];
  if (!course)
    return (
      <PartBox>
        <PlanFirst what="What the client decides is made of days and price." shown={shown} onAsk={onPlan} />
      </PartBox>
    );
  const decisions = decisionsOf(course, approvals);
  const offered = toleranceOf(jobFiguresOf(shown.book.figures.filter((one) => one.jobId === jobId)));
  return (
    <PartBox>
      <Words>
        Show this to the client. An answer is kept with its price, its day and what may go up unasked. No approval opens
        what is shut for safety.
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
          offered={offered}
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
      <Fold title="What may go up unasked">
        <JobFigures jobId={jobId} units={units} names={SETTINGS} />
      </Fold>
      {paper.making?.name.startsWith('client') ? (
        <Words role="status" figure>{`Being made, ${Math.round(paper.making.share * 100)} % …`}</Words>
      ) : null}
    </PartBox>
  );
}

/** How much may go up unasked, for answers to come. */
const SETTINGS: readonly AnyFigureName[] = ['asked-again-money', 'asked-again-days'];

const BY = { by: filled(KINDS.approvals.fields.by) };

interface CardProps {
  jobId: string;
  decision: Decision;
  decisions: readonly Decision[];
  approvals: readonly Approval[];
  currency: string;
  today: string;
  /** Price and day are of the facts as they are. */
  isNow: boolean;
  /** What may go up unasked, as the job has it now: an answer keeps it. */
  offered: ApprovalTolerance;
  paper: PaperMaker;
}

function DecisionCard({ jobId, decision, decisions, approvals, currency, today, isNow, offered, paper }: CardProps) {
  const say = useSay();
  const palette = usePalette();
  const { about, what, cents, promisedDay, isBegun, leaves } = decision;
  const standing = approvalStanding(approvals, about, decision);
  const form = useDraftForm(BY, { by: '' }, 'metric');
  // Nobody answers to a price or a day that has just gone.
  const off = isNow ? null : 'Price and day are worked out anew.';
  const answer = (isApproved: boolean) =>
    form.record(async ({ by }) => {
      // What was on the screen is kept by its digest: the page as the client was shown it.
      const html = await new Promise<string | null>((told) => paper.text({ paper: 'client', decisions }, told));
      return write(`${isApproved ? 'Approved' : 'Refused'}: ${say(what)}`, [
        {
          kind: 'approvals',
          id: newId(),
          body: {
            jobId,
            about,
            what: say(what).slice(0, 300),
            isApproved,
            cents,
            promisedDay,
            by,
            givenAt: nowUtc(),
            pageSha256: html === null ? '' : ((await sha256Of(new TextEncoder().encode(html))) ?? ''),
            note: '',
            unaskedCents: offered.cents,
            unaskedDays: offered.days,
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
        {isBegun
          ? 'The planks are begun in every room.'
          : promisedDay === ''
            ? 'No day can be promised yet.'
            : `Of five such jobs four keep ${dayWords(promisedDay, today)}.`}
      </Words>
      {leaves.map((one) => (
        <Words key={say(one)} size="small">
          {`Left open: ${say(one)}`}
        </Words>
      ))}
      <Words bold={standing === null || standing.isStale}>{say(standingWords(approvals, decision, currency))}</Words>
      <Words size="small">{say(askedAgainWords(approvals, decision, offered, currency))}</Words>
      {standing === null || standing.isStale ? (
        <>
          <FactField form={form} name="by" label="Who decides" />
          {form.problem ? <Words role="alert">{form.problem}</Words> : null}
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
