import { useId, useRef, useState, type ReactNode, type Ref } from 'react';
import { StyleSheet, TextInput, View } from 'react-native';
import { FACE, SIZE, usePalette, SPACE } from '../theme/theme.tsx';
import { Words } from './text.tsx';

interface Props {
  label: string;
  value: string;
  onChange: (value: string) => void;
  /** Called when the field is left or Enter is pressed. */
  onDone?: () => void;
  unit?: string;
  /** What is wrong with the value and what is taken; shown beside it. */
  problem?: string | null;
  hint?: string;
  figures?: boolean;
  /** A key at the end of the line. */
  beside?: ReactNode;
  /** Where a form puts the cursor when this is asked back. */
  ref?: Ref<TextInput>;
}

/** One labelled line to write in; its problem stands under it and what was typed stays. */
export function Field({ label, value, onChange, onDone, unit, problem, hint, figures = false, beside, ref }: Props) {
  const palette = usePalette();
  const id = useId();
  const [focused, setFocused] = useState(false);
  /** What was taken last in this visit of the field: Enter leaves it too, and is not to be taken twice. */
  const taken = useRef<string | null>(null);
  const take = () => {
    if (taken.current === value) return;
    taken.current = value;
    onDone?.();
  };
  return (
    <View style={styles.box}>
      <Words size="small" quiet nativeID={id}>
        {label}
      </Words>
      <View style={styles.line}>
        <TextInput
          ref={ref}
          accessibilityLabel={unit ? `${label}, ${unit}` : label}
          aria-invalid={Boolean(problem)}
          value={value}
          onChangeText={onChange}
          onFocus={() => {
            taken.current = null;
            setFocused(true);
          }}
          onBlur={() => {
            setFocused(false);
            take();
          }}
          onSubmitEditing={take}
          inputMode={figures ? 'decimal' : 'text'}
          style={[
            styles.input,
            {
              color: palette.ink,
              backgroundColor: palette.bench,
              borderColor: problem ? palette.verdict.stop : focused ? palette.chalk : palette.quiet,
              fontFamily: figures ? FACE.figure : FACE.text,
            },
          ]}
        />
        {unit ? (
          <Words quiet figure>
            {unit}
          </Words>
        ) : null}
        {beside}
      </View>
      {problem ? (
        <Words size="small" color={palette.verdict.stop} role="alert">
          {problem}
        </Words>
      ) : hint ? (
        <Words size="small" quiet>
          {hint}
        </Words>
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  box: { gap: SPACE.near, flexGrow: 1 },
  line: { flexDirection: 'row', alignItems: 'center', gap: SPACE.gap },
  input: { flex: 1, minWidth: 60, minHeight: 48, borderWidth: 1, paddingHorizontal: SPACE.part, fontSize: SIZE.text },
});
