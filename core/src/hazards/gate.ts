import equal from 'fast-deep-equal';
import { say, type Said, type Sayable } from '../said/index.ts';
import { isTimber, type BaseDetails, type BaseKind, type Service, type WorkedAt } from '../room/index.ts';
import { answerTo, type Answer } from '../fields/index.ts';
import { LAYERS, type Layer, type Sample } from '../layers/index.ts';
import type { CountryFacts } from './cutoffs.ts';
import { METHODS, type Method, type MethodSpec } from './methods.ts';
import { HEATING_LOCATED, SITE, SITE_HAZARD_IDS, SITE_HAZARDS, TENSION, TRIM_YEAR } from './questions.ts';
import { servicesDecide, servicesInReach, servicesSaid, stopsOfServices } from './service-gate.ts';
import { foundInTrim, materialsOf, trimState, type Material } from './state.ts';

/** Everything hazards are judged by. */
export interface HazardFacts {
  job: CountryFacts;
  samples: readonly Sample[];
  answers: readonly Answer[];
  baseKind: BaseKind;
  base: BaseDetails;
  /** A second base of the room: what is asked of the base is asked of both. */
  second?: (BaseDetails & { kind: BaseKind }) | null;
  /** Pipes, drains, cables and tendons that are drawn. */
  services?: readonly Service[];
  /** How far work stays over a line whose depth is known, mm. */
  serviceClearMm?: number;
}

/** What a method touches: layers, the base under them, painted trim. */
interface Target {
  layers: readonly Layer[];
  base?: boolean;
  trim?: boolean;
  /** Where on the sheet, where that is one place; without it nothing can be held against what is drawn, and it is cautioned. */
  at?: WorkedAt;
  /** How deep into the base, mm; without it as deep as the method goes as a rule. */
  deepMm?: number;
}

/** Why something may not be done, and who decides. */
export interface Stop {
  hazard: string;
  words: Said;
  decides: Said;
}

/** A caution shown where the work is: it forbids nothing. */
export interface Caution {
  id: string;
  words: Said;
  decides: Sayable;
}

export interface Gate {
  allowed: boolean;
  stops: Stop[];
  cautions: Caution[];
}

/** Closed rooms may still be looked at from the door and described. */
const FROM_THE_DOOR: readonly Method[] = ['look'];

/** Layers of this much for each square metre are too heavy to take for granted. */
const HEAVY_KG_M2 = 20;

/** What a stop is called that heating in the base gives. */
export const HEATING = 'heating';

/** Who decides about a suspect material. */
export const LABORATORY = say('hazards.laboratory');

function stopsOfMaterials(method: Method, materials: readonly Material[]): Stop[] {
  const spec: MethodSpec = METHODS[method];
  return materials.flatMap((m): Stop[] => {
    if (m.state !== 'shut' && m.state !== 'positive') return [];
    if (m.hazard === 'lead') {
      // Lead is set free by power, flame and heat; levering and hand work are cautioned, not closed.
      return spec.hotOrPowered
        ? [
            {
              hazard: 'lead',
              words: say('hazards.noPowerSandingFlameOrHeat', { m: m.words }),
              decides: LABORATORY,
            },
          ]
        : [];
    }
    return spec.disturbs ? [{ hazard: m.hazard, words: m.words, decides: LABORATORY }] : [];
  });
}

const basesOf = (facts: HazardFacts) => [
  { ...facts.base, kind: facts.baseKind },
  ...(facts.second ? [facts.second] : []),
];

/** Whether a mineral base lies under what is worked on. */
const isMineral = (facts: HazardFacts): boolean => basesOf(facts).some(({ kind }) => !isTimber(kind));

