import { Router, type Request, type Response } from 'express';
import { checkWrite, FACT_KINDS, type FactKind, type RoomWrite, type WriteOf } from '@maquette/contract';
import { shapeProblem, type RoomFacts } from '@maquette/core/room';
import { isShipped } from '@maquette/core/coverings';
import { isRoomKind, putFact, readHistory } from '../store/facts.ts';
import type { Store } from '../store/open.ts';
import { problem, refuse } from './problem.ts';

const ID = /^[a-z0-9][a-z0-9-]{2,63}$/;

/** `PUT` of one fact and its history, for every kind: `/jobs/:id`, `/rooms/:id`, `/cards/:id`, `/rooms/:room/readings/:id` ... */
export function factRoutes(store: Store, now: () => string): Router {
  const routes = Router();
  for (const kind of FACT_KINDS) {
    const path = isRoomKind(kind) ? `/rooms/:room/${kind}/:id` : `/${kind}/:id`;
    routes.put(path, (req, res) => put(store, kind, req, res, now()));
    routes.get(`${path}/history`, async (req: Request, res: Response) => {
      const history = await readHistory(store.db, kind, String(req.params['id']));
      if (!history) problem(res, 404, 'No such fact');
      else res.json(history);
    });
  }
  return routes;
}

async function put(store: Store, kind: FactKind, req: Request, res: Response, now: string): Promise<void> {
  const id = String(req.params['id']);
  const roomId = isRoomKind(kind) ? String(req.params['room']) : null;
  if (!ID.test(id))
    return refuse(res, [
      { field: 'id', value: id, message: 'takes an id of 3 to 64 small letters, digits and hyphens' },
    ]);
  if (kind === 'cards' && isShipped(id))
    return refuse(res, [{ field: 'id', value: id, message: 'is a shipped card: copy it and edit the copy' }]);
  const errors = checkWrite(kind, req.body);
  if (errors.length > 0) return refuse(res, errors);
  if (kind === 'rooms') {
    const room = req.body as RoomWrite;
    const wrong = shapeProblem(room as unknown as RoomFacts);
    if (wrong)
      return refuse(res, [
        {
          field: wrong.field,
          value: `${room[wrong.field].length} ${wrong.field}`,
          message: wrong.message,
        },
      ]);
  }
  const result = await store.write((tx) => putFact(store, tx, kind, id, roomId, req.body as WriteOf<FactKind>, now));
  if (result.ok) res.status(result.created ? 201 : 200).json(result.fact);
  else if (result.reason === 'conflict') problem(res, 409, 'Somebody else changed this', { current: result.current });
  else problem(res, 404, `The ${result.parent} this belongs to is not here`);
}
