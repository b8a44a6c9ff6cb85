import { useMemo, useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { useRouter } from 'expo-router';
import { useUnits } from '../data/device-settings.ts';
import { Header } from '../room/header.tsx';
import { UndoBar } from '../room/undo-bar.tsx';
import { SPACE, usePalette } from '../theme/theme.tsx';
import { ShownIn, useSay } from '../ui/shown-in.tsx';
import { Tabs, tabParts } from '../ui/tabs.tsx';
import { Words } from '../ui/text.tsx';
import { LeastTab } from './least-tab.tsx';
import { LedgerTab } from './ledger-tab.tsx';
import { ledgerRows } from './ledger-rows.ts';
import { StoreyTab } from './storey-tab.tsx';
import { useJobHeights } from './use-job-heights.ts';

const TABS = [
  { tab: 'ledger', label: 'Door ledger' },
  { tab: 'storey', label: 'Storey' },
  { tab: 'least', label: 'Fewest steps' },
] as const;

/** Heights of a whole job: every opening in one ledger, and the rooms in place by the openings they share. */
export function HeightsScreen({ jobId }: { jobId: string }) {
  const units = useUnits()[0];
  return (
    <ShownIn units={units}>
      <Screen jobId={jobId} />
    </ShownIn>
  );
}

function Screen({ jobId }: { jobId: string }) {
  const say = useSay();
  const palette = usePalette();
  const router = useRouter();
  const units = useUnits()[0];
  const [isLevelled, setLevelled] = useState(false);
  const { book, rooms, left, failed } = useJobHeights(jobId, isLevelled);
  const job = book.jobs.find(({ id }) => id === jobId);
  const [tab, setTab] = useState<(typeof TABS)[number]['tab']>('ledger');
  const rows = useMemo(() => ledgerRows(rooms, say), [rooms, say]);
  return (
    <View style={[styles.screen, { backgroundColor: palette.sheet }]}>
      <Header
        above={job?.name ?? ''}
        title="Doors and heights"
        backLabel="The job"
        onBack={() => router.replace(`/jobs/${jobId}`)}
      />
      <ScrollView role="main" style={styles.grow} contentContainerStyle={styles.list}>
        <Tabs label="Heights of the job" tabs={tabParts(TABS, tab, setTab)} />
        {failed ? (
          <View style={styles.note}>
            <Words role="alert">{failed}</Words>
          </View>
        ) : null}
        {tab === 'ledger' ? (
          <LedgerTab
            key={String(isLevelled)}
            jobId={jobId}
            name={job?.name ?? 'job'}
            rows={rows}
            left={left}
            units={units}
            isLevelled={isLevelled}
            onLevelled={setLevelled}
          />
        ) : tab === 'storey' ? (
          <StoreyTab rooms={rooms} units={units} />
        ) : (
          <LeastTab rooms={rooms} cards={book.cards} currency={job?.currency ?? ''} units={units} />
        )}
      </ScrollView>
      <UndoBar />
    </View>
  );
}

const styles = StyleSheet.create({
  screen: { flex: 1 },
  grow: { flex: 1 },
  list: { width: '100%', maxWidth: 900, marginHorizontal: 'auto', paddingBottom: 32 },
  note: { padding: SPACE.edge },
});
