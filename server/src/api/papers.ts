import { Router, type Request, type Response } from 'express';
import * as z from 'zod';
import { Id } from '@escale/core/model';
import type { PlanRow } from '../db/schema';
import { driftsOf } from '../papers/drift';
import { isPaper, paperOf, type Paper } from '../papers/papers';
import { contactLink } from '../plans/contact-link';
import { recordOf } from '../plans/record';
import type { Services } from '../services';
import { parse, Problem } from './problem';
import { whoOf } from './who';

/** A file is kept by whoever asked for it, not opened where it lies. */
export const sendPaper = (res: Response, { type, name, body }: Paper) =>
  void res
    .set({ 'Content-Disposition': `attachment; filename="${name}"`, 'Cache-Control': 'no-store' })
    .type(type)
    .send(body);

/** What a plan is handed over as, its record, its links, and where they may have drifted. */
export function papers(services: Services, one: (req: Request, id: unknown) => Promise<PlanRow>): Router {
  const { db, clock } = services;
  const routes = Router();

  routes.get('/plans/:id/paper/:kind', async (req, res) => {
    const { kind } = req.params;
    if (!isPaper(kind)) throw new Problem(404, 'A plan is handed over as pdf, txt, gpx, geojson or ics.');
    sendPaper(
      res,
      await paperOf(kind, { db, row: await one(req, req.params.id), now: clock.now(), whole: true }),
    );
  });

  routes.get('/plans/:id/drift', async (req, res) => {
    res.json(await driftsOf(db, await one(req, req.params.id)));
  });

  routes.get('/plans/:id/record', async (req, res) => {
    res.json(await recordOf(db, await one(req, req.params.id)));
  });

  routes.post('/plans/:id/link', async (req, res) => {
    const { contact } = parse(z.strictObject({ contact: Id }), req.body);
    res.status(201).json(await contactLink(services, whoOf(req), parse(Id, req.params.id), contact));
  });

  return routes;
}
