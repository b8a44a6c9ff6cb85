import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { figuresOf } from '@maquette/core/figures';
import { type PointMm } from '@maquette/core/room';
import { MARK_WORDS, newMark, USUAL_SHAPE, walkOf, type MarkKind } from '@maquette/core/soundness';
import { underfootOf } from '@maquette/core/stripout';
import { newId } from '../../data/ids.ts';
import { bodyOf } from '@maquette/facts';
import { write } from '../../data/write.ts';
import { TapePlace } from '../../room/tape-place.tsx';
import { RoomFrame } from '../../room/room-frame.tsx';
import { BaseLayer } from '../../sheet/base-layer.tsx';
import { DecidedLayer } from '../../sheet/decided-layer.tsx';
import { Sheet } from '../../sheet/sheet.tsx';
import { MarksLayer, WalkLayer } from '../../sheet/sound-layer.tsx';
import { toMmPoint, toPx, type SheetView } from '../../sheet/view.ts';
import { tabParts } from '../../ui/tabs.tsx';
import { CriteriaList, criteriaOf } from '../criteria-list.tsx';
import type { StageProps } from '../stage-props.ts';
import { MarkCard } from './mark-card.tsx';
import { MarkKinds } from './mark-kinds.tsx';
import { WalkTab } from './walk-tab.tsx';
import { useSay } from '../../ui/shown-in.tsx';
import { usePlan } from '../../sheet/use-plan.ts';
import { counted } from '../../ui/counted.ts';
import { SPACE } from '../../theme/theme.tsx';

const REACH_PX = 26;

/** What is broken underfoot: the guided walk, the marks and what is done about each. */
export function SoundStage(props: StageProps) {
  const say = useSay();
  const { shown, room, picture, go } = props;
  const { marks, checks } = shown.plain;
  const figure = useMemo(() => figuresOf(shown.plain.figures, room.units), [shown.plain.figures, room.units]);
  const plan = usePlan(room);
  const criteria = criteriaOf(picture, 'sound');
  const under = useMemo(() => underfootOf(room, shown.plain), [room, shown.plain]);
  const steps = useMemo(() => walkOf(room, plan, checks, figure('tap-mm'), under), [room, plan, checks, figure, under]);
  const [tab, setTab] = useState<'walk' | 'marks'>('walk');
  const [asked, setStep] = useState<string | null>(null);
  const [open, setOpen] = useState<string | null>(null);
  const [kind, setKind] = useState<MarkKind | null>(null);
  const [drawing, setDrawing] = useState<PointMm[]>([]);
  const left = steps.filter((s) => !s.done);
  const step = steps.find((s) => s.key === asked) ?? left.find((s) => s.closedBy.length === 0) ?? left[0] ?? null;
  const shape = kind ? USUAL_SHAPE[kind] : null;
  const least = shape === 'area' ? 3 : shape === 'line' ? 2 : 1;
  const drawn =
    drawing.length >= least && shape !== 'point'
      ? `That is all of it (${drawing.length} corners)`
      : drawing.length === 1 && shape !== 'point'
        ? 'Only this point'
        : 'Touch the sheet where it is';
  const begin = (next: MarkKind | null) => {
    setKind(next);
    setDrawing([]);
  };
  const finish = (points: PointMm[]) => {
    if (!kind) return;
    const id = newId();
    const whole = shape !== 'point' && points.length >= least;
    // A mark stands in the middle of what was drawn.
    const at = {
      xMm: Math.round(points.reduce((sum, p) => sum + p.xMm, 0) / points.length),
      yMm: Math.round(points.reduce((sum, p) => sum + p.yMm, 0) / points.length),
    };
    const mark = newMark(id, kind, at, whole ? { shape: shape!, points } : {});
    begin(null);
    setOpen(id);
    setTab('marks');
    void write(`Marked: ${say(MARK_WORDS[kind]).toLowerCase()}`, [
      { kind: 'marks', id, roomId: room.id, body: bodyOf(mark) },
    ]);
  };
  const pointAt = (at: PointMm) => {
    const points = [...drawing, at];
    return shape === 'point' ? finish(points) : setDrawing(points);
  };
  const tap = (view: SheetView, xPx: number, yPx: number) => {
    const [x, y] = toMmPoint(view, xPx, yPx);
    if (kind) return pointAt({ xMm: Math.round(x), yMm: Math.round(y) });
    const near = marks.find((m) => {
      const [px, py] = toPx(view, m.xMm, m.yMm);
      return Math.hypot(px - xPx, py - yPx) < REACH_PX;
    });
    if (near) {
      setTab('marks');
      return setOpen(near.id);
    }
    return undefined;
  };
  const sheet = (
    <Sheet
      room={room}
      onTap={tap}
      description={`${room.name}: ${counted(marks.length, 'mark')}, ${steps.filter((s) => s.done).length} of ${steps.length} lines and spots gone over.`}
      under={(view) => <BaseLayer room={room} view={view} />}
      over={(view) => (
        <>
          {tab === 'walk' ? <WalkLayer steps={steps} now={step?.key ?? null} view={view} /> : null}
          <DecidedLayer criteria={criteria} view={view} />
          <MarksLayer marks={marks} chosen={open} drawing={drawing} view={view} />
        </>
      )}
    />
  );
  return (
    <RoomFrame
      stage="sound"
      props={props}
      sheet={sheet}
      needs="nothing"
      tabs={{
        label: 'Soundness',
        tabs: tabParts(
          [
            { tab: 'walk', label: 'Walk' },
            { tab: 'marks', label: `Marks (${marks.length})` },
          ] as const,
          tab,
          setTab,
        ),
      }}
      actions={
        kind
          ? [
              {
                label: drawn,
                act: () => finish(drawing),
                main: true,
                off: drawing.length === 0 ? 'Touch the sheet first, or place it by tape.' : null,
              },
              { label: 'Not now', act: () => begin(null) },
            ]
          : [{ label: 'Read the floor’s levels', act: () => go('flat'), main: true }]
      }
    >
      <CriteriaList criteria={criteria} />
      <View style={styles.box}>
        {kind ? (
          <TapePlace room={room} what={shape === 'point' ? 'it' : `corner ${drawing.length + 1}`} onPlace={pointAt} />
        ) : null}
        {tab === 'walk' ? <WalkTab shown={shown} room={room} steps={steps} step={step} onStep={setStep} /> : null}
        <MarkKinds room={room} kind={kind} onKind={begin} />
        {tab === 'walk'
          ? null
          : marks.map((mark) => (
              <MarkCard
                key={mark.id}
                shown={shown}
                room={room}
                mark={mark}
                figure={figure}
                under={under}
                open={open === mark.id}
                onOpen={() => setOpen(open === mark.id ? null : mark.id)}
              />
            ))}
      </View>
    </RoomFrame>
  );
}

const styles = StyleSheet.create({
  box: { padding: SPACE.edge, gap: SPACE.part },
});
