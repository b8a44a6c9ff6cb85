import { say, type Said } from '../said/index.ts';
import { mayDo, type Gate, type Method } from '../hazards/index.ts';
import { LAYERS, type Layer } from '../layers/index.ts';
import type { StripContext } from './facts.ts';

/** How a layer comes up: what is done to it in order, with which tools. */
interface Removal {
  methods: Method[];
  /** One line for each step, verb first. */
  steps: Said[];
  tools: Said[];
  hire: ('extractor-day' | 'hammer-day' | 'saw-day' | 'grinder-day' | 'stripper-day')[];
}

const BOX = say('stripout.box');

function bondedRemoval(layer: Layer): Removal {
  return {
    methods: ['score', 'lift-bonded', 'scrape'],
    steps: [
      say('stripout.score-into-strips'),
      say('stripout.peel-each-strip-scrape-what-stays'),
      say('stripout.roll-and-tie'),
    ],
    tools: [say('stripout.hooked-knife'), say('stripout.long-scraper')],
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
            steps: [say('stripout.cut-from-the-back-into-strips'), say('stripout.roll-each-strip-with-its-pad')],
            tools: [say('stripout.hooked-knife'), say('stripout.string')],
            hire: [],
          };
    case 'floating-laminate':
    case 'floating-vinyl':
      return {
        methods: ['unclick'],
        steps: [
          say('stripout.start-at-the-last-row-or'),
          say('stripout.unclick-row-by-row-keep-whole'),
          say('stripout.lift-the-underlay'),
        ],
        tools: [say('stripout.pull-bar'), say('stripout.flat-bar')],
        hire: [],
      };
    case 'sheet-on-panel':
      return {
        methods: ['saw', 'lift-bonded', 'pull-staples'],
        steps: [
          say('stripout.saw-through-covering-and-panel-only'),
          say('stripout.lever-each-piece-at-its-edge'),
          say('stripout.look-for-staples-left-behind'),
        ],
        tools: [say('stripout.flat-bars'), say('stripout.pincers')],
        hire: ['saw-day', 'extractor-day'],
      };
    case 'overlay-panel':
      return {
        methods: ['saw', 'lift-bonded', 'pull-staples'],
        steps: [say('stripout.saw-to-the-panels-depth'), say('stripout.lever-each-piece-at-its-edge')],
        tools: [say('stripout.flat-bars'), say('stripout.pincers')],
        hire: ['saw-day', 'extractor-day'],
      };
    case 'resilient-tile':
      return {
        methods: ['heat', 'lift-bonded', 'scrape'],
        steps: [
          say('stripout.warm-a-few-tiles-at-a'),
          say('stripout.lift-with-a-wide-scraper'),
          say('stripout.scrape-the-adhesive-while-warm'),
        ],
        tools: [say('stripout.hot-air-gun'), say('stripout.wide-scraper')],
        hire: [],
      };
    case 'tile-thin-bed':
      return {
        methods: ['break', 'chisel', 'grind'],
        steps: [
          say('stripout.start-at-a-loose-tile-or'),
          say('stripout.lift-with-hammer-and-flat-chisel'),
          say('stripout.grind-the-bed-down'),
        ],
        tools: [say('stripout.goggles-ear-defenders'), say('stripout.buckets')],
        hire: ['hammer-day', 'grinder-day', 'extractor-day'],
      };
    case 'tile-mortar-bed':
    case 'magnesite':
      return {
        methods: ['break', 'chisel'],
        steps: [
          say('stripout.break-along-the-lines-drawn'),
          say('stripout.cut-the-mesh'),
          say('stripout.lift-piece-by-piece-two-hands'),
        ],
        tools: [say('stripout.bolt-cutters'), say('stripout.gauntlets'), BOX],
        hire: ['hammer-day', 'extractor-day'],
      };
    case 'glued-wood':
      return {
        methods: ['saw', 'lift-bonded', 'scrape'],
        steps: [
          say('stripout.saw-into-strips-across-the-boards'),
          say('stripout.lever-strip-by-strip'),
          say('stripout.scrape-the-adhesive'),
        ],
        tools: [say('stripout.flat-bars'), say('stripout.long-scraper')],
        hire: ['saw-day', 'stripper-day', 'extractor-day'],
      };
    case 'nailed-boards':
      return {
        methods: ['lift-bonded'],
        steps: [
          say('stripout.find-services-beneath-first'),
          say('stripout.lever-board-by-board'),
          say('stripout.denail-from-the-back'),
        ],
        tools: [say('stripout.flat-bars'), say('stripout.nail-puller')],
        hire: [],
      };
    case 'felt-or-paper':
      return layer.fixing === 'loose'
        ? { methods: ['roll-up'], steps: [say('stripout.roll-and-bag')], tools: [say('stripout.bags')], hire: [] }
        : bondedRemoval(layer);
    case 'foam':
      return { methods: ['roll-up'], steps: [say('stripout.roll-and-bag')], tools: [say('stripout.bags')], hire: [] };
    case 'compound':
    case 'adhesive-residue':
      return {
        methods: ['scrape', 'grind'],
        steps: [say('stripout.scrape-what-is-loose'), say('stripout.grind-to-the-base')],
        tools: [say('stripout.long-scraper')],
        hire: ['grinder-day', 'extractor-day'],
      };
    case 'fibre-cement':
      return {
        methods: ['lift-bonded'],
        steps: [say('stripout.undo-the-screws'), say('stripout.lift-the-boards-whole')],
        tools: [say('stripout.driver'), say('stripout.sheeting')],
        hire: [],
      };
    case 'loose-fill':
      return {
        methods: ['vacuum-debris'],
        steps: [say('stripout.bag-it-damp')],
        tools: [say('stripout.bags')],
        hire: ['extractor-day'],
      };
    default:
      return bondedRemoval(layer);
  }
}

/** How a layer is made good so that it can be covered: what is done to it. */
export function makeGoodOf(layer: Layer): {
  methods: Method[];
  words: Said;
  hours: 'skim-h-m2' | 'screw-h-m2';
  cost: 'skim-cost-m2' | 'screw-cost-m2';
  addsMm: number;
} | null {
  const { family } = LAYERS[layer.kind];
  if (layer.kind === 'nailed-boards' || layer.kind === 'overlay-panel')
    return {
      methods: ['screw'],
      words: say('stripout.screw-down'),
      hours: 'screw-h-m2',
      cost: 'screw-cost-m2',
      addsMm: 0,
    };
  if (family === 'resilient' || family === 'tile' || layer.kind === 'compound' || layer.kind === 'magnesite')
    return {
      methods: ['prime'],
      words: say('stripout.clean-prime-and-skim'),
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
