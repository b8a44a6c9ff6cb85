import { say, type Sayable } from '../said/index.ts';
import type { Draft, JobStage } from './draft.ts';
import { coveringProduct, glueProduct, levelProduct, membraneProduct, primerProduct } from './products.ts';
import type { RoomGround } from './room-ground.ts';
import { part, type CostPart, type StageCost } from './stage-cost.ts';

/** What every stage of a room costs: strip-out and levelling as their own pages tell, and what no page adds up. */
export function roomCosts(g: RoomGround, drafts: readonly Draft[]): StageCost[] {
  const own = drafts.filter(({ roomId }) => roomId === g.set.room.id);
  return [
    stripCost(g),
    hazardCost(g, own),
    repairCost(g, own),
    membraneCost(g),
    levelCost(g),
    layCost(g),
    barCost(g),
    ...labourBeside(g, own),
  ].flatMap((cost) => (cost && cost.parts.some(({ cost: money }) => money > 0) ? [cost] : []));
}

const labour = (what: Sayable, hours: number, rate: number): CostPart =>
  part({ kind: 'labour', what, quantity: hours, unit: 'h', cost: hours * rate });

function stripCost({ set, figure, assessment }: RoomGround): StageCost {
  const { cost, hours, debris, hire } = assessment.strip;
  return {
    roomId: set.room.id,
    stage: 'strip',
    told: cost.total,
    parts: [
      labour(say('planning.labourStrip'), hours, figure('labour-h')),
      part({
        kind: 'disposal',
        what: say('planning.disposal'),
        quantity: debris.massKg,
        unit: 'kg',
        cost: cost.disposal,
      }),
      ...hire.map(({ name, words, days, cost: money }) =>
        part({
          kind: 'hire',
          what: words,
          quantity: days,
          unit: 'days',
          cost: money,
          machine: name === 'grinder-day' ? 'grinder' : name === 'hammer-day' ? 'hammer' : null,
        }),
      ),
      part({ kind: 'material', what: say('planning.makingGood'), cost: cost.making }),
    ],
  };
}

function hazardCost({ set, figure }: RoomGround, own: readonly Draft[]): StageCost {
  const has = (what: string) => own.some(({ key }) => key.endsWith(`/hazard/${what}`));
  return {
    roomId: set.room.id,
    stage: 'hazard',
    told: null,
    parts: [
      ...(has('sample')
        ? [
            part({ kind: 'trade', what: say('planning.sampleCost'), cost: figure('sample-cost') }),
            part({ kind: 'trade', what: say('planning.labCost'), cost: figure('lab-cost') }),
          ]
        : []),
      ...(has('licensed')
        ? [part({ kind: 'trade', what: say('planning.licensed'), cost: figure('licensed-cost') })]
        : []),
    ],
  };
}

function repairCost({ set, figure }: RoomGround, own: readonly Draft[]): StageCost {
  const repairs = own.filter(({ key }) => key.includes('/sound/mark/'));
  return {
    roomId: set.room.id,
    stage: 'sound',
    told: null,
    parts: [
      part({
        kind: 'material',
        what: say('planning.repairMaterial', { count: repairs.length }),
        quantity: repairs.length,
        cost: repairs.length * figure('repair-cost'),
      }),
    ],
  };
}

function membraneCost({ set, assessment }: RoomGround): StageCost | null {
  const membrane = assessment.under?.membrane;
  if (!membrane || membrane.plan.refused?.word === 'stop') return null;
  const { card, plan } = membrane;
  return {
    roomId: set.room.id,
    stage: 'membrane',
    told: plan.cost,
    parts: [
      part({
        kind: 'material',
        what: card.name,
        product: membraneProduct(card),
        quantity: plan.kg,
        unit: 'kg',
        cost: plan.cost,
      }),
    ],
  };
}

/** Lines of the levelling as Level shows them: bags and primer are bought over the job, grinder and extractor hired. */
function levelCost({ set, level, figure }: RoomGround): StageCost | null {
  if (level === null || level === 'unread' || level === 'none') return null;
  const waste = 1 + figure('waste-pct') / 100;
  return {
    roomId: set.room.id,
    stage: 'level',
    told: level.cost,
    parts: level.costLines.map(({ words, amount, unit, cost }): CostPart => {
      if (unit === 'bags' && level.need)
        return part({
          kind: 'material',
          what: words,
          product: levelProduct(level.need.compound),
          quantity: level.need.massKg,
          net: level.need.massKg / waste,
          unit: 'kg',
          cost,
        });
      if (unit === 'l')
        return part({
          kind: 'material',
          what: words,
          product: primerProduct(figure),
          quantity: amount,
          unit,
          cost,
        });
      if (unit === 'days') return part({ kind: 'hire', what: words, quantity: amount, unit, cost, machine: 'grinder' });
      return part({ kind: 'labour', what: words, quantity: amount, unit, cost });
    }),
  };
}

