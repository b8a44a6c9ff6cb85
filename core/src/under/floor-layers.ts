import type { VapourLayer } from './vapour-layers.ts';
import { sdOf } from './vapour-layers.ts';

/** A floor as vapour passes it: what it stands on, and what is laid on it from below. */
export interface FloorMakeUp {
  base: 'timber' | 'mineral' | 'other';
  /** Of a slab or screed; null where nobody has said. */
  slabMm: number | null;
  panel: { thicknessMm: number; rM2KW: number } | null;
  film: { sdM: number; rM2KW: number } | null;
  underlay: { sdM: number | null; rM2KW: number | null; filmSdM: number } | null;
  covering: { sdM: number | null; rM2KW: number | null };
}

/** Boards or panels on joists as they usually are: m²K/W, and m of still air. */
const BOARDS = { rM2KW: 0.16, sdM: 1.4 };
/** Concrete passes a hundredth of the vapour that air does, and conducts so much, W/mK. */
const CONCRETE = { mu: 93, lambda: 1.9 };
const USUAL_SLAB_MM = 150;
/** Overlay panels of wood, over still air. */
const PANEL_MU = 200;
/** Where a sheet says nothing of them: a covering that is rather tight, a soft layer that is rather open. */
const USUAL = { coveringSdM: 8, coveringR: 0.05, underlaySdM: 0.1, underlayR: 0.05 };

/** Layers from below as the year is reckoned over them. What a sheet does not state is taken as usual, and told as assumed. */
export function floorLayers(of: FloorMakeUp): { layers: VapourLayer[]; isAssumed: boolean } {
  const layers: VapourLayer[] = [];
  if (of.base === 'timber') layers.push({ id: 'base', ...BOARDS, isWood: true });
  else {
    const mm = of.slabMm ?? USUAL_SLAB_MM;
    layers.push({ id: 'base', rM2KW: mm / 1000 / CONCRETE.lambda, sdM: sdOf(CONCRETE.mu, mm), isWood: false });
  }
  if (of.panel)
    layers.push({
      id: 'panel',
      rM2KW: of.panel.rM2KW,
      sdM: sdOf(PANEL_MU, of.panel.thicknessMm),
      isWood: of.base === 'timber',
    });
  if (of.film) layers.push({ id: 'film', rM2KW: of.film.rM2KW, sdM: of.film.sdM, isWood: false });
  if (of.underlay)
    layers.push({
      id: 'underlay',
      rM2KW: of.underlay.rM2KW ?? USUAL.underlayR,
      sdM: Math.max(of.underlay.sdM ?? USUAL.underlaySdM, of.underlay.filmSdM),
      isWood: false,
    });
  layers.push({
    id: 'covering',
    rM2KW: of.covering.rM2KW ?? USUAL.coveringR,
    sdM: of.covering.sdM ?? USUAL.coveringSdM,
    isWood: false,
  });
  const isAssumed =
    of.covering.sdM === null || of.covering.rM2KW === null || (of.base !== 'timber' && of.slabMm === null);
  return { layers, isAssumed };
}
