import { gap, listed, midSentence, reach, say, type Said } from '../said/index.ts';
import {
  SERVICE_WORDS,
  serviceSideMm,
  sideDistanceMm,
  type Service,
  type ServiceKind,
  type WorkedAt,
} from '../room/index.ts';
import { METHODS, type Method, type MethodSpec } from './methods.ts';

/** How deep a method goes into the base as a rule, mm. */
const DEEP_MM: Partial<Record<Method, number>> = {
  grind: 3,
  break: 20,
  chisel: 20,
  screw: 50,
  staple: 25,
  chase: 40,
  drill: 80,
  'probe-hole': 60,
  'carbide-sample': 40,
  'grind-for-dish': 1,
};

/** Work stays this far over a line whose depth is known, where the job says nothing else, mm. */
const CLEAR_MM = 30;

const DECIDES: Record<ServiceKind, Said> = {
  drain: say('hazards.plumber'),
  water: say('hazards.plumber'),
  gas: say('hazards.gasTrade'),
  cable: say('hazards.electrician'),
  heating: say('hazards.heatingOrElectricalTrade'),
  tendon: say('hazards.structuralEngineer'),
  other: say('hazards.whoeverLaidIt'),
};

interface ServiceFacts {
  services?: readonly Service[];
  serviceClearMm?: number;
}

/** Why a method may not be used over or beside what is drawn in the base; nothing where it goes no deeper than what is known to be clear. */
export function stopsOfServices(
  method: Method,
  { services = [], serviceClearMm = CLEAR_MM }: ServiceFacts,
  { at, deepMm }: { at?: WorkedAt; deepMm?: number },
) {
  const deep = deepMm ?? DEEP_MM[method];
  if (!at || deep === undefined) return [];
  return services.flatMap((service) => {
    const sideMm = serviceSideMm(service);
    const apart = sideDistanceMm(service, at);
    if (apart > sideMm || reachesUnder(service, deep, serviceClearMm)) return [];
    const what = midSentence(SERVICE_WORDS[service.kind]);
    const where =
      apart === 0 ? say('hazards.rightUnderIt') : say('hazards.besideIt', { apart: reach(Math.round(apart)) });
    const words =
      service.found === 'supposed'
        ? say('hazards.serviceSupposed', { what, where })
        : service.depthMm === null
          ? say('hazards.serviceAtNoDepth', { what, where })
          : say('hazards.serviceTooNear', { what, where, depth: gap(service.depthMm), clear: gap(serviceClearMm) });
    return [{ hazard: `service/${service.id}`, words, decides: DECIDES[service.kind] }];
  });
}

/** Whether a line is known to lie deeper than work goes, with room to spare. Tendons are never gone near, whatever their depth. */
const reachesUnder = ({ kind, found, depthMm }: Service, deepMm: number, clearMm: number): boolean =>
  found !== 'supposed' && depthMm !== null && depthMm >= deepMm + clearMm && (kind !== 'tendon' || deepMm <= SKIN_MM);

/** What only skims the surface goes over a tendon whose depth is known, mm. */
const SKIN_MM = 5;

/** Lines that a method could meet, wherever it is used. */
export const servicesInReach = (
  method: Method,
  { services = [], serviceClearMm = CLEAR_MM }: ServiceFacts,
): Service[] => {
  const deep = DEEP_MM[method];
  const spec: MethodSpec = METHODS[method];
  if (deep === undefined || !(spec.pierces ?? spec.strikes ?? spec.abrades)) return [];
  return services.filter((service) => !reachesUnder(service, deep, serviceClearMm));
};

/** The caution where work is not one place: what to keep clear of. */
export function servicesSaid(services: readonly Service[]): Said {
  const kinds = [...new Set(services.map(({ kind }) => kind))];
  return say('hazards.keepClearOf', {
    what: listed(
      kinds.map((kind) => midSentence(SERVICE_WORDS[kind])),
      ', ',
    ),
    side: reach(Math.max(...services.map(serviceSideMm))),
  });
}

export const servicesDecide = ({ kind }: Service): Said => DECIDES[kind];
