import { Router } from 'express';
import * as z from 'zod';
import { Id } from '@escale/core/model';
import { erase, type Gone } from '../erase/erase';
import { removedOf } from '../erase/removed';
import type { Services } from '../services';
import { parse } from './problem';
import { whoOf } from './who';

/** What was removed, and its end for good. */
export function erasing(services: Services, note: (gone: readonly Gone[]) => void): Router {
  const routes = Router();

  routes.get('/removed', async (req, res) => {
    res.json({ removed: await removedOf(services.db, whoOf(req)) });
  });

  routes.post('/erase', async (req, res) => {
    const { thing } = parse(z.strictObject({ thing: Id }), req.body);
    await erase(services, whoOf(req), thing, note);
    res.json({});
  });

  return routes;
}
