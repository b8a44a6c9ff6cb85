import { useSyncExternalStore } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { useRouter } from 'expo-router';
import { useQuery } from '@tanstack/react-query';
import { text } from '@maquette/core/fields';
import { api } from '../data/api.ts';
import { clock, SKEW_TOLD_MS } from '../data/clock.ts';
import { canSpeak, speak } from '../bench/speak.ts';
import { useSpeech, useUnits } from '../data/device-settings.ts';
import { isLittle, roomWords, useRoomLeft } from '../data/room-left.ts';
import { userName } from '../data/who.ts';
import { OneField } from '../form/one-field.tsx';
import { Header } from '../room/header.tsx';
import { LIGHTS, useLook, type Light, SPACE } from '../theme/theme.tsx';
import { Button } from '../ui/button.tsx';
import { Choice } from '../ui/choice.tsx';
import { Words } from '../ui/text.tsx';
import { skewWords } from '../ui/times.ts';

/** A name that goes with each write. */
const YOUR_NAME = text(60);

const LIGHT_WORDS: Record<Light, string> = { device: 'As the device', day: 'Day', sun: 'Sun', dusk: 'Dusk' };

/** What belongs to this device, not to a job. */
export function SettingsScreen() {
  const router = useRouter();
  const { palette, light, setLight } = useLook();
  const [units, setUnits] = useUnits();
  const [speech, setSpeech] = useSpeech();
  const left = useRoomLeft();
  // Whoever opens this page first has heard nothing from the server yet: it is asked for its time.
  useQuery({ queryKey: ['health'], queryFn: () => api<object>('/api/health'), staleTime: 0 });
  const skewMs = useSyncExternalStore(clock.subscribe, clock.skewMs, clock.skewMs);
  return (
    <View style={[styles.screen, { backgroundColor: palette.sheet }]}>
      <Header title="Settings" backLabel="Site book" onBack={() => router.replace('/')} />
      <ScrollView role="main" contentContainerStyle={styles.list}>
        <Choice
          label="Light"
          inline
          value={light}
          options={LIGHTS.map((value) => ({ value, label: LIGHT_WORDS[value] }))}
          onChange={setLight}
        />
        <Words size="small" quiet>
          Sun is black on white with heavier lines, for outdoors.
        </Words>
        <Choice
          label="Units for new rooms and the book"
          inline
          value={units}
          options={[
            { value: 'metric', label: 'Millimetres' },
            { value: 'imperial', label: 'Feet and inches' },
          ]}
          onChange={setUnits}
        />
        <Words size="small" quiet>
          Each room keeps its own units: change them in its top line.
        </Words>
        <Choice
          label="Say stations and chalk points aloud"
          inline
          value={speech}
          options={[
            { value: 'off', label: 'Off' },
            { value: 'on', label: 'On' },
          ]}
          onChange={(next) => {
            setSpeech(next);
            if (next === 'on') speak('Station 14. 1 metre 24 from the door wall.');
          }}
        />
        <Words size="small" quiet>
          {canSpeak()
            ? 'The number and its two tapes, so that the eyes stay on the staff.'
            : 'This browser cannot speak.'}
        </Words>
        <OneField
          of={YOUR_NAME}
          value={userName.get()}
          units={units}
          label="Your name, as others see who wrote what"
          onTaken={userName.set}
        />
        <Words color={Math.abs(skewMs ?? 0) > SKEW_TOLD_MS ? palette.verdict.stop : palette.ink}>
          {skewMs === null
            ? 'How this device’s clock stands to the server’s is not known yet: the server has not answered.'
            : Math.abs(skewMs) < 60_000
              ? 'The clock of this device agrees with the server’s.'
              : skewWords(skewMs)}
        </Words>
        {left ? (
          <Words color={isLittle(left) ? palette.verdict.stop : palette.ink}>
            {`Room left on this device: ${roomWords(left)}.${isLittle(left) ? ' Send what waits and free some, before it is full.' : ''} ${
              left.promised
                ? 'The browser keeps what is entered here even when it runs short.'
                : 'The browser may clear what is kept here when it runs short: send what waits before you leave the site.'
            }`}
          </Words>
        ) : null}
        <Button label="Covering cards" onPress={() => router.push('/cards')} />
        <Words size="small" quiet>
          Maquette advises; it does not certify. The maker’s sheet and local codes win.
        </Words>
      </ScrollView>
    </View>
  );
}

const styles = StyleSheet.create({
  screen: { flex: 1 },
  list: { padding: SPACE.edge, gap: SPACE.edge, width: '100%', maxWidth: 700, alignSelf: 'center' },
});
