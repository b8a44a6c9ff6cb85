import { useDeferredValue, useMemo, useState, useSyncExternalStore } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { useRouter } from 'expo-router';
import { useQueries } from '@tanstack/react-query';
import { findFacts, type Hit } from '@maquette/core/search';
import { KINDS } from '@maquette/facts';
import { nextRead, roomKey } from '../data/client.ts';
import { useUnits } from '../data/device-settings.ts';
import { store } from '../data/device.ts';
import { useBook } from '../data/use-facts.ts';
import { Header } from '../room/header.tsx';
import { SPACE, usePalette } from '../theme/theme.tsx';
import { counted } from '../ui/counted.ts';
import { Field } from '../ui/field.tsx';
import { ShownIn, useSay, useTimes } from '../ui/shown-in.tsx';
import { Words } from '../ui/text.tsx';
import { Touch } from '../ui/touch.tsx';
import { entriesOf, type Entry } from './entries.ts';
import { useProductNames } from './use-product-names.ts';
import { addressOf } from './where-kept.ts';

const MOST = 60;

/** Everything that was entered, looked through by a few words: a batch, a covering, an address, a reading. It needs no signal. */
export function SearchScreen() {
  const palette = usePalette();
  const router = useRouter();
  const units = useUnits()[0];
  return (
    <ShownIn units={units} zone="">
      <View style={[styles.screen, { backgroundColor: palette.sheet }]}>
        <Header title="Find" backLabel="Site book" onBack={() => router.replace('/')} />
        <ScrollView role="main" style={styles.grow} contentContainerStyle={styles.list}>
          <Search />
        </ScrollView>
      </View>
    </ShownIn>
  );
}

function Search() {
  const say = useSay();
  const units = useUnits()[0];
  const book = useBook();
  const [text, setText] = useState('');
  // Typing goes first; what is found follows.
  const asked = useDeferredValue(text);
  const ids = useMemo(() => book.rooms.map(({ id }) => id), [book.rooms]);
  const read = useQueries({
    queries: ids.map((id) => ({
      queryKey: roomKey(id),
      queryFn: () => store.readRoom(id),
      enabled: !store.isUnsent(id),
      staleTime: 10_000,
      refetchInterval: nextRead(0),
    })),
    combine: (answers) => answers.map(({ data }) => data !== undefined),
  });
  const lists = useSyncExternalStore(store.subscribe, () => store.rooms(ids));
  const products = useProductNames(book, units);
  const entries = useMemo(
    () =>
      entriesOf(
        book,
        ids.map((id, k) => ({ id, lists: lists[k]! })),
        say,
        units,
        (id) => products.get(id),
      ),
    [book, ids, lists, say, units, products],
  );
  const hits = useMemo(() => findFacts(entries, asked, MOST), [entries, asked]);
  const missing = ids.filter((id, k) => !read[k] && !store.isUnsent(id)).length;
  return (
    <>
      <Field
        label="Find in all jobs"
        value={text}
        onChange={setText}
        hint="A batch, a covering, an address, a reading: where did we use batch L 2207"
      />
      <Words role="status" size="small" quiet>
        {asked.trim() === ''
          ? `${counted(entries.length, 'entry', 'entries')} of ${counted(book.jobs.length, 'job')} on this device.`
          : hits.length === 0
            ? 'Nothing is found with all of these words. Leave one out, or write less of it.'
            : hits.length === MOST
              ? `The first ${MOST}: another word tells them apart.`
              : `${hits.length} found.`}
      </Words>
      {missing > 0 ? (
        <Words size="small">{`${counted(missing, 'room is', 'rooms are')} not on this device yet and not looked in.`}</Words>
      ) : null}
      <View role="list" testID="hits">
        {hits.map((hit) => (
          <HitLine key={`${hit.of.kind}/${hit.of.id}`} hit={hit} />
        ))}
      </View>
    </>
  );
}

function HitLine({ hit: { of, in: values } }: { hit: Hit<Entry> }) {
  const palette = usePalette();
  const router = useRouter();
  const times = useTimes();
  const kind = KINDS[of.kind].words;
  const found = values.map(({ field, text }) => `${field}: ${text}`).join(' · ');
  const where = of.about.filter((one) => one !== kind && !values.some(({ text }) => text === one));
  return (
    <View role="listitem" style={[styles.hit, { borderColor: palette.rule }]}>
      <Touch
        label={`${[kind, ...where].join(', ')}. ${found}. Open it`}
        onPress={() => router.push(addressOf(of))}
        style={styles.touch}
      >
        <Words bold>{found}</Words>
        <Words size="small" quiet>
          {[of.at ? times.dayOf(of.at) : '', kind, ...where].filter(Boolean).join(' · ')}
        </Words>
      </Touch>
    </View>
  );
}

const styles = StyleSheet.create({
  screen: { flex: 1 },
  grow: { flex: 1 },
  list: { padding: SPACE.edge, gap: SPACE.gap, width: '100%', maxWidth: 1000, alignSelf: 'center' },
  hit: { borderBottomWidth: 1 },
  touch: { minHeight: 56, paddingVertical: SPACE.gap, gap: 2, justifyContent: 'center' },
});
