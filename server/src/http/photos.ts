import { createHash } from 'node:crypto';
import express, { Router } from 'express';
import { findPicture, readPicture, savePicture } from '../store/pictures.ts';
import type { Store } from '../store/store.ts';
import { problem } from './problem.ts';

/** Pictures of photographs: `PUT` and `GET /rooms/:room/photos/:id/picture`. What they are of is a fact of its own. */
export function photoRoutes(store: Store, now: () => string): Router {
  const routes = Router();
  const path = '/rooms/:room/photos/:id/picture';
  routes.put(path, express.raw({ type: () => true, limit: '20mb' }), async (req, res) => {
    const content: unknown = req.body;
    if (!Buffer.isBuffer(content) || content.length === 0) return problem(res, 400, 'A picture is needed as the body');
    const saved = await savePicture(store, String(req.params['id']), content, now(), String(req.params['room']));
    if (saved.ok) {
      res.setHeader('X-Maquette-Receipt', `${createHash('sha256').update(content).digest('hex')} ${content.length}`);
      res.status(saved.created ? 201 : 200).json(saved.picture);
    } else problem(res, saved.reason === 'no-photo' ? 404 : 415, saved.words);
  });
  routes.get(path, async (req, res) => {
    const picture = await findPicture(store, req.params.id);
    if (!picture) return problem(res, 404, 'No picture has arrived yet');
    const content = await readPicture(store, picture);
    if (!content)
      return problem(res, 410, 'The picture’s file is missing or damaged here: a phone that has it can send it again');
    res.setHeader('Content-Type', 'image/jpeg');
    // The content is named by its hash and never changes.
    res.setHeader('Cache-Control', 'private, max-age=31536000, immutable');
    res.end(content);
  });
  return routes;
}
