import { day, figure, flag, kind, oneOf, orNull, refersTo, text, within, type FactOf } from '../fields/index.ts';
import { celsius, say } from '../said/index.ts';

/** What lies under the planks of a room, as somebody chose it. The newest counts; null: nothing of the kind. */
export const underChoices = kind(
  'room',
  'Choice under the planks',
  {
    underlayId: orNull(refersTo('underlays')),
    filmId: orNull(refersTo('films')),
    membraneId: orNull(refersTo('membranes')),
    panelId: orNull(refersTo('panels')),
    /** Underlay and film are decided, also where nothing is laid; false while panels or a membrane alone are. */
    isLayerChosen: flag(),
    note: text(500),
  },
  { newestCounts: true },
);
export type UnderChoice = FactOf<typeof underChoices>;

export const HEAT_RANGES = {
  flowC: { min: 5, max: 70 },
  surfaceC: { min: 0, max: 60 },
} as const;

/** A heated floor on one day: before laying, as its screed is heated up, or after, as the flow is raised again. */
export const heatDays = kind(
  'room',
  'Day of heating',
  {
    phase: oneOf('before', 'after'),
    day: day(),
    flowC: within(HEAT_RANGES.flowC, '°C'),
    surfaceC: orNull(within(HEAT_RANGES.surfaceC, '°C')),
    note: text(500),
  },
  {
    logged: {
      as: 'heat',
      line: ({ phase, day: at, flowC }) => ({
        at,
        what: say(phase === 'before' ? 'formats.heatBefore' : 'formats.heatAfter'),
        value: say('formats.flowC', { flowC: celsius(flowC) }),
      }),
    },
  },
);
export type HeatDay = FactOf<typeof heatDays>;

/** A heating cable tested by a licensed electrician: its own resistance and that of its insulation. */
export const cableTests = kind('room', 'Test of a heating cable', {
  phase: oneOf('before', 'after'),
  day: day(),
  ohm: figure(0.1, 5000),
  insulationMOhm: figure(0, 10_000),
  by: text(80),
  note: text(500),
});
export type CableTest = FactOf<typeof cableTests>;
