import { StyleSheet, View } from 'react-native';
import { useRouter } from 'expo-router';
import { BASE_WORDS, boundsMm, floorAreaM2, planOf, type BaseKind, type Shaped } from '@maquette/core/room';
import { formatArea } from '@maquette/core/units';
import { inWords } from '@maquette/words';
import { STAGES } from '../stages/stages.ts';
import type { ShownBook } from '../data/use-facts.ts';
import { SPACE, usePalette } from '../theme/theme.tsx';
import { Mark, VERDICT_WORDS } from '../ui/mark.tsx';
import { useSentences } from '../ui/sentences.ts';
import { Words } from '../ui/text.tsx';
import { Touch } from '../ui/touch.tsx';
import type { RoomLine } from '../worker/kept-lines.ts';
import { Footprint } from './footprint.tsx';

/** As high as a row stands once it is judged: rows do not move on under a finger as verdicts come in. px */
const ROW_PX = 92;

/** The column the outlines stand in, and the scale at which an eight metre hall fills it. px, px for each mm. */
const COLUMN_PX = 78;
const ROW_SCALE = 0.0092;

/** One scale for all rooms of a list, so that a hall looks larger than a boot room: the longest of them still fits. */
export function rowScale(rooms: readonly Shaped[]): number {
  const sides = rooms.map((room) => {
    const { minX, minY, maxX, maxY } = boundsMm(planOf(room).corners);
    return Math.max(maxX - minX, maxY - minY);
  });
  return Math.min(ROW_SCALE, (COLUMN_PX - 6) / Math.max(1, ...sides));
}

/** The stage in which what decides a room is shown; the flat stage where an older line does not say. */
const stageOf = (part: string | undefined) =>
  STAGES.find(({ parts }) => (parts as readonly string[]).includes(part ?? 'flat'))?.id ?? 'flat';

/** A room in a list: its outline to scale, its verdict, by how much, and what to do next. It opens where that is done. */
export function RoomRow({
  room,
  line,
  zone,
  scale,
}: {
  room: ShownBook['rooms'][number];
  line: RoomLine | null;
  zone: string;
  scale: number;
}) {
  const palette = usePalette();
  const router = useRouter();
  // What is said of a room are sentences of its stages, which come after the first screen.
  const told = useSentences();
  const said = (what: RoomLine['margin']) => (told ? inWords(what, room.units, zone) : '');
  const area = formatArea(floorAreaM2(room), room.units);
  const verdict = line ? VERDICT_WORDS[line.verdict] : null;
  return (
    <Touch
      role="link"
      label={[verdict ? `${room.name}: ${verdict}.` : room.name, ...(line ? [said(line.margin), said(line.next)] : [])]
        .filter(Boolean)
        .join(' ')}
      onPress={() => router.push(`/rooms/${room.id}/${stageOf(line?.part)}`)}
      style={[styles.row, { borderColor: palette.rule }]}
    >
      <View style={styles.print}>
        <Footprint room={room} verdict={line?.verdict ?? null} scale={scale} />
      </View>
      <View style={styles.grow}>
        <View style={styles.line}>
          <Words bold style={styles.grow}>
            {room.name}
          </Words>
          {line ? <Mark verdict={line.verdict} width={34} /> : null}
          {line && verdict ? (
            <Words bold color={palette.verdict[line.verdict]}>
              {verdict}
            </Words>
          ) : null}
        </View>
        {line && told ? (
          <>
            <Words size="small" numberOfLines={2}>
              {said(line.margin)}
            </Words>
            <Words size="small" bold numberOfLines={2}>
              {line.verdict === 'lay' ? 'Fit to lay.' : said(line.next)}
            </Words>
          </>
        ) : (
          <Words size="small" quiet>{`${area} · ${inWords(BASE_WORDS[room.baseKind as BaseKind], room.units)}`}</Words>
        )}
      </View>
    </Touch>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', gap: SPACE.part, minHeight: ROW_PX, paddingVertical: SPACE.gap, borderTopWidth: 1 },
  print: { width: COLUMN_PX, alignItems: 'flex-start', paddingTop: 2, overflow: 'hidden' },
  line: { flexDirection: 'row', alignItems: 'center', gap: SPACE.gap },
  grow: { flex: 1 },
});
