import { useSyncExternalStore } from 'react';
import { StyleSheet, View } from 'react-native';
import { KINDS } from '@maquette/facts';
import { outbox } from '../data/device.ts';
import { picturesHere, sendPictures } from '../data/photos.ts';
import { useOutbox } from '../data/use-facts.ts';
import { SPACE, usePalette } from '../theme/theme.tsx';
import { Button } from '../ui/button.tsx';
import { counted } from '../ui/counted.ts';
import { Words } from '../ui/text.tsx';
import { useTimes } from '../ui/shown-in.tsx';

/** Lines of one kind are told together: a morning's readings are one thing to whoever waits for them. */
function byKind(waiting: ReturnType<typeof useOutbox>['waiting']) {
  const kinds = new Map<string, { count: number; since: string }>();
  for (const { kind, madeAt } of waiting) {
    const before = kinds.get(kind);
    const since = before && before.since < madeAt ? before.since : madeAt;
    kinds.set(kind, { count: (before?.count ?? 0) + 1, since });
  }
  return [...kinds].map(([kind, told]) => ({ words: KINDS[kind as keyof typeof KINDS].words, ...told }));
}

/** What is on this device only: how much of what, since when, why, and a key to send it now. */
export function WhatWaits() {
  const { localTime } = useTimes();
  const palette = usePalette();
  const { waiting, reachable, loaded } = useOutbox();
  const pictures = useSyncExternalStore(picturesHere.subscribe, picturesHere.get, picturesHere.get) ?? 0;
  const send = () => {
    void outbox.send();
    void sendPictures();
  };
  const nothing = loaded && waiting.length === 0 && pictures === 0;
  const toDecide = waiting.filter((w) => w.trouble).length;
  const onTheirWay = waiting.length > toDecide || pictures > 0;
  return (
    <View style={[styles.box, { borderColor: palette.rule, backgroundColor: palette.bench }]} testID="what-waits">
      <Words bold>{nothing ? 'Everything is on the server.' : 'On this device only, and safe here'}</Words>
      {byKind(waiting).map(({ words, count, since }) => (
        <Words key={words} figure>{`${words}: ${count}, since ${localTime(since)}`}</Words>
      ))}
      {pictures > 0 ? <Words figure>{counted(pictures, 'picture')}</Words> : null}
      {nothing ? null : (
        <>
          {toDecide > 0 ? (
            <Words>{`${counted(toDecide, 'entry', 'entries')} the server would not take as ${toDecide === 1 ? 'it is' : 'they are'}: what to do with ${toDecide === 1 ? 'it' : 'them'} is asked below.`}</Words>
          ) : null}
          {onTheirWay ? (
            <Words size="small" quiet>
              {reachable
                ? 'They are on their way, oldest first.'
                : 'The server does not answer: no signal, or something else answers in its place, such as a sign-in page. They are sent by themselves when it does.'}
            </Words>
          ) : null}
          <Button label="Send now" onPress={send} />
        </>
      )}
    </View>
  );
}

const styles = StyleSheet.create({ box: { borderBottomWidth: 1, padding: SPACE.edge, gap: SPACE.gap } });
