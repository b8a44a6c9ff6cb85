import { Router } from 'express';
import { readBook, readRemoved, readRoomFacts } from '../store/facts.ts';
import type { Store } from '../store/store.ts';
import { problem } from './problem.ts';

/** Reads: the site book, what was removed from it, and all facts of a room. */
export function bookRoutes(store: Store): Router {
  const routes = Router();
  routes.get('/book', async (_req, res) => {
    res.json(await readBook(store.db));
  });
  routes.get('/removed', async (_req, res) => {
    res.json(await readRemoved(store.db));
  });
  routes.get('/rooms/:room/facts', async (req, res) => {
    const facts = await readRoomFacts(store.db, req.params.room);
    if (facts) res.json(facts);
    else problem(res, 404, 'No such room');
  });
  return routes;
}
