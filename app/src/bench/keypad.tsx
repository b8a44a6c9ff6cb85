import { useEffect, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { formatRod, unitLabel, type UnitSystem } from '@maquette/core/units';
import { usePalette, SPACE } from '../theme/theme.tsx';
import { Button } from '../ui/button.tsx';
import { Words } from '../ui/text.tsx';
import { useKeys } from '../ui/use-keys.ts';
import { Key, KEY_PLACE, SideKey, type PadAction } from './pad-keys.tsx';
import { correct, EMPTY, entryMm, entryText, press, pressSixteenth, type Entry } from './entry.ts';
import type { Written } from '../data/write.ts';
import { Touch } from '../ui/touch.tsx';

/** What keeps the focus after it was touched, and would be pressed again by Enter. */
const PRESSED = '[role="button"], [role="tab"], [role="radio"], [role="checkbox"]';

/** Keys that go into the number. */
const FIGURES = ['0', '1', '2', '3', '4', '5', '6', '7', '8', '9', '.', ','];

interface Props {
  units: UnitSystem;
  /** A figure that is no length: its unit, and how many decimals it takes. Keyed with the metric keys. */
  plain?: { unit: string; decimals: number };
  /** What is asked, in large type, and what helps to answer it. */
  title: string;
  lines: readonly string[];
  /** A value that may be the answer: shown as a suggestion while nothing is keyed, taken by one key, brought up by Correct. mm. */
  lastMm: number | null;
  /** Why it is suggested: `as station 13`; null where it only serves to doubt what is keyed by. */
  lastWords?: string | null;
  range: { min: number; max: number };
  /** A value this far from the last is asked back before it is taken, mm. */
  doubtMm?: number;
  take: string;
  /** Takes the number; where it cannot be kept the pad shows it again, with why. */
  onTake: (mm: number) => void | Promise<Written | undefined>;
  /** Two keys over Take. */
  actions?: readonly PadAction[];
  /** Changes when another thing is asked: the entry starts anew. */
  asked: string;
}

const ROWS = [
  ['7', '8', '9'],
  ['4', '5', '6'],
  ['1', '2', '3'],
];

/** The one pad for every measure: digits with half millimetres, or inches with sixteenths. Also takes the keyboard. */
export function Keypad(props: Props) {
  return <Pad key={`${props.asked}-${props.units}`} {...props} />;
}

function Pad({
  units: wanted,
  plain,
  title,
  lines,
  lastMm,
  range,
  doubtMm,
  take,
  onTake,
  actions = [],
  ...rest
}: Props) {
  const { lastWords = null } = rest;
  const palette = usePalette();
  const units = plain ? 'metric' : wanted;
  const unitName = plain ? plain.unit : unitLabel(units);
  const keyed = (held: Entry, key: string) => press(held, key, units, plain?.decimals);
  const [entry, setEntry] = useState<Entry>(EMPTY);
  const [question, setQuestion] = useState<string | null>(null);
  const [doubted, setDoubted] = useState<number | null>(null);

  const edit = (next: Entry) => {
    setEntry(next);
    setQuestion(null);
    setDoubted(null);
  };
  const submit = (sure = false, mm = entryMm(entry, units)) => {
    if (mm === null) return setQuestion('Key the reading first.');
    const shown = formatRod(mm, units);
    if (mm < range.min || mm > range.max) {
      return setQuestion(
        `${shown} ${unitName} is out of range: ${formatRod(range.min, units)} to ${formatRod(range.max, units)} is taken.`,
      );
    }
    if (!sure && doubtMm !== undefined && lastMm !== null && Math.abs(mm - lastMm) > doubtMm) {
      setDoubted(mm);
      return setQuestion(`${shown}? The last was ${formatRod(lastMm, units)}.`);
    }
    setEntry(EMPTY);
    setQuestion(null);
    setDoubted(null);
    navigator.vibrate?.(20);
    void Promise.resolve(onTake(mm)).then((written) => {
      if (!written || written.ok) return;
      // Whatever has been keyed meanwhile stays.
      setEntry((now) => (now === EMPTY ? entry : now));
      setQuestion(written.problems.map(({ message }) => message).join(' '));
    });
  };

  useEffect(() => {
    // A key that was touched lets go of the focus: digits and Enter of a keyboard then go to the number, not to that key again.
    const letGo = ({ detail }: MouseEvent) => {
      const { activeElement: held } = document;
      if (detail > 0 && held instanceof HTMLElement && held.matches(PRESSED)) held.blur();
    };
    // On the way down: what is pressed keeps a click to itself.
    document.addEventListener('click', letGo, true);
    return () => document.removeEventListener('click', letGo, true);
  }, []);
  useKeys(FIGURES, (key) => edit(keyed(entry, key === ',' ? '.' : key)));
  useKeys(['backspace'], () => edit(correct(entry, lastMm, units)));
  useKeys(['enter'], () => submit(doubted !== null), { notOnButtons: true });

  const text = entryText(entry, units);
  return (
    <View style={styles.box}>
      <View style={styles.ask}>
        <View style={styles.words}>
          <Words bold size="large">
            {title}
          </Words>
          {lines.map((line) => (
            <Words key={line} size="small" quiet figure>
              {line}
            </Words>
          ))}
        </View>
        <View style={styles.entry}>
          {text === '' && lastMm !== null && lastWords ? (
            <Touch
              label={`Take ${formatRod(lastMm, units)} ${unitName}, ${lastWords}`}
              onPress={() => submit(false, lastMm)}
              style={[styles.suggested, { borderColor: palette.chalk }]}
            >
              <Words size="small" color={palette.chalk}>
                {lastWords}
              </Words>
              <Words figure bold size="large" color={palette.chalk} testID="entry">
                {formatRod(lastMm, units)}
              </Words>
            </Touch>
          ) : (
            <Words
              figure
              bold
              size="entry"
              color={text ? palette.ink : palette.quiet}
              testID="entry"
              accessibilityLabel={text ? `Keyed ${text} ${unitName}` : 'Nothing keyed'}
            >
              {text || '–'}
            </Words>
          )}
          <View style={[styles.caret, { backgroundColor: palette.chalk }]} />
          <Words figure quiet size="large">
            {unitName}
          </Words>
        </View>
      </View>
      {question ? (
        <View role="alert" style={[styles.question, { backgroundColor: palette.highWash }]}>
          <Words bold style={styles.words}>
            {question}
          </Words>
          {doubted !== null ? (
            <Button label={`Take ${formatRod(doubted, units)}`} onPress={() => submit(true)} style={styles.sure} />
          ) : null}
        </View>
      ) : null}
      {units === 'imperial' ? (
        <View>
          {[0, 8].map((from) => (
            <View key={from} style={styles.row}>
              {Array.from({ length: 8 }, (_, i) => from + i).map((n) => (
                <Key
                  key={n}
                  low
                  label={n === 0 ? '0' : formatRod((n * 25.4) / 16, 'imperial')}
                  name={n === 0 ? 'No sixteenths' : `${n} sixteenths`}
                  chosen={n !== 0 && entry.sixteenths === n}
                  onPress={() => edit(n === 0 ? { ...entry, sixteenths: null } : pressSixteenth(entry, n))}
                />
              ))}
            </View>
          ))}
        </View>
      ) : null}
      <View style={styles.pad}>
        <View style={styles.digits}>
          {ROWS.map((row) => (
            <View key={row[0]} style={styles.row}>
              {row.map((digit) => (
                <Key key={digit} label={digit} onPress={() => edit(keyed(entry, digit))} />
              ))}
            </View>
          ))}
          <View style={styles.row}>
            {units === 'metric' ? <Key label=".5" name="and a half" onPress={() => edit(keyed(entry, '.5'))} /> : null}
            <Key label="0" onPress={() => edit(keyed(entry, '0'))} />
            {units === 'metric' ? <Key label="." name="point" onPress={() => edit(keyed(entry, '.'))} /> : null}
          </View>
        </View>
        <View style={styles.side}>
          <SideKey label="Correct" onPress={() => edit(correct(entry, lastMm, units))} />
          {[0, 1].map((slot) => {
            const action = actions[slot];
            return action ? (
              <SideKey
                key={slot}
                label={action.label}
                off={action.off ?? null}
                onPress={action.off ? () => setQuestion(action.off!) : action.onPress}
              />
            ) : (
              <SideKey key={slot} label="" onPress={() => undefined} />
            );
          })}
          <Touch
            label={take}
            testID="take"
            onPress={() => submit(doubted !== null)}
            style={({ pressed }) => [
              styles.key,
              { borderColor: palette.chalk, backgroundColor: palette.chalk, opacity: pressed ? 0.85 : 1 },
            ]}
          >
            <Words bold size="large" color={palette.onChalk}>
              {take}
            </Words>
          </Touch>
        </View>
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  box: { flexShrink: 0 },
  ask: {
    flexDirection: 'row',
    paddingHorizontal: SPACE.edge,
    paddingVertical: SPACE.gap,
    gap: SPACE.gap,
    alignItems: 'center',
    minHeight: 76,
  },
  words: { flex: 1 },
  entry: { flexDirection: 'row', alignItems: 'center', gap: 6 },
  suggested: {
    minHeight: 56,
    paddingHorizontal: SPACE.gap,
    borderWidth: 1,
    borderStyle: 'dashed',
    alignItems: 'center',
    justifyContent: 'center',
  },
  caret: { width: 2, height: 44 },
  question: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: SPACE.gap,
    paddingHorizontal: SPACE.edge,
    paddingVertical: 6,
    minHeight: 48,
  },
  sure: { flexGrow: 0 },
  pad: { flexDirection: 'row' },
  digits: { flex: 3 },
  side: { flex: 1.15 },
  row: { flexDirection: 'row' },
  key: KEY_PLACE,
});