/** Planks by the box and adhesive: what stands on Lay, priced by the card. */
function layCost({ set, lay, areaM2, figure }: RoomGround): StageCost | null {
  const { card, room } = set;
  if (lay?.laidFrom) return null;
  const product = coveringProduct(card, figure);
  const boxes = lay?.mixed ? lay.mixed.boxes : (lay?.boxes?.boxes ?? Math.ceil((areaM2 * USUAL_WASTE) / product.pack));
  return {
    roomId: room.id,
    stage: 'lay',
    told: null,
    parts: [
      part({
        kind: 'material',
        what: card.name,
        product,
        quantity: boxes * product.pack,
        net: areaM2,
        unit: product.unit,
        cost: boxes * (product.price ?? 0),
      }),
      ...(lay?.glue
        ? [
            part({
              kind: 'material',
              what: say('planning.adhesive'),
              product: glueProduct(figure),
              quantity: lay.glue.kg,
              unit: 'kg',
              cost: lay.glue.kg * figure('glue-cost-kg'),
            }),
          ]
        : []),
    ],
  };
}
/** Before a set-out says how many planks there are. */
const USUAL_WASTE = 1.08;

const NO_BAR: readonly string[] = ['run-through', 'make-good', 'measure', 'made-ramp'];

function barCost({ set, assessment, figure }: RoomGround): StageCost {
  const widths = new Map(set.room.openings.map(({ id, widthMm }) => [id, widthMm / 1000]));
  const openings = assessment.heights?.judged.openings ?? [];
  const metres = (kinds: (kind: string) => boolean) =>
    openings.reduce((sum, { openingId, bar }) => sum + (kinds(bar.kind) ? (widths.get(openingId) ?? 0) : 0), 0);
  const [bars, ramps] = [metres((kind) => !NO_BAR.includes(kind)), metres((kind) => kind === 'made-ramp')];
  return {
    roomId: set.room.id,
    stage: 'end',
    told: null,
    parts: [
      part({
        kind: 'material',
        what: say('planning.barMaterial'),
        quantity: bars,
        unit: 'm',
        cost: bars * figure('bar-cost-m'),
      }),
      part({
        kind: 'material',
        what: say('planning.rampMaterial'),
        quantity: ramps,
        unit: 'm',
        cost: ramps * figure('ramp-cost-m'),
      }),
    ],
  };
}

/** Hours of tasks that no stage has in its own cost, stage by stage. */
function labourBeside({ set, figure }: RoomGround, own: readonly Draft[]): StageCost[] {
  const byStage = new Map<JobStage, number>();
  for (const draft of own) {
    if (draft.kind !== 'work' || draft.isPriced || draft.trade !== null || draft.spread?.kind === 'surprise') continue;
    byStage.set(draft.stage, (byStage.get(draft.stage) ?? 0) + draft.hours);
  }
  return [...byStage].map(([stage, hours]) => ({
    roomId: set.room.id,
    stage,
    told: null,
    parts: [labour(labourWords(stage), hours, figure('labour-h'))],
  }));
}

function labourWords(stage: JobStage): Sayable {
  switch (stage) {
    case 'order':
      return say('planning.labourOrder');
    case 'strip':
      return say('planning.labourStrip');
    case 'sound':
      return say('planning.labourSound');
    case 'damp':
      return say('planning.labourDamp');
    case 'membrane':
      return say('planning.labourMembrane');
    case 'level':
      return say('planning.labourLevel');
    case 'panels':
      return say('planning.labourPanels');
    case 'change':
      return say('planning.labourChange');
    case 'heating':
    case 'lay':
    case 'hazard':
      return say('planning.labourLay');
    case 'end':
      return say('planning.labourEnd');
  }
}

/** Hours of every kind over a room, as the figures of the job price them. */
export const hoursOf = (drafts: readonly Draft[]): number =>
  drafts.reduce(
    (sum, draft) =>
      draft.kind === 'work' && draft.trade === null && draft.spread?.kind !== 'surprise' ? sum + draft.hours : sum,
    0,
  );
