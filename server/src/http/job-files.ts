import express, { Router } from 'express';
import { checkJobFile, upgradeJobFile, type JobFile } from '@maquette/contract';
import { newId } from '../store/new-id.ts';
import { readJobFile, writeJobFile } from '../store/job-file.ts';
import type { Store } from '../store/open.ts';
import { problem, refuse } from './problem.ts';

/** A whole job out (`GET /jobs/:id/file`) and in (`POST /job-files`, with `?copy=1` beside the one held). */
export function jobFileRoutes(store: Store, now: () => string): Router {
  const routes = Router();
  routes.get('/jobs/:id/file', async (req, res) => {
    const file = await writeJobFile(store.db, req.params.id, now());
    if (!file) return problem(res, 404, 'No such job');
    res.setHeader('Content-Disposition', `attachment; filename="job-${req.params.id}.maquette.json"`);
    res.json(file);
  });
  routes.post('/job-files', express.json({ limit: '20mb' }), async (req, res) => {
    const file = upgradeJobFile(req.body);
    const errors = checkJobFile(file);
    if (errors.length > 0) return refuse(res, errors);
    const copy = req.query['copy'] === '1';
    const result = await store.write((tx) => readJobFile(tx, file as JobFile, copy ? newId : undefined));
    if (result.ok) res.status(201).json(result);
    else
      problem(res, 409, 'This job is here already in another state', {
        detail: `${result.clashes.length} facts differ. Bring it in as a copy to keep both.`,
      });
  });
  return routes;
}
