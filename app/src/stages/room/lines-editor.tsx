import { useSay } from '../../ui/shown-in.tsx';
import { View } from 'react-native';
import { figure } from '@maquette/core/fields';
import {
  adjustmentOf,
  boundsMm,
  DIAGONAL,
  diagonalProblem,
  distanceMm,
  outlineOf,
  planOf,
  type Diagonal,
  type DividingLine,
  type RoomFacts,
} from '@maquette/core/room';
import { formatGap, formatReach, formatSpan, unitLabel } from '@maquette/core/units';
import { useState } from 'react';
import { newId } from '../../data/ids.ts';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { Choice } from '../../ui/choice.tsx';
import { refused } from '../../form/fact-form.ts';
import { OneField } from '../../form/one-field.tsx';
import { Words } from '../../ui/text.tsx';
import type { RoomChange } from './room-change.ts';
import { SPACE } from '../../theme/theme.tsx';

/** Measured diagonals: the drawn room is fitted to them, and it is said by how much it is out of square. */
export function DiagonalsEditor({ room, change }: { room: RoomFacts; change: RoomChange }) {
  const { walls, diagonals, units } = room;
  const say = useSay();
  const n = walls.length;
  const [fromAsked, setFrom] = useState(0);
  const [toAsked, setTo] = useState(2);
  // Walls may have been taken out since a corner was chosen.
  const [from, to] = [Math.min(fromAsked, n - 1), Math.min(toAsked, n - 1)];
  const taped = outlineOf(walls, room.start).corners;
  const adjustment = adjustmentOf(room);
  const held = diagonals.find((d) => (d.from === from && d.to === to) || (d.from === to && d.to === from));
  const take = (lengthMm: number) => {
    const diagonal: Diagonal = { from, to, lengthMm };
    const wrong = diagonalProblem(taped, diagonal);
    if (wrong) return refused(say(wrong));
    return change('Diagonal measured', { diagonals: [...diagonals.filter((d) => d !== held), diagonal] });
  };
  const corner = (label: string, value: number, set: (corner: number) => void) => (
    <Choice
      label={label}
      inline
      value={String(value)}
      options={walls.map((_, i) => ({ value: String(i), label: String(i + 1) }))}
      onChange={(v) => set(Number(v))}
    />
  );
  return (
    <View style={{ gap: SPACE.part }}>
      <Words size="small">Corner 1 is where W1 starts, corner 2 where it ends, and so on.</Words>
      {corner('From corner', from, setFrom)}
      {corner('To corner', to, setTo)}
      <OneField
        key={`${from}-${to}`}
        of={DIAGONAL.lengthMm}
        value={held?.lengthMm ?? null}
        units={units}
        label={`Diagonal ${from + 1} to ${to + 1}`}
        hint={`The drawing makes it ${formatSpan(distanceMm(planOf(room).corners[from]!, planOf(room).corners[to]!), units)}`}
        onTaken={take}
      />
      {adjustment ? (
        <Words testID="square" bold>
          {`Out of square by ${formatGap(adjustment.outOfSquareMm, units)} ${unitLabel(units)} at corner ${adjustment.squareCorner + 1} (${Math.abs(adjustment.outOfSquareDeg).toFixed(2)}° ${adjustment.outOfSquareDeg > 0 ? 'open' : 'closed'}). Corner ${adjustment.movedCorner + 1} was moved ${formatGap(adjustment.movedMm, units)} ${unitLabel(units)}; ${formatGap(Math.max(adjustment.diagonalLeftMm, adjustment.wallLeftMm), units)} ${unitLabel(units)} is left between tapes and drawing.`}
        </Words>
      ) : null}
      {diagonals.map((d) => (
        <ButtonRow key={`${d.from}-${d.to}`}>
          <Button
            label={`Take out diagonal ${d.from + 1} to ${d.to + 1}, ${formatReach(d.lengthMm, units)}`}
            onPress={() => void change('Diagonal taken out', { diagonals: diagonals.filter((o) => o !== d) })}
          />
        </ButtonRow>
      ))}
    </View>
  );
}

const FROM_THE_SIDE = figure(0, 60_000, 'mm');

/** Lines that divide the room: layers or bases differ on their sides. */
export function LinesEditor({
  room,
  change,
  inUse,
}: {
  room: RoomFacts;
  change: RoomChange;
  /** Lines that layers are bounded by: they stay while these do. */
  inUse: readonly string[];
}) {
  const { lines, units } = room;
  const box = boundsMm(planOf(room).corners);
  const add = (upright: boolean) => {
    const [x, y] = [Math.round((box.minX + box.maxX) / 2), Math.round((box.minY + box.maxY) / 2)];
    const line: DividingLine = {
      id: newId(),
      name: `line ${lines.length + 1}`,
      axMm: upright ? x : box.minX,
      ayMm: upright ? box.minY : y,
      bxMm: upright ? x : box.maxX,
      byMm: upright ? box.maxY : y,
    };
    void change('Dividing line drawn', { lines: [...lines, line] });
  };
  const edit = (line: DividingLine, part: Partial<DividingLine>) =>
    change('Dividing line moved', { lines: lines.map((l) => (l.id === line.id ? { ...l, ...part } : l)) });
  return (
    <View style={{ gap: SPACE.part }}>
      {lines.map((line) => {
        const upright = Math.abs(line.bxMm - line.axMm) < Math.abs(line.byMm - line.ayMm);
        // Each end of its own: a line may run askew.
        const ends: [string, number, (mm: number) => unknown][] = upright
          ? [
              ['near W1', line.axMm - box.minX, (mm) => edit(line, { axMm: mm + box.minX })],
              ['at the far side', line.bxMm - box.minX, (mm) => edit(line, { bxMm: mm + box.minX })],
            ]
          : [
              ['at the left', line.ayMm - box.minY, (mm) => edit(line, { ayMm: mm + box.minY })],
              ['at the right', line.byMm - box.minY, (mm) => edit(line, { byMm: mm + box.minY })],
            ];
        return (
          <View key={line.id} style={{ gap: SPACE.gap }}>
            <Words bold>{line.name}</Words>
            {ends.map(([where, mm, take]) => (
              <OneField
                key={where}
                of={FROM_THE_SIDE}
                value={mm}
                units={units}
                label={`${line.name} ${where}, ${upright ? 'from the left' : 'up from W1’s side'}`}
                onTaken={take}
              />
            ))}
            <Button
              label={`Take ${line.name} out`}
              off={
                inUse.includes(line.id)
                  ? 'Layers end at it: change them first.'
                  : room.secondBase?.where.some((w) => w.lineId === line.id)
                    ? 'The second base ends at it: change that first.'
                    : null
              }
              onPress={() => void change('Dividing line taken out', { lines: lines.filter((l) => l.id !== line.id) })}
            />
          </View>
        );
      })}
      <ButtonRow>
        <Button
          label="Line across"
          off={lines.length >= 8 ? 'A room takes 8 lines.' : null}
          onPress={() => add(true)}
        />
        <Button
          label="Line along"
          off={lines.length >= 8 ? 'A room takes 8 lines.' : null}
          onPress={() => add(false)}
        />
      </ButtonRow>
    </View>
  );
}
