import express, { Router } from 'express';
import { upgradeJobFile } from '@maquette/facts';
import { checkJobFile, type JobFile } from '@maquette/facts/job-file';
import { newId } from '../store/new-id.ts';
import { readJobFile, writeJobFile } from '../store/job-file.ts';
import type { Store } from '../store/open.ts';
import { findPicture, keepPicture, makePicture, readPicture, type Made } from '../store/pictures.ts';
import { problem, refuse } from './problem.ts';

/** A whole job out (`GET /jobs/:id/file`) and in (`POST /job-files`, with `?copy=1` beside the one held). */
export function jobFileRoutes(store: Store, now: () => string): Router {
  const routes = Router();
  routes.get('/jobs/:id/file', async (req, res) => {
    const file = await writeJobFile(store.db, req.params.id, now());
    if (!file) return problem(res, 404, 'No such job');
    res.setHeader('Content-Disposition', `attachment; filename="job-${req.params.id}.maquette.json"`);
    res.json({ ...file, pictures: await picturesOf(store, file) });
  });
  routes.post('/job-files', express.json({ limit: '200mb' }), async (req, res) => {
    const file = upgradeJobFile(req.body);
    const errors = checkJobFile(file);
    if (errors.length > 0) return refuse(res, errors);
    // Pictures are made before anything is stored: all of the file comes in, or nothing of it.
    const made = new Map<string, Made>();
    for (const [index, { photoId, jpegBase64 }] of ((file as JobFile).pictures ?? []).entries()) {
      const picture = await makePicture(Buffer.from(jpegBase64, 'base64'));
      if ('words' in picture)
        return refuse(res, [{ field: `pictures[${index}].jpegBase64`, value: photoId, message: picture.words }]);
      made.set(photoId, picture);
    }
    const copy = req.query['copy'] === '1';
    const result = await store.write((tx) => readJobFile(tx, file as JobFile, copy ? newId : undefined));
    if (result.ok) {
      const { photoIds, ...answer } = result;
      for (const [photoId, picture] of made) await keepPicture(store, photoIds.get(photoId) ?? photoId, picture, now());
      res.status(201).json(answer);
    } else
      problem(res, 409, 'This job is here already in another state', {
        detail: `${result.clashes.length} facts differ. Bring it in as a copy to keep both.`,
      });
  });
  return routes;
}

/** Pictures of a file's photographs, removed ones too, as far as they have arrived and their files are whole. */
async function picturesOf(store: Store, file: JobFile): Promise<NonNullable<JobFile['pictures']>> {
  const pictures: NonNullable<JobFile['pictures']> = [];
  for (const { id } of file.facts.filter((fact) => fact.kind === 'photos')) {
    const picture = await findPicture(store, id);
    const content = picture && (await readPicture(store, picture));
    if (content) pictures.push({ photoId: id, jpegBase64: content.toString('base64') });
  }
  return pictures;
}
