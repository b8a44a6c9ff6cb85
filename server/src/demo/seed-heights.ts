import type { DemoRoom } from './demo-room.ts';
import type { Put } from './put.ts';

/** Levels about openings and fixtures of a room, its leaves, appliances and stairs: `opening-1` is its first opening. */
export async function seedHeights(put: Put, id: string, room: DemoRoom, readAt: string): Promise<void> {
  const setup = room.setups[0];
  for (const [n, level] of (room.levels ?? []).entries()) {
    const { of, about, alongMm } = level;
    const isStaff = 'levelMm' in level;
    await put('levels', `${id}-level-${n + 1}`, id, {
      of,
      aboutId: `${id}-${about}`,
      alongMm,
      readBy: isStaff ? 'staff' : 'tape',
      setupId: isStaff ? `${id}-setup-${setup!.name.toLowerCase()}` : null,
      rodMm: isStaff ? Math.round((setup!.benchMm - level.levelMm) * 2) / 2 : null,
      overMm: isStaff ? null : level.overMm,
      lyingMm: isStaff ? null : level.lyingMm,
      datumMm: null,
      takenAt: readAt,
      note: '',
    });
  }
  for (const [n, { about, ...leaf }] of (room.leaves ?? []).entries())
    await put('leaves', `${id}-leaf-${n + 1}`, id, {
      openingId: `${id}-${about}`,
      kind: 'hollow',
      dropSeal: false,
      cutBeforeMm: 0,
      opensDeg: 90,
      airMm: null,
      rugMm: 0,
      frame: 'wood',
      note: '',
      ...leaf,
    });
  for (const [n, { about, heightMm }] of (room.appliances ?? []).entries())
    await put('appliances', `${id}-appliance-${n + 1}`, id, {
      fixtureId: `${id}-${about}`,
      heightMm,
      airMm: 3,
      fixed: 'plug',
      note: '',
    });
  for (const [n, { about, ...flight }] of (room.flights ?? []).entries())
    await put('flights', `${id}-flight-${n + 1}`, id, {
      openingId: `${id}-${about}`,
      treadMm: null,
      note: '',
      ...flight,
    });
}