function stopsOfBase(method: Method, facts: HazardFacts): Stop[] {
  const spec: MethodSpec = METHODS[method];
  const bases = basesOf(facts);
  if (spec.abrades) return bases.some(heatedAtAnyDepth) ? [heatingStop(bases.find(heatedAtAnyDepth)!)] : [];
  if (!spec.pierces && !spec.strikes) return [];
  const stops: Stop[] = [];
  const tension = answerTo(facts.answers, TENSION) ?? 'unknown';
  if (spec.pierces && bases.some((base) => base.kind === 'suspended-concrete') && tension !== 'none') {
    stops.push({
      hazard: 'tension',
      words:
        tension === 'unknown' ? say('hazards.whetherTheSlabIsPostTensioned') : say('hazards.theSlabIsPostTensioned'),
      decides: say('hazards.structuralEngineer'),
    });
  }
  const located = answerTo(facts.answers, HEATING_LOCATED) === 'yes';
  const heated = bases.find((base) => base.heating !== 'none');
  if (heated && !located) stops.push(heatingStop(heated));
  return stops;
}

/** Heating that lies in a base, or may: how deep nobody has said. */
const heatedAtAnyDepth = (base: BaseDetails): boolean => base.heating !== 'none' && base.heatingDepthMm === null;

const heatingStop = (base: BaseDetails): Stop => ({
  hazard: HEATING,
  words:
    base.heating === 'unknown' ? say('hazards.whetherTheFloorIsHeatedIs') : say('hazards.heatingPipesOrCablesAreNot'),
  decides: say('hazards.heatingOrElectricalTrade'),
});

/**
 * May this be done here? The one predicate every stage asks, for strip-out, tests, repairs, levelling and panels alike.
 * Answers with every reason against it and the cautions that go with it.
 */
export function mayDo(facts: HazardFacts, method: Method, target: Target): Gate {
  const spec: MethodSpec = METHODS[method];
  const materials = [
    ...target.layers.flatMap((layer) => materialsOf(layer, facts.samples, facts.job)),
    ...(target.trim
      ? [trimState(facts.samples, facts.job, trimYear(facts.answers)), ...foundInTrim(facts.samples)]
      : []),
  ];
  const site = SITE_HAZARD_IDS.filter(
    (id) => answerTo(facts.answers, SITE[id]) === 'seen' && !FROM_THE_DOOR.includes(method),
  ).map((id) => ({ hazard: id, ...SITE_HAZARDS[id] }));
  const broken = brokenSuspect(method, target, materials);
  const stops = [
    ...site,
    ...stopsOfMaterials(method, materials),
    ...broken,
    ...(target.base ? stopsOfBase(method, facts) : []),
    ...(target.base ? stopsOfServices(method, facts, target) : []),
  ];
  return { allowed: stops.length === 0, stops, cautions: cautionsOf(spec, method, target, { materials, facts }) };
}

/** May all of these be done here, one after another? With every reason against any of them, each told once. */
export function mayDoAll(facts: HazardFacts, methods: readonly Method[], target: Target): Gate {
  const gates = methods.map((method) => mayDo(facts, method, target));
  // Stops that say the same are one; the last of them stands where the first stood.
  const stops: Stop[] = [];
  for (const stop of gates.flatMap((gate) => gate.stops)) {
    const at = stops.findIndex(({ words }) => equal(words, stop.words));
    if (at < 0) stops.push(stop);
    else stops[at] = stop;
  }
  const cautions = new Map(gates.flatMap((gate) => gate.cautions).map((caution) => [caution.id, caution]));
  return { allowed: stops.length === 0, stops, cautions: [...cautions.values()] };
}

/** Whether working on a layer by these methods raises silica: it is mineral itself, or what is done reaches a mineral base. */
export function raisesSilica(facts: HazardFacts, methods: readonly Method[], layers: readonly Layer[]): boolean {
  return methods.some((method) => {
    const { dusty, pierces, strikes, abrades }: MethodSpec = METHODS[method];
    const mineral = layers.some((layer) => LAYERS[layer.kind].dust === 'silica');
    const reaches = layers.length === 0 || Boolean(pierces ?? strikes ?? abrades);
    return dusty === true && (mineral || (reaches && isMineral(facts)));
  });
}

