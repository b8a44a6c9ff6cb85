import { useMemo, useState } from 'react';
import { areaStacks } from '@maquette/core/layers';
import { figuresOf } from '@maquette/core/figures';
import { floorOf, type PointMm, inRegion, regionAt } from '@maquette/core/room';
import { MARK_WORDS, newMark } from '@maquette/core/soundness';
import { tapResult } from '@maquette/core/stripout';
import { newId } from '../../data/ids.ts';
import { bodyOf } from '@maquette/facts';
import { write } from '../../data/write.ts';
import { RoomFrame } from '../../room/room-frame.tsx';
import { AreasLayer, PinsLayer, TapsLayer } from '../../sheet/areas-layer.tsx';
import { PieceLabels, PiecesLayer, TrimLayer } from '../../sheet/pieces-layer.tsx';
import { Sheet } from '../../sheet/sheet.tsx';
import { toMmPoint, toPx, type SheetView } from '../../sheet/view.ts';
import { PlacePhotoContext } from '../../photos/place-photo.tsx';
import { tabParts } from '../../ui/tabs.tsx';
import type { StageProps } from '../stage-props.ts';
import { ChooseTab } from './choose-tab.tsx';
import { HazardsTab } from './hazards-tab.tsx';
import { LayersTab } from './layers-tab.tsx';
import { tapChange } from './tap-change.ts';
import { useSay } from '../../ui/shown-in.tsx';
import { usePlan } from '../../sheet/use-plan.ts';
import { counted } from '../../ui/counted.ts';
import { fetched } from '../../ui/fetched.tsx';

const PlanTab = fetched(() => import('./plan-tab.tsx').then((tab) => tab.PlanTab));

const TABS = [
  { tab: 'layers', label: 'Layers' },
  { tab: 'hazards', label: 'Hazards' },
  { tab: 'choose', label: 'Decide' },
  { tab: 'work', label: 'Work' },
] as const;
type Tab = (typeof TABS)[number]['tab'];

const REACH_PX = 24;

