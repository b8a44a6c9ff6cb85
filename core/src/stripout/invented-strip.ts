import { SHIPPED_CARDS } from '../coverings/index.ts';
import { newLayer, type Layer, type LayerKind } from '../layers/index.ts';
import { BLANK_SHAPE, rectangleWalls, UNKNOWN_BASE, type RoomFacts } from '../room/index.ts';
import { stripContext } from './context.ts';
import { NO_STRIP_FACTS, type StripContext, type StripFacts } from './facts.ts';

/** A layer of a kind as it usually is, documented as made in 2015. */
export function layerOf(kind: LayerKind, part: Partial<Layer> = {}): Layer {
  return newLayer(`layer-${kind}`, kind, { year: 2015, yearOf: 'layer', ...part });
}

/** A room of 4 by 3 m in a country whose bans let a documented 2015 go, with laminate to come. */
export function contextOf(
  facts: Partial<StripFacts>,
  room: Partial<RoomFacts> = {},
  cardId = 'shipped-laminate',
): StripContext {
  const card = SHIPPED_CARDS.find((c) => c.id === cardId)!;
  const whole: RoomFacts = {
    id: 'room-1',
    jobId: 'job-1',
    name: 'Test',
    rank: 0,
    ...BLANK_SHAPE,
    walls: rectangleWalls(4000, 3000),
    baseKind: 'panels-on-joists',
    base: { ...UNKNOWN_BASE, heating: 'none' },
    cardId,
    units: 'metric',
    spacingMm: null,
    contactsOnly: false,
    ...room,
  };
  return stripContext(whole, card, {
    ...NO_STRIP_FACTS,
    country: { country: 'GB', asbestosFrom: null, leadFrom: null },
    ...facts,
  });
}
