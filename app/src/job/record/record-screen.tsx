import '@maquette/words/report';
import { useEffect, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { prefetchPhotoStrip } from '../../photos/photo-strip.tsx';
import { SPACE } from '../../theme/theme.tsx';
import { counted } from '../../ui/counted.ts';
import { Fold } from '../../ui/fold.tsx';
import { Words } from '../../ui/text.tsx';
import { JobFrame } from '../job-frame.tsx';
import { useCourse } from '../use-course.ts';
import { ClientPart } from './client-part.tsx';
import { Contacts } from './contacts.tsx';
import { HandOverPart } from './hand-over-part.tsx';
import { HoldPoints } from './hold-points.tsx';
import { Papers } from './papers.tsx';
import { ReportPart } from './report-part.tsx';
import { Seals } from './seals.tsx';
import { useRecord } from './use-record.ts';

/** What convinces later: what is seen before it is covered, the report, seals, approvals, the hand-over, and paper for the floor. */
export function RecordScreen({ jobId }: { jobId: string }) {
  // Days and price take long: they are worked out once somebody asks for what is made of them.
  const [planned, setPlanned] = useState(false);
  const shown = useCourse(jobId, planned);
  const record = useRecord(jobId, shown);
  useEffect(prefetchPhotoStrip, []);
  const { facts, holds, looking, failed, paper } = record;
  const { job, rooms } = shown;
  return (
    <JobFrame jobId={jobId} page="record" shown={shown} tellsItself>
      {job ? (
        <View style={styles.parts}>
          {holds ? (
            <HoldPoints jobId={jobId} holds={holds} />
          ) : (
            <View style={styles.note} role="status">
              <Words figure>{`Every room is gone through, ${Math.round((looking ?? 0) * 100)} % …`}</Words>
            </View>
          )}
          {failed ? <Words role="alert">{failed}</Words> : null}
          <View style={styles.folds}>
            <Fold title="Report" memory={`${jobId}/report`}>
              <ReportPart jobId={jobId} name={job.name} paper={paper} />
            </Fold>
            <Fold title="Seals" aside={counted(facts.seals.length, 'seal')} memory={`${jobId}/seals`}>
              <Seals jobId={jobId} name={job.name} seals={facts.seals} contacts={facts.contacts} rooms={rooms} />
            </Fold>
            <Fold title="What the client decides" memory={`${jobId}/client`}>
              <ClientPart
                shown={shown}
                jobId={jobId}
                approvals={facts.approvals}
                paper={paper}
                onPlan={() => setPlanned(true)}
              />
            </Fold>
            <Fold
              title="Hand over"
              aside={facts.handOvers.length > 0 ? 'handed over' : 'not yet'}
              memory={`${jobId}/hand-over`}
            >
              <HandOverPart jobId={jobId} facts={facts} holds={holds ?? []} paper={paper} />
            </Fold>
            <Fold title="Paper for the floor" memory={`${jobId}/papers`}>
              <Papers jobId={jobId} rooms={rooms} paper={paper} shown={shown} onPlan={() => setPlanned(true)} />
            </Fold>
            <Fold
              title="Who is told"
              aside={counted(facts.contacts.length, 'person', 'people')}
              memory={`${jobId}/contacts`}
            >
              <Contacts jobId={jobId} contacts={facts.contacts} />
            </Fold>
          </View>
        </View>
      ) : null}
    </JobFrame>
  );
}

const styles = StyleSheet.create({
  parts: { gap: SPACE.edge, paddingTop: SPACE.part },
  note: { paddingHorizontal: SPACE.edge },
  folds: { paddingHorizontal: SPACE.edge },
});
