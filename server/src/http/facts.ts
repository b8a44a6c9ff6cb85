import express, { Router, type Request, type Response } from 'express';
import { FACT_KINDS, isRoomKind, largestWrite, withLatest, type FactKind, type Write } from '@maquette/facts';
import { checkId, checkWrite } from '@maquette/facts/check';
import { putFact, readHistory } from '../store/facts.ts';
import type { Store } from '../store/store.ts';
import { problem, refuse } from './problem.ts';

/** `PUT` of one fact, as large as its kind may be, and its history, for every kind: `/jobs/:id`, `/rooms/:id`, `/cards/:id`, `/rooms/:room/readings/:id` ... */
export function factRoutes(store: Store, now: () => string): Router {
  const routes = Router();
  for (const kind of FACT_KINDS) {
    const path = isRoomKind(kind) ? `/rooms/:room/${kind}/:id` : `/${kind}/:id`;
    routes.put(path, express.json({ limit: largestWrite(kind) }), (req, res) => put(store, kind, req, res, now()));
    routes.get(`${path}/history`, async (req: Request, res: Response) => {
      const history = await readHistory(store.db, kind, String(req.params['id']));
      if (!history) problem(res, 404, 'No such fact');
      else res.json(history);
    });
  }
  return routes;
}

const isBody = (sent: unknown): sent is Record<string, unknown> =>
  typeof sent === 'object' && sent !== null && !Array.isArray(sent);

async function put(store: Store, kind: FactKind, req: Request, res: Response, now: string): Promise<void> {
  const id = String(req.params['id']);
  const roomId = isRoomKind(kind) ? String(req.params['room']) : null;
  const plain: unknown = req.body;
  const sent = isBody(plain) ? withLatest(kind, plain) : plain;
  const errors = [...checkId(kind, id), ...checkWrite(kind, sent)];
  if (errors.length > 0) return refuse(res, errors);
  const body = sent as Write & Record<string, unknown>;
  const result = await store.write((tx) => putFact(store, tx, kind, id, roomId, body, now));
  if (result.ok) {
    // Which write is stored, and as which version: a write sent again may find the fact gone on since.
    res.setHeader('X-Maquette-Receipt', `${body.writeId} ${body.baseVersion + 1}`);
    res.status(result.created ? 201 : 200).json(result.fact);
  } else if (result.reason === 'removed')
    problem(res, 410, `The ${result.removed.kind === 'rooms' ? 'room' : 'job'} this belongs to has been removed`, {
      removed: result.removed,
    });
  else if (result.reason === 'conflict') problem(res, 409, 'Somebody else changed this', { current: result.current });
  else problem(res, 404, `The ${result.parent} this belongs to is not here`);
}
