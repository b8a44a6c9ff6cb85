import { useState } from 'react';
import type { JobCourse } from '@maquette/core/planning';
import { newId } from '../../data/ids.ts';
import { write } from '../../data/write.ts';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { counted } from '../../ui/counted.ts';
import { Fold } from '../../ui/fold.tsx';
import { useSay } from '../../ui/shown-in.tsx';
import { Words } from '../../ui/text.tsx';
import { dayWords } from '../day-words.ts';

/** What was counted: what goes back, and what it says of the next estimate. */
export function Used({
  course: { bill, days },
  jobId,
  wasteId,
}: {
  course: JobCourse;
  jobId: string;
  wasteId: string | null;
}) {
  const say = useSay();
  const [said, setSaid] = useState<string | null>(null);
  if (bill.counted.length === 0) return null;
  const waste = bill.usedRatio === null ? null : Math.max(0, Math.round(bill.usedRatio * 105 - 100));
  return (
    <Fold title="Bought, opened, going back" aside={counted(bill.counted.length, 'product')}>
      {bill.counted.map(({ count, what, back, backBy, ratio }) => (
        <Words key={count.id} figure>
          {`${say(what)}: ${count.bought} bought, ${count.opened} opened${ratio === null ? '' : ` of ${count.planned} planned`}${back > 0 ? `; ${counted(back, 'sealed pack')} can go back${backBy ? ` until ${dayWords(backBy, days.today)}` : ''}` : ''}.`}
        </Words>
      ))}
      {waste !== null && bill.usedRatio !== null && Math.abs(bill.usedRatio - 1) > 0.02 ? (
        <>
          <Words>
            {`Over all that is counted ${Math.round(bill.usedRatio * 100)} % of what was planned was opened. Reckoned with ${waste} % of waste the next estimate would have met it.`}
          </Words>
          <ButtonRow>
            <Button
              label={`Reckon with ${waste} % of waste`}
              onPress={() =>
                void write(`Waste: ${waste} %`, [
                  {
                    kind: 'figures',
                    id: wasteId ?? newId(),
                    body: {
                      jobId,
                      name: 'waste-pct',
                      value: Math.min(40, waste),
                      source: 'What was opened on this job',
                    },
                  },
                ]).then((result) => setSaid(result.ok ? 'Taken.' : 'That is not taken.'))
              }
            />
          </ButtonRow>
        </>
      ) : null}
      {said ? <Words role="status">{said}</Words> : null}
    </Fold>
  );
}
