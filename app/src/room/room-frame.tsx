import { useEffect, useRef, useState, type ComponentProps, type ReactNode } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { useRouter } from 'expo-router';
import type { Verdict } from '@maquette/core/verdict';
import { history } from '../data/device.ts';
import { Course } from '../course/course.tsx';
import type { StageProps } from '../stages/stage-props.ts';
import { BENCH_PX, usePalette, SPACE } from '../theme/theme.tsx';
import { UndoBar } from './undo-bar.tsx';
import { Tabs } from '../ui/tabs.tsx';
import { Actions, type Action } from './actions.tsx';
import { Header } from './header.tsx';
import { Keys } from './keys.tsx';
import { isHere, StageWaits, type Needs } from './stage-waits.tsx';
import { Trouble } from './trouble.tsx';
import { WhatWaits } from './what-waits.tsx';
import { UnitsButton } from './units-button.tsx';

/** Height of the bench while numbers are keyed on a phone: the pad and no more, the rest is for the sheet. */
const PAD_PX = { metric: 376, imperial: 472 } as const;

type TabRow = ComponentProps<typeof Tabs>;

interface Props {
  stage: string;
  props: StageProps;
  sheet: ReactNode;
  /** Stands on the bench once all that it needs is here. */
  children: ReactNode;
  needs?: Needs;
  /** What the stage is divided into; null where there is nothing to choose between. */
  tabs?: TabRow | null;
  actions?: readonly Action[];
  /** Stands over the course, where what is being done is closed with more than a press. */
  closing?: ReactNode;
  /** Numbers are being keyed: the bench is as high as the pad, and digits belong to it. */
  keying?: boolean;
  /** What is to be seen at the top of the bench: when that changes, the bench is there. */
  seen?: string;
  onStep?: (by: 1 | -1) => void;
  marks?: Readonly<Record<string, Verdict>>;
}

/** What every stage of a room stands in: header, sheet, bench, course. */
export function RoomFrame({
  stage,
  props,
  sheet,
  children,
  needs = 'picture',
  tabs = null,
  actions = [],
  closing,
  keying = false,
  seen = '',
  onStep,
  marks = {},
}: Props) {
  const palette = usePalette();
  const router = useRouter();
  const { room, shown, wide, go, course: planks } = props;
  const [looking, setLooking] = useState(false);
  const [help, setHelp] = useState(false);
  const scroll = useRef<ScrollView>(null);
  // What a press has brought to the top of the bench is to be seen there.
  useEffect(() => scroll.current?.scrollTo({ y: 0 }), [seen]);
  // What is done in a room is taken back in that room.
  useEffect(() => {
    history.enter(room.id);
    return () => history.enter(null);
  }, [room.id]);
  const course = (
    <Course
      planks={planks.map((plank) => ({ ...plank, verdict: marks[plank.stage] ?? plank.verdict }))}
      chosen={stage}
      onChoose={go}
      wide={wide}
    />
  );
  const bench = (
    <ScrollView
      ref={scroll}
      style={styles.scroll}
      contentContainerStyle={styles.scrollBody}
      keyboardShouldPersistTaps="handled"
    >
      <Trouble units={room.units} />
      {tabs ? <Tabs {...tabs} /> : null}
      {isHere(needs, props) ? children : <StageWaits props={props} />}
    </ScrollView>
  );
  const foot = (
    <>
      {closing}
      {isHere(needs, props) ? <Actions actions={actions} /> : null}
      <UndoBar passes asked={looking} />
    </>
  );
  return (
    <View style={[styles.screen, { backgroundColor: palette.sheet }]}>
      <Keys
        onStage={(index) => (planks[index] ? go(planks[index].stage) : undefined)}
        onStep={(by) => onStep?.(by)}
        onUndo={() => void history.undo()}
        onRedo={() => void history.redo()}
        onHelp={() => setHelp(!help)}
        help={help}
        digitsTyped={keying}
      />
      <Header
        above={shown.job?.name ?? ''}
        title={room.name}
        backLabel="Site book"
        onBack={() => router.replace('/')}
        right={<UnitsButton room={shown.room!} />}
        onWaits={() => {
          setLooking(!looking);
          // What is to be decided stands at the top of the bench.
          scroll.current?.scrollTo({ y: 0 });
        }}
      />
      {looking ? <WhatWaits /> : null}
      {wide ? (
        <View role="main" style={styles.wide}>
          {course}
          <View style={styles.sheet}>{sheet}</View>
          <View style={[styles.bench, { backgroundColor: palette.bench, borderColor: palette.ink }]}>
            {bench}
            {foot}
          </View>
        </View>
      ) : (
        <>
          <View role="main" style={styles.phone}>
            <View style={keying ? styles.sheet : styles.sheetShort}>{sheet}</View>
            <View
              style={[
                keying ? [styles.benchKeying, { height: PAD_PX[room.units] }] : styles.benchPhone,
                { backgroundColor: palette.bench, borderColor: palette.ink },
              ]}
            >
              {bench}
            </View>
            {foot}
          </View>
          {course}
        </>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  screen: { flex: 1, minHeight: 0 },
  wide: { flex: 1, flexDirection: 'row', minHeight: 0 },
  phone: { flex: 1, minHeight: 0 },
  sheet: { flex: 1, minHeight: 0 },
  sheetShort: { height: '36%', minHeight: 220 },
  bench: { width: BENCH_PX, borderLeftWidth: 2, minHeight: 0 },
  benchPhone: { flex: 1, borderTopWidth: 2, minHeight: 0 },
  benchKeying: { borderTopWidth: 2, flexShrink: 0 },
  scroll: { flex: 1 },
  scrollBody: { paddingBottom: SPACE.gap },
});