/** What lies on the floor, what may stay, and how the rest comes up. */
export function StripStage(props: StageProps) {
  const say = useSay();
  const { shown, room, picture, go } = props;
  const { layers } = shown.plain;
  const decided = picture?.strip.comparisons.every((c) => c.chosen !== null || c.forced) ?? false;
  const [asked, setTab] = useState<Tab | null>(null);
  const tab: Tab = asked ?? (layers.length === 0 || !decided ? 'layers' : 'work');
  const [area, setArea] = useState<string | null>(null);
  const [open, setOpen] = useState<string | null>(null);
  const [tapping, setTapping] = useState(false);
  const [marking, setMarking] = useState(false);
  const [pack, setPack] = useState<string | null>(null);
  const [onSheet, setOnSheet] = useState<'cuts' | 'trim'>('cuts');
  const [placing, setPlacing] = useState<string | null>(null);
  const place = useMemo(() => ({ waiting: placing, ask: setPlacing }), [placing]);
  const plan = usePlan(room);
  const stacks = useMemo(() => areaStacks(floorOf(plan), room.lines, layers), [plan, room.lines, layers]);
  const tapped = layers.find((l) => l.id === open);
  const spacing = figuresOf(shown.plain.figures, room.units)('tap-mm');
  const taps = useMemo(
    () =>
      tapping && tapped
        ? tapResult(regionAt(floorOf(plan), room.lines, tapped.where), tapped, shown.plain.taps, spacing)
        : null,
    [tapping, tapped, plan, room.lines, shown.plain.taps, spacing],
  );
  const strip = picture?.strip ?? null;
  const cutPack = strip?.packs.find((p) => p.key === pack) ?? strip?.packs.find((p) => p.cut) ?? null;
  const markAt = (at: PointMm) => {
    setMarking(false);
    void write(`Mark: ${say(MARK_WORDS.other).toLowerCase()}`, [
      { kind: 'marks', id: newId(), roomId: room.id, body: bodyOf(newMark('new', 'other', at)) },
    ]);
  };
  const tap = (view: SheetView, xPx: number, yPx: number) => {
    const [x, y] = toMmPoint(view, xPx, yPx);
    const photo = shown.photos.find((p) => p.id === placing);
    if (photo) {
      setPlacing(null);
      return void write('Photograph placed', [
        {
          kind: 'photos',
          id: photo.id,
          roomId: room.id,
          body: { ...bodyOf(photo), xMm: Math.round(x), yMm: Math.round(y) },
        },
      ]);
    }
    if (marking) return markAt({ xMm: Math.round(x), yMm: Math.round(y) });
    if (taps && tapped) {
      const near = taps.grid.find((point) => {
        const [px, py] = toPx(view, point.xMm, point.yMm);
        return Math.hypot(px - xPx, py - yPx) < REACH_PX;
      });
      if (near) void write('Tapped', [tapChange(shown, tapped.id, near)]);
      return undefined;
    }
    const hit = stacks.find((stack) => inRegion(stack.region, x, y));
    return hit ? setArea(hit.label) : undefined;
  };
  const cuts = tab === 'work' && onSheet === 'cuts' ? (cutPack?.cut ?? null) : null;
  const sheet = (
    <Sheet
      fixtureNames={!cuts}
      room={room}
      description={`${room.name}: ${counted(layers.length, 'layer')}. ${cutPack?.cut && tab === 'work' ? `${counted(cutPack.cut.pieces.length, 'piece')} to cut.` : ''}`}
      onTap={tap}
      under={(view) =>
        cuts ? (
          <PiecesLayer cut={cuts} view={view} />
        ) : (
          <AreasLayer
            stacks={stacks}
            view={view}
            chosen={tab === 'layers' && stacks.length > 1 ? (area ?? stacks[0]!.label) : null}
          />
        )
      }
      over={(view) => (
        <>
          {cuts ? <PieceLabels cut={cuts} view={view} /> : null}
          {tab === 'work' && strip?.trimOff && (onSheet === 'trim' || !cutPack?.cut) ? (
            <TrimLayer trim={strip.trim} corners={plan.corners} view={view} />
          ) : null}
          {taps && tapped ? (
            <TapsLayer result={taps} taps={shown.plain.taps.filter((t) => t.layerId === tapped.id)} view={view} />
          ) : null}
          <PinsLayer photos={shown.photos} marks={shown.marks} view={view} />
        </>
      )}
    />
  );
  /** Whoever goes on past an empty list has said that nothing lies there. */
  const bare = () => {
    const assumed = room.assumed ?? [];
    if (assumed.includes('layers'))
      void write('Bare base confirmed', [
        {
          kind: 'rooms',
          id: room.id,
          body: { ...bodyOf(shown.room!), assumed: assumed.filter((one) => one !== 'layers') },
        },
      ]);
    go('damp');
  };
  const next: Record<Tab, { label: string; act: () => void }> = {
    layers:
      layers.length > 0
        ? { label: 'Check hazards', act: () => setTab('hazards') }
        : { label: 'Bare base: is it dry?', act: bare },
    hazards: { label: 'Decide what stays', act: () => setTab('choose') },
    choose: { label: 'See the work', act: () => setTab('work') },
    work: { label: 'Is it dry?', act: () => go('damp') },
  };
  return (
    <PlacePhotoContext.Provider value={place}>
      <RoomFrame
        stage="strip"
        props={props}
        sheet={sheet}
        needs={tab === 'layers' ? 'nothing' : 'picture'}
        tabs={{ label: 'Strip-out', tabs: tabParts(TABS, tab, setTab) }}
        actions={[{ ...next[tab], main: true }]}
      >
        {tab === 'layers' ? (
          <LayersTab
            shown={shown}
            room={room}
            stacks={stacks}
            gates={strip?.gates ?? []}
            area={area}
            onArea={setArea}
            open={open}
            onOpen={(id) => {
              setOpen(id);
              setTapping(false);
            }}
            tapping={tapping}
            onTapping={setTapping}
          />
        ) : null}
        {strip && tab === 'hazards' ? <HazardsTab shown={shown} room={room} gates={strip.gates} /> : null}
        {strip && tab === 'choose' ? <ChooseTab shown={shown} room={room} plan={strip} /> : null}
        {strip && picture && tab === 'work' ? (
          <PlanTab
            shown={shown}
            room={room}
            plan={strip}
            laidOver={picture.laidOver}
            pack={cutPack?.key ?? null}
            onPack={(key) => {
              setPack(key);
              setOnSheet('cuts');
            }}
            onSheet={onSheet}
            onShow={setOnSheet}
            marking={marking}
            onMark={markAt}
            onMarking={setMarking}
          />
        ) : null}
      </RoomFrame>
    </PlacePhotoContext.Provider>
  );
}