/** A suspect layer in pieces is not to be walked on or covered: the room is closed. */
function brokenSuspect(method: Method, target: Target, materials: readonly Material[]): Stop[] {
  if (METHODS[method].disturbs || FROM_THE_DOOR.includes(method)) return [];
  return target.layers.flatMap((layer) => {
    const shut = materials.find(
      (m) => m.layerId === layer.id && m.hazard !== 'lead' && (m.state === 'shut' || m.state === 'positive'),
    );
    return shut && layer.condition === 'broken'
      ? [
          {
            hazard: shut.hazard,
            words: say('hazards.andItIsBrokenLeaveIt', { shut: shut.words }),
            decides: LABORATORY,
          },
        ]
      : [];
  });
}

/** Year the painted trim was made, as answered, or null. */
export function trimYear(answers: readonly Answer[]): number | null {
  return answerTo(answers, TRIM_YEAR);
}

function cautionsOf(
  spec: MethodSpec,
  method: Method,
  target: Target,
  { materials, facts }: { materials: readonly Material[]; facts: HazardFacts },
): Caution[] {
  const cautions: Caution[] = [];
  const families = target.layers.map((layer) => LAYERS[layer.kind].family);
  const near = target.base === true && !target.at ? servicesInReach(method, facts) : [];
  if (near.length > 0) cautions.push({ id: 'services', words: servicesSaid(near), decides: servicesDecide(near[0]!) });
  const ofBase = target.base === true || target.layers.length > 0;
  if (ofBase && raisesSilica(facts, [method], target.layers))
    cautions.push({
      id: 'silica',
      words: say('hazards.silicaDustShroudedToolOnA'),
      decides: say('hazards.localCode'),
    });
  if (spec.dusty && families.some((f) => f === 'wood' || f === 'panel'))
    cautions.push({
      id: 'wood-dust',
      words: say('hazards.woodDustExtractorAndMaskNo'),
      decides: say('hazards.localCode'),
    });
  if (materials.some((m) => m.hazard === 'lead' && (m.state === 'shut' || m.state === 'positive')))
    cautions.push({
      id: 'lead',
      words: say('hazards.paintMayHoldLeadHandTools'),
      decides: say('hazards.localCode'),
    });
  if (method === 'saw')
    cautions.push({
      id: 'saw',
      words: say('hazards.sawKickBothHandsDepthSet'),
      decides: say('hazards.makerOfTheTool'),
    });
  if (method === 'score')
    cautions.push({ id: 'knife', words: say('hazards.cutAwayFromTheHandLong'), decides: 'employer' });
  if (method === 'break' || method === 'chisel')
    cautions.push({
      id: 'chips',
      words: say('hazards.flyingChipsSharpEdgesNoiseGoggles'),
      decides: 'employer',
    });
  if (target.layers.some((layer) => layer.kind === 'tile-mortar-bed'))
    cautions.push({
      id: 'mesh',
      words: say('hazards.wireMeshCutsGauntletsBoltCutters'),
      decides: 'employer',
    });
  if (spec.disturbs && target.layers.some((layer) => LAYERS[layer.kind].kgM2 >= HEAVY_KG_M2))
    cautions.push({
      id: 'weight',
      words: say('hazards.weightSmallPiecesTwoHandsA'),
      decides: say('hazards.employerStructuralEngineerWhereItIs'),
    });
  if (target.layers.some((layer) => layer.kind === 'carpet'))
    cautions.push({
      id: 'gripper',
      words: say('hazards.gripperPinsKneePadsOffThe'),
      decides: 'employer',
    });
  if (materials.some((m) => m.hazard === 'coal-tar' && m.state !== 'negative'))
    cautions.push({
      id: 'coal-tar',
      words: say('hazards.blackBlockAdhesiveMayBeCoal'),
      decides: LABORATORY,
    });
  return cautions;
}

/** How a layer's gate stands, for lists and marks: its materials, and whether anything is shut or positive. */
export interface LayerGate {
  layerId: string;
  materials: Material[];
  open: boolean;
  positive: boolean;
}

export function gateOf(facts: HazardFacts, layer: Layer): LayerGate {
  const materials = materialsOf(layer, facts.samples, facts.job);
  const closing = materials.filter((m) => m.hazard !== 'lead');
  return {
    layerId: layer.id,
    materials,
    open: closing.every((m) => m.state !== 'shut' && m.state !== 'positive'),
    positive: materials.some((m) => m.state === 'positive'),
  };
}
