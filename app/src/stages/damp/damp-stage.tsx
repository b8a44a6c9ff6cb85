import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { METHOD_SPECS, methodsFor, testGate, type DampMethod } from '@maquette/core/damp';
import type { Gate } from '@maquette/core/hazards';
import { boundsMm, type Polygon } from '@maquette/core/room';
import type { Action } from '../../room/actions.tsx';
import { TapePlace } from '../../room/tape-place.tsx';
import { RoomFrame } from '../../room/room-frame.tsx';
import { DampLayer, SurveyLayer } from '../../sheet/damp-layer.tsx';
import { DecidedLayer } from '../../sheet/decided-layer.tsx';
import { Sheet } from '../../sheet/sheet.tsx';
import { toMmPoint, toPx, type SheetView } from '../../sheet/view.ts';
import { fetched } from '../../ui/fetched.tsx';
import { tabParts } from '../../ui/tabs.tsx';
import { CriteriaList, criteriaOf } from '../criteria-list.tsx';
import { SPACE } from '../../theme/theme.tsx';
import { GateAlert } from '../gate-alert.tsx';
import type { StageProps } from '../stage-props.ts';
import { pinsOf } from './pins.ts';
import { setTest } from './set-test.ts';
import { TestsTab } from './tests-tab.tsx';
import { useDamp } from './use-damp.ts';
import { useSay } from '../../ui/shown-in.tsx';

const TABS = [
  { tab: 'tests', label: 'Tests' },
  { tab: 'air', label: 'Air' },
  { tab: 'drying', label: 'Drying' },
  { tab: 'log', label: 'Log' },
] as const;
type Tab = (typeof TABS)[number]['tab'];

const REACH_PX = 26;
const NO_CORNERS: Polygon = [];

/** The tests are what the stage opens with; what else it holds comes in files of its own. */
const AirTab = fetched(() => import('./air-tab.tsx').then((tab) => tab.AirTab));
const ForecastTab = fetched(() => import('./forecast-tab.tsx').then((tab) => tab.ForecastTab));
const LogTab = fetched(() => import('./log-tab.tsx').then((tab) => tab.LogTab));

/** Is it dry enough: the guide, the tests, the air, the forecast and the evidence. */
export function DampStage(props: StageProps) {
  const say = useSay();
  const { shown, room, picture, go } = props;
  const damp = useDamp(shown, picture);
  const criteria = criteriaOf(picture, 'damp');
  const [tab, setTab] = useState<Tab>('tests');
  const [asked, setMethod] = useState<DampMethod | null>(null);
  const [open, setOpen] = useState<string | null>(null);
  const [placing, setPlacing] = useState(false);
  const [closed, setClosed] = useState<Gate | null>(null);
  const methods = methodsFor(room.baseKind);
  const method = asked && methods.includes(asked) ? asked : (damp?.state.chosen ?? methods[0]!);
  const gate = damp ? testGate(damp.ctx, method) : null;
  const allowed = gate?.allowed ?? false;
  const state = damp?.state.methods.find((m) => m.method === method) ?? null;
  const results = damp?.state.results;
  const onSheet = useMemo(() => results?.filter((r) => r.test.method === method) ?? [], [results, method]);
  const survey = useMemo(() => onSheet.filter((r) => r.test.method === 'survey' && r.valid), [onSheet]);
  const pins = useMemo(() => (damp ? pinsOf(damp, method) : []), [damp, method]);
  const corners = damp?.ctx.plan.corners ?? NO_CORNERS;
  const box = boundsMm(corners);
  const places = tab === 'tests' && allowed ? (state?.places ?? []) : [];
  const add = (xMm: number, yMm: number) => {
    setPlacing(false);
    if (!damp) return;
    // What is drawn in the base may close this place, though the floor is open elsewhere.
    const here = testGate(damp.ctx, method, { xMm, yMm });
    setClosed(here.allowed ? null : here);
    if (here.allowed) void setTest(damp.ctx, method, { xMm, yMm }).then(setOpen);
  };
  const tap = (view: SheetView, xPx: number, yPx: number) => {
    const [x, y] = toMmPoint(view, xPx, yPx);
    if (placing) return add(Math.round(x), Math.round(y));
    const near = <T extends { xMm: number; yMm: number }>(list: readonly T[]) =>
      list.find((p) => {
        const [px, py] = toPx(view, p.xMm, p.yMm);
        return Math.hypot(px - xPx, py - yPx) < REACH_PX;
      });
    const pin = near(pins);
    if (pin) {
      setTab('tests');
      return setOpen(pin.id);
    }
    const place = near(places);
    return place ? add(place.xMm, place.yMm) : undefined;
  };
  const sheet = (
    <Sheet
      room={room}
      onTap={tap}
      description={`${room.name}: ${pins.length} tests by ${say(METHOD_SPECS[method].words).toLowerCase()}, ${places.length} places proposed.${method === 'survey' ? ' Map of where to test.' : ''}`}
      under={(view) => <SurveyLayer results={survey} corners={corners} view={view} />}
      over={(view) => (
        <>
          <DecidedLayer criteria={criteria} view={view} />
          <DampLayer pins={pins} places={places} chosen={open} middleYMm={(box.minY + box.maxY) / 2} view={view} />
        </>
      )}
    />
  );
  const next = places[0];
  const here = placing ? 'Touch the sheet where it is' : null;
  const actions: Action[] =
    tab === 'tests' && allowed && (placing || next)
      ? [
          {
            label: here ?? `Set ${say(METHOD_SPECS[method].words).toLowerCase()} 1`,
            act: () => (placing ? setPlacing(false) : add(next!.xMm, next!.yMm)),
            main: true,
          },
          { label: placing ? 'Not now' : 'Elsewhere', act: () => setPlacing(!placing) },
        ]
      : [
          ...(tab === 'tests' && allowed ? [{ label: 'One more test', act: () => setPlacing(true) }] : []),
          { label: 'Go over the floor', act: () => go('sound'), main: true },
        ];
  return (
    <RoomFrame
      stage="damp"
      props={props}
      sheet={sheet}
      tabs={{ label: 'Damp', tabs: tabParts(TABS, tab, setTab) }}
      actions={actions}
    >
      {damp ? (
        <>
          {tab === 'tests' || tab === 'air' ? (
            <CriteriaList criteria={criteria.filter((c) => tab === 'tests' || c.id === 'damp-air')} />
          ) : null}
          {tab === 'tests' && placing ? (
            <View style={styles.tape}>
              <TapePlace room={room} what="the test" onPlace={(at) => add(at.xMm, at.yMm)} />
            </View>
          ) : null}
          {tab === 'tests' && closed ? (
            <GateAlert shown={shown} room={room} gate={closed} title="Not at this place" />
          ) : null}
          {tab === 'tests' ? (
            <TestsTab
              shown={shown}
              room={room}
              damp={damp}
              method={method}
              gate={gate!}
              onMethod={(chosen) => {
                setMethod(chosen);
                setOpen(null);
              }}
              open={open}
              onOpen={setOpen}
            />
          ) : null}
          {tab === 'air' ? <AirTab shown={shown} ctx={damp.ctx} /> : null}
          {tab === 'drying' ? <ForecastTab shown={shown} damp={damp} /> : null}
          {tab === 'log' ? <LogTab shown={shown} damp={damp} /> : null}
        </>
      ) : null}
    </RoomFrame>
  );
}

const styles = StyleSheet.create({ tape: { paddingHorizontal: SPACE.edge } });
