import type { Grid } from '../flat/index.ts';
import type { Coarse } from './coarse.ts';

/** How a value in each cell of the finer grid is made of the nodes of the larger one: up to four each, bilinear. */
export interface Carry {
  /** Four node numbers a cell, -1 where fewer count. Nodes are numbered over the larger grid. */
  nodes: Int32Array;
  weights: Float64Array;
}

/** Weights of the nodes about every cell inside; nodes outside are left out and the rest weigh more. */
export function carryOf({ grid, every, offset }: Coarse, fine: Grid): Carry {
  const carry: Carry = {
    nodes: new Int32Array(fine.inside.length * 4).fill(-1),
    weights: new Float64Array(fine.inside.length * 4),
  };
  for (let cell = 0; cell < fine.inside.length; cell++) {
    if (!fine.inside[cell]) continue;
    const x = Math.min(grid.nx - 1, Math.max(0, ((cell % fine.nx) - offset[0]) / every));
    const y = Math.min(grid.ny - 1, Math.max(0, (Math.floor(cell / fine.nx) - offset[1]) / every));
    const [ix, iy] = [
      Math.min(Math.floor(x), Math.max(0, grid.nx - 2)),
      Math.min(Math.floor(y), Math.max(0, grid.ny - 2)),
    ];
    let sum = 0;
    for (let corner = 0; corner < 4; corner++) {
      const [nx, ny] = [ix + (corner & 1), iy + (corner >> 1)];
      if (nx >= grid.nx || ny >= grid.ny || !grid.inside[ny * grid.nx + nx]) continue;
      // A node alone inside carries its value to all about it, however near its neighbours outside.
      const weight = Math.max(1e-9, (1 - Math.abs(x - nx)) * (1 - Math.abs(y - ny)));
      carry.nodes[cell * 4 + corner] = ny * grid.nx + nx;
      carry.weights[cell * 4 + corner] = weight;
      sum += weight;
    }
    for (let corner = 0; corner < 4; corner++) carry.weights[cell * 4 + corner]! /= sum || 1;
  }
  return carry;
}

/** Values of the nodes carried to every cell of the finer grid. */
export function carried({ nodes, weights }: Carry, values: Float64Array): Float64Array {
  const out = new Float64Array(nodes.length / 4);
  for (let at = 0; at < nodes.length; at++) {
    if (nodes[at]! >= 0) out[at >> 2] = out[at >> 2]! + weights[at]! * values[nodes[at]!]!;
  }
  return out;
}

/** For each node the sum of its weights over the finer grid: how many cells' worth of floor it stands for. */
export function cellsOf({ nodes, weights }: Carry, count: number): Float64Array {
  const out = new Float64Array(count);
  for (let at = 0; at < nodes.length; at++) if (nodes[at]! >= 0) out[nodes[at]!] = out[nodes[at]!]! + weights[at]!;
  return out;
}

/** For each node the smallest limit of the cells it bears on: what is kept at the nodes is then kept in every cell. */
export function leastOf({ nodes, weights }: Carry, limitMm: Float64Array, count: number): Float64Array {
  const out = new Float64Array(count).fill(Infinity);
  for (let at = 0; at < nodes.length; at++) {
    const node = nodes[at]!;
    if (node >= 0 && weights[at]! > 1e-6) out[node] = Math.min(out[node]!, limitMm[at >> 2]!);
  }
  return out;
}
