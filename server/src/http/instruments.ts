import { Router } from 'express';
import { distanceMeter } from '../instruments/distance-meter.ts';
import { refuse } from './problem.ts';

const EVERY_MS = 500;
const MOST_WALLS = 60;

/** Simulated instruments as server-sent events: `GET /instruments/distance-meter?wall=2`. */
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
  return routes;
}
