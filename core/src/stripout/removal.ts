import { say, type Said } from '../said/index.ts';
import { mayDoAll, type Gate, type Method } from '../hazards/index.ts';
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
    steps: [say('stripout.scoreIntoStrips'), say('stripout.peelEachStripScrapeWhatStays'), say('stripout.rollAndTie')],
    tools: [say('stripout.hookedKnife'), say('stripout.longScraper')],
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
            steps: [say('stripout.cutFromTheBackIntoStrips'), say('stripout.rollEachStripWithItsPad')],
            tools: [say('stripout.hookedKnife'), say('stripout.string')],
            hire: [],
          };
    case 'floating-laminate':
    case 'floating-vinyl':
      return {
        methods: ['unclick'],
        steps: [
          say('stripout.startAtTheLastRowOr'),
          say('stripout.unclickRowByRowKeepWhole'),
          say('stripout.liftTheUnderlay'),
        ],
        tools: [say('stripout.pullBar'), say('stripout.flatBar')],
        hire: [],
      };
    case 'sheet-on-panel':
      return {
        methods: ['saw', 'lift-bonded', 'pull-staples'],
        steps: [
          say('stripout.sawThroughCoveringAndPanelOnly'),
          say('stripout.leverEachPieceAtItsEdge'),
          say('stripout.lookForStaplesLeftBehind'),
        ],
        tools: [say('stripout.flatBars'), say('stripout.pincers')],
        hire: ['saw-day', 'extractor-day'],
      };
    case 'overlay-panel':
      return {
        methods: ['saw', 'lift-bonded', 'pull-staples'],
        steps: [say('stripout.sawToThePanelsDepth'), say('stripout.leverEachPieceAtItsEdge')],
        tools: [say('stripout.flatBars'), say('stripout.pincers')],
        hire: ['saw-day', 'extractor-day'],
      };
    case 'resilient-tile':
      return {
        methods: ['heat', 'lift-bonded', 'scrape'],
        steps: [
          say('stripout.warmAFewTilesAtA'),
          say('stripout.liftWithAWideScraper'),
          say('stripout.scrapeTheAdhesiveWhileWarm'),
        ],
        tools: [say('stripout.hotAirGun'), say('stripout.wideScraper')],
        hire: [],
      };
    case 'tile-thin-bed':
      return {
        methods: ['break', 'chisel', 'grind'],
        steps: [
          say('stripout.startAtALooseTileOr'),
          say('stripout.liftWithHammerAndFlatChisel'),
          say('stripout.grindTheBedDown'),
        ],
        tools: [say('stripout.gogglesEarDefenders'), say('stripout.buckets')],
        hire: ['hammer-day', 'grinder-day', 'extractor-day'],
      };
    case 'tile-mortar-bed':
    case 'magnesite':
      return {
        methods: ['break', 'chisel'],
        steps: [
          say('stripout.breakAlongTheLinesDrawn'),
          say('stripout.cutTheMesh'),
          say('stripout.liftPieceByPieceTwoHands'),
        ],
        tools: [say('stripout.boltCutters'), say('stripout.gauntlets'), BOX],
        hire: ['hammer-day', 'extractor-day'],
      };
    case 'glued-wood':
      return {
        methods: ['saw', 'lift-bonded', 'scrape'],
        steps: [
          say('stripout.sawIntoStripsAcrossTheBoards'),
          say('stripout.leverStripByStrip'),
          say('stripout.scrapeTheAdhesive'),
        ],
        tools: [say('stripout.flatBars'), say('stripout.longScraper')],
        hire: ['saw-day', 'stripper-day', 'extractor-day'],
      };
    case 'nailed-boards':
      return {
        methods: ['lift-bonded'],
        steps: [
          say('stripout.findServicesBeneathFirst'),
          say('stripout.leverBoardByBoard'),
          say('stripout.denailFromTheBack'),
        ],
        tools: [say('stripout.flatBars'), say('stripout.nailPuller')],
        hire: [],
      };
    case 'felt-or-paper':
      return layer.fixing === 'loose'
        ? { methods: ['roll-up'], steps: [say('stripout.rollAndBag')], tools: [say('stripout.bags')], hire: [] }
        : bondedRemoval(layer);
    case 'foam':
      return { methods: ['roll-up'], steps: [say('stripout.rollAndBag')], tools: [say('stripout.bags')], hire: [] };
    case 'compound':
    case 'adhesive-residue':
      return {
        methods: ['scrape', 'grind'],
        steps: [say('stripout.scrapeWhatIsLoose'), say('stripout.grindToTheBase')],
        tools: [say('stripout.longScraper')],
        hire: ['grinder-day', 'extractor-day'],
      };
    case 'fibre-cement':
      return {
        methods: ['lift-bonded'],
        steps: [say('stripout.undoTheScrews'), say('stripout.liftTheBoardsWhole')],
        tools: [say('stripout.driver'), say('stripout.sheeting')],
        hire: [],
      };
    case 'loose-fill':
      return {
        methods: ['vacuum-debris'],
        steps: [say('stripout.bagItDamp')],
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
      words: say('stripout.screwDown'),
      hours: 'screw-h-m2',
      cost: 'screw-cost-m2',
      addsMm: 0,
    };
  if (family === 'resilient' || family === 'tile' || layer.kind === 'compound' || layer.kind === 'magnesite')
    return {
      methods: ['prime'],
      words: say('stripout.cleanPrimeAndSkim'),
      hours: 'skim-h-m2',
      cost: 'skim-cost-m2',
      addsMm: 1.5,
    };
  return null;
}

/** May these methods be done to a layer, and to the base as far as they reach into it? */
export function mayAll(ctx: StripContext, methods: readonly Method[], layer: Layer): Gate {
  return mayDoAll(ctx.hazards, methods, { layers: [layer], base: true });
}
