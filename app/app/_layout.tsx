import { useEffect } from 'react';
import { PersistQueryClientProvider } from '@tanstack/react-query-persist-client';
import { Slot } from 'expo-router';
import { useFonts } from 'expo-font';
import text from '@fontsource/barlow/files/barlow-latin-400-normal.woff2';
import textBold from '@fontsource/barlow/files/barlow-latin-600-normal.woff2';
import figures from '@fontsource/barlow-semi-condensed/files/barlow-semi-condensed-latin-500-normal.woff2';
import figuresBold from '@fontsource/barlow-semi-condensed/files/barlow-semi-condensed-latin-600-normal.woff2';
import { StatusBar } from 'expo-status-bar';
import { outbox, persistence, queries, store } from '../src/data/device.ts';
import { rules } from '../src/data/rules.ts';
import { whenIdle } from '../src/data/when-idle.ts';
import { startPhotos } from '../src/data/photos.ts';
import { FACE, LookProvider } from '../src/theme/theme.tsx';
import { useUnits } from '../src/data/device-settings.ts';
import { ShownIn } from '../src/ui/shown-in.tsx';
import { PadHost } from '../src/bench/pad-panel.tsx';
import { fetched } from '../src/ui/fetched.tsx';

/** Screens come first; the first write asks for the rules itself if it is sooner. */
const RULES_AFTER_MS = 2000;

const Pad = fetched(() => import('../src/bench/pad.tsx').then((part) => part.Pad));

export default function Layout() {
  // The screen is usable before the faces are in: figures keep their width, only their shape changes.
  useFonts({
    [FACE.text]: text,
    [FACE.textBold]: textBold,
    [FACE.figure]: figures,
    [FACE.figureBold]: figuresBold,
  });
  useEffect(() => {
    void outbox.start(store.stored).then(startPhotos);
    const later = setTimeout(() => whenIdle(() => void rules.fetch().catch(() => undefined)), RULES_AFTER_MS);
    if (!__DEV__ && 'serviceWorker' in navigator) void navigator.serviceWorker.register('/sw.js');
    // Asks the browser not to clear what has not been sent when the device runs short of space.
    void navigator.storage?.persist?.();
    return () => clearTimeout(later);
  }, []);
  return (
    <PersistQueryClientProvider client={queries} persistOptions={persistence}>
      <LookProvider>
        <StatusBar style="auto" />
        {/* One screen at a time: a screen left behind would go on judging and listening to keys. */}
        <ShownIn units={useUnits()[0]}>
          <PadHost pad={Pad}>
            <Slot />
          </PadHost>
        </ShownIn>
      </LookProvider>
    </PersistQueryClientProvider>
  );
}
