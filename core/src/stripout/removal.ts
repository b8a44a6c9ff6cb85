import { mayDo, type Gate, type Method } from '../hazards/index.ts';
import { LAYERS, type Layer } from '../layers/index.ts';
import type { StripContext } from './facts.ts';

/** How a layer comes up: what is done to it in order, with which tools. */
interface Removal {
  methods: Method[];
  /** One line for each step, verb first. */
  steps: string[];
  tools: string[];
  hire: ('extractor-day' | 'hammer-day' | 'saw-day' | 'grinder-day' | 'stripper-day')[];
}

const BOX = 'Rigid box for sharp waste';

function bondedRemoval(layer: Layer): Removal {
  return {
    methods: ['score', 'lift-bonded', 'scrape'],
    steps: ['Score into strips', 'Peel each strip, scrape what stays', 'Roll and tie'],
    tools: ['Hooked knife', 'Long scraper'],
    hire: layer.kind === 'glued-vinyl' ? ['stripper-day'] : [],
  };
}

/** The usual removal of a kind of layer. */
export function removalOf(layer: Layer): Removal {
  switch (layer.kind) {
    case 'carpet':
      return layer.fixing === 'glued'
        ? bondedRemoval(layer)
        : {
            methods: ['score', 'roll-up'],
            steps: ['Cut from the back into strips', 'Roll each strip with its pad and tie it'],
            tools: ['Hooked knife', 'String'],
            hire: [],
          };
    case 'floating-laminate':
    case 'floating-vinyl':
      return {
        methods: ['unclick'],
        steps: [
          'Start at the last row or a register',
          'Unclick row by row, keep whole planks apart',
          'Lift the underlay',
        ],
        tools: ['Pull bar', 'Flat bar'],
        hire: [],
      };
    case 'sheet-on-panel':
      return {
        methods: ['saw', 'lift-bonded', 'pull-staples'],
        steps: ['Saw through covering and panel only', 'Lever each piece at its edge', 'Look for staples left behind'],
        tools: ['Flat bars', 'Pincers'],
        hire: ['saw-day', 'extractor-day'],
      };
    case 'overlay-panel':
      return {
        methods: ['saw', 'lift-bonded', 'pull-staples'],
        steps: ['Saw to the panel’s depth', 'Lever each piece at its edge'],
        tools: ['Flat bars', 'Pincers'],
        hire: ['saw-day', 'extractor-day'],
      };
    case 'resilient-tile':
      return {
        methods: ['heat', 'lift-bonded', 'scrape'],
        steps: ['Warm a few tiles at a time', 'Lift with a wide scraper', 'Scrape the adhesive while warm'],
        tools: ['Hot-air gun', 'Wide scraper'],
        hire: [],
      };
    case 'tile-thin-bed':
      return {
        methods: ['break', 'chisel', 'grind'],
        steps: ['Start at a loose tile or an edge', 'Lift with hammer and flat chisel', 'Grind the bed down'],
        tools: ['Goggles, ear defenders', 'Buckets'],
        hire: ['hammer-day', 'grinder-day', 'extractor-day'],
      };
    case 'tile-mortar-bed':
    case 'magnesite':
      return {
        methods: ['break', 'chisel'],
        steps: ['Break along the lines drawn', 'Cut the mesh', 'Lift piece by piece, two hands'],
        tools: ['Bolt cutters', 'Gauntlets', BOX],
        hire: ['hammer-day', 'extractor-day'],
      };
    case 'glued-wood':
      return {
        methods: ['saw', 'lift-bonded', 'scrape'],
        steps: ['Saw into strips across the boards', 'Lever strip by strip', 'Scrape the adhesive'],
        tools: ['Flat bars', 'Long scraper'],
        hire: ['saw-day', 'stripper-day', 'extractor-day'],
      };
    case 'nailed-boards':
      return {
        methods: ['lift-bonded'],
        steps: ['Find services beneath first', 'Lever board by board', 'Denail from the back'],
        tools: ['Flat bars', 'Nail puller'],
        hire: [],
      };
    case 'felt-or-paper':
      return layer.fixing === 'loose'
        ? { methods: ['roll-up'], steps: ['Roll and bag'], tools: ['Bags'], hire: [] }
        : bondedRemoval(layer);
    case 'foam':
      return { methods: ['roll-up'], steps: ['Roll and bag'], tools: ['Bags'], hire: [] };
    case 'compound':
    case 'adhesive-residue':
      return {
        methods: ['scrape', 'grind'],
        steps: ['Scrape what is loose', 'Grind to the base'],
        tools: ['Long scraper'],
        hire: ['grinder-day', 'extractor-day'],
      };
    case 'fibre-cement':
      return {
        methods: ['lift-bonded'],
        steps: ['Undo the screws', 'Lift the boards whole'],
        tools: ['Driver', 'Sheeting'],
        hire: [],
      };
    case 'loose-fill':
      return { methods: ['vacuum-debris'], steps: ['Bag it damp'], tools: ['Bags'], hire: ['extractor-day'] };
    default:
      return bondedRemoval(layer);
  }
}

/** How a layer is made good so that it can be covered: what is done to it. */
export function makeGoodOf(layer: Layer): {
  methods: Method[];
  words: string;
  hours: 'skim-h-m2' | 'screw-h-m2';
  cost: 'skim-cost-m2' | 'screw-cost-m2';
  addsMm: number;
} | null {
  const { family } = LAYERS[layer.kind];
  if (layer.kind === 'nailed-boards' || layer.kind === 'overlay-panel')
    return { methods: ['screw'], words: 'Screw down', hours: 'screw-h-m2', cost: 'screw-cost-m2', addsMm: 0 };
  if (family === 'resilient' || family === 'tile' || layer.kind === 'compound' || layer.kind === 'magnesite')
    return {
      methods: ['prime'],
      words: 'Clean, prime and skim',
      hours: 'skim-h-m2',
      cost: 'skim-cost-m2',
      addsMm: 1.5,
    };
  return null;
}

/** May these methods be done to a layer? The first method against which anything stands decides. */
export function mayAll(ctx: StripContext, methods: readonly Method[], layer: Layer, base = false): Gate {
  const gates = methods.map((method) => mayDo(ctx.hazards, method, { layers: [layer], base }));
  const shut = gates.find((gate) => !gate.allowed);
  const cautions = [...new Map(gates.flatMap((gate) => gate.cautions).map((c) => [c.id, c])).values()];
  return { allowed: !shut, stops: shut?.stops ?? [], cautions };
}
