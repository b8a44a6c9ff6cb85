import { Router } from 'express';
import { DAMP_INSTRUMENTS, dampInstrument } from '../instruments/damp-instruments.ts';
import { distanceMeter } from '../instruments/distance-meter.ts';
import { refuse } from './problem.ts';

const EVERY_MS = 500;
const MOST_WALLS = 60;

const PLACE_MM = 100_000;

/** Simulated instruments as server-sent events: `/instruments/distance-meter?wall=2`, `/instruments/probe-reader?x=900&y=600`. */
export function instrumentRoutes(now: () => string): Router {
  const routes = Router();
  routes.get('/instruments/distance-meter', (req, res) => {
    const wall = Number(req.query['wall'] ?? 0);
    if (!Number.isInteger(wall) || wall < 0 || wall >= MOST_WALLS)
      return refuse(res, [
        { field: 'wall', value: req.query['wall'] ?? null, message: `takes 0 to ${MOST_WALLS - 1}` },
      ]);
    res.setHeader('Content-Type', 'text/event-stream');
    res.flushHeaders();
    const read = distanceMeter(wall, 97 + wall);
    const send = () => res.write(`event: length\ndata: ${JSON.stringify(read(now()))}\n\n`);
    send();
    const timer = setInterval(send, EVERY_MS);
    req.on('close', () => clearInterval(timer));
  });
  for (const name of DAMP_INSTRUMENTS)
    routes.get(`/instruments/${name}`, (req, res) => {
      const [x, y] = [Number(req.query['x'] ?? 0), Number(req.query['y'] ?? 0)];
      const bad = (
        [
          ['x', x],
          ['y', y],
        ] as const
      ).find(([, v]) => !Number.isFinite(v) || Math.abs(v) > PLACE_MM);
      if (bad)
        return refuse(res, [
          { field: bad[0], value: req.query[bad[0]] ?? null, message: `takes -${PLACE_MM} to ${PLACE_MM}` },
        ]);
      res.setHeader('Content-Type', 'text/event-stream');
      res.flushHeaders();
      const read = dampInstrument(name, x, y, 311 + Math.round(Math.abs(x) + 7 * Math.abs(y)));
      const send = () => {
        const next = read(now());
        if (next.event === 'lost') return res.end();
        if (next.event === 'flat') {
          res.write('event: flat\ndata: {}\n\n');
          return res.end();
        }
        return res.write(`event: value\ndata: ${JSON.stringify(next.data)}\n\n`);
      };
      send();
      const timer = setInterval(send, EVERY_MS);
      res.on('close', () => clearInterval(timer));
    });
  return routes;
}
