import { readOut } from '@maquette/words';
import { newFixture, newOpening } from '../room/index.ts';
import { contextOf, layerOf } from './invented-strip.ts';
import { planStripOut } from './index.ts';

const sheet = layerOf('sheet-resilient');
const keep = { layers: [sheet], layerChoices: [{ id: 'c', layerId: sheet.id, choice: 'keep' as const, note: '' }] };
const toilet = (heightMm: number | null) => ({ ...newFixture('wc', 'toilet', { xMm: 800, yMm: 800 }, 0), heightMm });
const bay = { ...newFixture('bay', 'appliance', { xMm: 2000, yMm: 600 }, 0), heightMm: 870 };
const door = newOpening('d', 0, 100, 800);
const answer = (question: string, value: string) => ({ id: question, question, answer: value, note: '' });

const steps = (facts: Parameters<typeof contextOf>[0], room: Parameters<typeof contextOf>[1]) =>
  planStripOut(contextOf({ ...keep, ...facts }, room)).steps;

describe('a floor that is kept still has work', () => {
  // Laminate of the shipped card is 8 mm: a flange 5 mm over the old floor ends 3 mm under the new one.
  test.each([
    [5, 'spacer ring of 3 mm'],
    [8, 'ends up 0 mm over the new floor: a new seal'],
    [14, 'ends up 6 mm over the new floor: a new seal'],
    [15, 'ends up 7 mm over the new floor, more than 6 mm'],
    [null, 'adds 8 mm round the flange: measure'],
  ])('a flange whose top is %s mm over the old floor', (heightMm, words) => {
    const lift = steps({}, { fixtures: [toilet(heightMm)] }).find((step) => step.key === 'lift/wc')!;
    expect(readOut(lift.lines).join()).toContain(words);
    expect(lift.cautions.map(({ id }) => id)).toEqual(['sewage']);
  });

  test('jambs by all that is added, bays by what they keep, skirting lifted wall by wall', () => {
    const all = steps({}, { fixtures: [bay], openings: [door] });
    expect(readOut(all.find((step) => step.key === 'kept/jamb/d')!.words)).toContain('at 9 mm');
    expect(readOut(all.find((step) => step.key === 'lift/bay')!.lines).join()).toContain('keeps 862 mm');
    expect(all.filter((step) => step.group === 'trim')).toHaveLength(4);
  });

  test('skirting of tile stays and gets a bead, in a room that lifts skirting too; none needs neither', () => {
    const tile = steps({ answers: [answer('trim/kind', 'tile')] }, { openings: [door] });
    expect(tile.some((step) => step.group === 'trim')).toBe(false);
    // Round a room of 4 by 3 m, less the door.
    expect(readOut(tile.find((step) => step.key === 'kept/bead')!.words)).toContain('13.2 m');
    const none = steps({ answers: [answer('trim/kind', 'none')] }, {});
    expect(none).toEqual([]);
  });

  test('painted trim that may hold lead is sawn by hand with its caution', () => {
    const [jamb] = steps({}, { openings: [door] }).filter((step) => step.key.startsWith('kept/jamb'));
    expect(jamb!.cautions.map(({ id }) => id)).toContain('lead');
  });

  test('what is bought for it is in the cost', () => {
    const bead = { ...keep, answers: [answer('school/skirting', 'bead')] };
    expect(planStripOut(contextOf(bead)).cost.making).toBeCloseTo(14 * 2.4, 9);
    expect(planStripOut(contextOf(keep)).cost.making).toBe(0);
  });
});
