import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { openingName } from '@maquette/core/room';
import { RoomFrame } from '../../room/room-frame.tsx';
import { SPACE } from '../../theme/theme.tsx';
import { fetched } from '../../ui/fetched.tsx';
import { useSay } from '../../ui/shown-in.tsx';
import { tabParts } from '../../ui/tabs.tsx';
import { Words } from '../../ui/text.tsx';
import { CriteriaList, criteriaOf } from '../criteria-list.tsx';
import type { StageProps } from '../stage-props.ts';
import { heightAsks, placeKey, type HeightAsk } from './height-asks.ts';
import { HeightsSheet, type HeightsTab } from './heights-sheet.tsx';
import { LevelledFold } from './levelled-fold.tsx';
import { LevelsFold } from './levels-fold.tsx';
import { OpeningCard } from './opening-card.tsx';
import { sectionOf, type CutAt } from './opening-section.ts';
import { ReadTab } from './read-tab.tsx';
import { SectionView } from './section-view.tsx';
import { useLevelled } from './use-levelled.ts';

const RestTab = fetched(() => import('./rest-tab.tsx').then((part) => part.RestTab));
const BuildUpTab = fetched(() => import('./build-up-tab.tsx').then((part) => part.BuildUpTab));

const TABS = [
  { tab: 'read', label: 'Read' },
  { tab: 'openings', label: 'Openings' },
  { tab: 'rest', label: 'Rest' },
  { tab: 'build-up', label: 'Build-up' },
] as const;

/** What the new floor does at doors, stairs and fixtures: levels read one at a time, and what follows from them. */
export function HeightsStage(props: StageProps) {
  const say = useSay();
  const { shown, room, picture, wide, go } = props;
  const levelled = useLevelled(shown, picture);
  const heights = levelled.heights ?? picture?.heights ?? null;
  const [chosenTab, setTab] = useState<HeightsTab | null>(null);
  const [skipped, setSkipped] = useState<readonly string[]>([]);
  // A level somebody wants to know though nothing waits for it, with the tab it was asked for on.
  const [wanted, setWanted] = useState<{ key: string; from: HeightsTab } | null>(null);
  const [openingId, setOpening] = useState<string | null>(null);
  const [cut, setCut] = useState<CutAt | 'leaf'>('worst');
  const { levels, leaves, appliances } = shown.plain;
  const asks = useMemo(
    () =>
      heights
        ? heightAsks(heights, levels, {
            leaves: new Set(leaves.flatMap(({ openingId: id, kind }) => (kind === 'unknown' ? [] : [id]))),
            appliances: new Set(appliances.map(({ fixtureId }) => fixtureId)),
          })
        : [],
    [heights, levels, leaves, appliances],
  );
  const waiting = asks.filter(({ key }) => !skipped.includes(key));
  const wantedPlace = wanted && heights?.places.find((place) => placeKey(place) === wanted.key);
  const ask: HeightAsk | null = wantedPlace
    ? { kind: 'level', key: wanted.key, place: wantedPlace, again: false }
    : (waiting[0] ?? asks[0] ?? null);
  const readAt = (from: HeightsTab) => (key: string) => {
    setWanted({ key, from });
    setTab('read');
  };
  const choose = (to: HeightsTab) => {
    setWanted(null);
    setTab(to);
  };
  // What was read is kept a moment after the key: whoever has gone to another tab by then is left there.
  const taken = () => {
    setWanted(null);
    setTab((now) => (now === null || now === 'read' ? (wanted?.from ?? 'read') : now));
  };
  const tab = chosenTab ?? (asks.length > 0 ? 'read' : 'openings');
  const openings = room.openings;
  const opening = openings.find(({ id }) => id === openingId) ?? openings[0] ?? null;
  const next = opening ? openings[(openings.indexOf(opening) + 1) % openings.length] : null;
  const judged = heights?.judged.openings.find((one) => one.openingId === opening?.id) ?? null;
  const section =
    heights && opening && judged ? sectionOf(opening, judged, heights, cut === 'leaf' ? 'worst' : cut, say) : null;
  const sheet = (
    <HeightsSheet
      shown={shown}
      room={room}
      picture={picture}
      heights={heights}
      tab={tab}
      opening={opening}
      judged={judged}
      ask={ask}
      left={asks.length}
    />
  );
  // On a phone the section takes the sheet's place while an opening is looked at; on a wide screen it stands over it.
  const drawn =
    tab === 'openings' && section && (wide || cut !== 'leaf') ? (
      wide ? (
        <View style={styles.both}>
          <SectionView of={section} units={room.units} />
          {sheet}
        </View>
      ) : (
        <SectionView of={section} units={room.units} />
      )
    ) : (
      sheet
    );
  const criteria = criteriaOf(picture, 'heights');
  const keying = tab === 'read' && ask !== null && ask.kind !== 'leaf';
  return (
    <RoomFrame
      stage="heights"
      props={props}
      sheet={drawn}
      tabs={heights ? { label: 'Heights', tabs: tabParts(TABS, tab, choose) } : null}
      keying={keying}
      actions={
        !heights
          ? []
          : tab === 'read'
            ? ask
              ? []
              : [{ label: 'See the openings', act: () => setTab('openings'), main: true }]
            : tab === 'openings' && opening && next && next !== opening
              ? [
                  {
                    label: `Next: ${say(openingName(room, next))}`,
                    act: () => {
                      setOpening(next.id);
                      setCut('worst');
                    },
                    main: true,
                  },
                ]
              : []
      }
    >
      {heights && tab === 'read' ? (
        <>
          {ask ? (
            <ReadTab
              key={ask.key}
              shown={shown}
              room={room}
              ask={ask}
              left={asks.length}
              onSkip={() =>
                wanted ? choose(wanted.from) : setSkipped(waiting.length > 1 ? [...skipped, ask.key] : [])
              }
              onTaken={taken}
            />
          ) : (
            <CriteriaList criteria={criteria} />
          )}
          {heights.isRead ? null : (
            <View style={styles.note}>
              <Words size="small">
                The floor here is not read yet. What is taped now is kept over what lies here today, and counts as soon
                as the floor is read.
              </Words>
            </View>
          )}
          <View style={styles.note}>
            <LevelsFold shown={shown} room={room} heights={heights} />
          </View>
        </>
      ) : null}
      {heights && tab === 'openings' ? (
        <>
          {opening && judged ? (
            <OpeningCard
              key={opening.id}
              shown={shown}
              room={room}
              opening={opening}
              judged={judged}
              heights={heights}
              cut={cut}
              onCut={setCut}
              onRead={() => choose('read')}
              onReadAt={readAt('openings')}
              onPlan={() => go('level')}
            />
          ) : (
            <View style={styles.note}>
              <Words>No opening is drawn in this room. Put one in on Room.</Words>
            </View>
          )}
          <LevelledFold levelled={levelled} heights={heights} units={room.units} onPlan={() => go('level')} />
          <CriteriaList criteria={criteria} />
        </>
      ) : null}
      {heights && tab === 'rest' ? (
        <RestTab shown={shown} room={room} heights={heights} onRead={() => choose('read')} onReadAt={readAt('rest')} />
      ) : null}
      {heights && tab === 'build-up' ? <BuildUpTab shown={shown} room={room} heights={heights} /> : null}
    </RoomFrame>
  );
}

const styles = StyleSheet.create({
  both: { flex: 1 },
  note: { paddingHorizontal: SPACE.edge, paddingTop: SPACE.gap },
});
