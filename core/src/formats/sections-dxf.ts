import { Colors, DxfWriter, point2d, point3d, Units } from '@tarikjabiri/dxf';

/** An opening as it is drawn in section: levels of both floors along it, mm over the datum of its room. */
export interface OpeningSection {
  title: string;
  widthMm: number;
  /** The surface that stays, and the new floor, on this side. */
  here: readonly { alongMm: number; levelMm: number }[];
  buildUpMm: number;
  /** The floor beyond. */
  beyond: readonly { alongMm: number; levelMm: number }[];
  /** Underside of the closed leaf at both ends, where one hangs there and is read. */
  leaf: readonly { alongMm: number; levelMm: number }[];
  notes: readonly string[];
}

const LETTER_MM = 12;
/** Sections stand beside one another, so far apart, mm. */
const APART_MM = 400;

const round = (mm: number) => Math.round(mm * 1000) / 1000;

/**
 * Sections along the openings of a job as DXF in real millimetres, side by side: BASE, FLOOR, BEYOND, LEAF and NOTES on layers of
 * their own. Heights are true.
 */
export function sectionsDxf(sections: readonly OpeningSection[]): string {
  const dxf = new DxfWriter();
  dxf.setUnits(Units.Millimeters);
  const layers = {
    BASE: Colors.White,
    FLOOR: Colors.Green,
    BEYOND: Colors.Cyan,
    LEAF: Colors.Yellow,
    NOTES: Colors.White,
  };
  for (const [name, color] of Object.entries(layers)) dxf.addLayer(name, color, 'Continuous');
  let x = 0;
  for (const { title, widthMm, here, buildUpMm, beyond, leaf, notes } of sections) {
    const from = x;
    const line = (layer: keyof typeof layers, points: OpeningSection['here'], byMm = 0) => {
      if (points.length > 1)
        dxf.addLWPolyline(
          points.map(({ alongMm, levelMm }) => ({ point: point2d(round(from + alongMm), round(levelMm + byMm)) })),
          { layerName: layer },
        );
    };
    line('FLOOR', here);
    line('BASE', here, -buildUpMm);
    line('BEYOND', beyond);
    line('LEAF', leaf);
    [title, ...notes].forEach((words, k) =>
      dxf.addText(point3d(round(from), round(-60 - k * LETTER_MM * 1.6)), LETTER_MM, words, { layerName: 'NOTES' }),
    );
    x += widthMm + APART_MM;
  }
  return dxf.stringify();
}
