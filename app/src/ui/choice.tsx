import { StyleSheet, View } from 'react-native';
import { usePalette, SPACE } from '../theme/theme.tsx';
import { Words } from './text.tsx';
import { Touch } from './touch.tsx';

interface Option<T extends string> {
  value: T;
  label: string;
  note?: string;
}

interface Props<T extends string> {
  label: string;
  value: T;
  options: readonly Option<T>[];
  onChange: (value: T) => void;
  /** Stand the options in one line instead of under one another. */
  inline?: boolean;
}

/** One of several, all in sight: nothing to open with gloves on. */
export function Choice<T extends string>({ label, value, options, onChange, inline = false }: Props<T>) {
  const palette = usePalette();
  return (
    <View role="radiogroup" accessibilityLabel={label} style={styles.box}>
      <Words size="small" quiet>
        {label}
      </Words>
      <View style={inline ? styles.inline : styles.stack}>
        {options.map((option) => {
          const chosen = option.value === value;
          return (
            <Touch
              key={option.value}
              role="radio"
              aria-checked={chosen}
              label={option.note ? `${option.label}, ${option.note}` : option.label}
              onPress={() => onChange(option.value)}
              style={[
                styles.option,
                inline ? styles.grow : null,
                {
                  borderColor: chosen ? palette.chalk : palette.rule,
                  backgroundColor: chosen ? palette.chalkWash : 'transparent',
                  borderWidth: chosen ? 2 : 1,
                },
              ]}
            >
              <Words bold={chosen}>{option.label}</Words>
              {option.note ? (
                <Words size="small" quiet>
                  {option.note}
                </Words>
              ) : null}
            </Touch>
          );
        })}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  box: { gap: SPACE.near },
  stack: { gap: SPACE.near },
  inline: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.near },
  option: { minHeight: 48, paddingHorizontal: SPACE.part, paddingVertical: SPACE.gap, justifyContent: 'center' },
  grow: { flexGrow: 1, alignItems: 'center' },
});
