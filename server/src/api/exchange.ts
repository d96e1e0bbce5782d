import * as z from 'zod';
import express, { Router } from 'express';
import { checkBundle, MOST_BYTES } from '@escale/core/formats';
import { Id } from '@escale/core/model';
import { transact } from '../db/transact';
import { exportBundle, importBundle } from '../exchange/bundle';
import { previewBundle } from '../exchange/preview';
import type { Services } from '../services';
import { conditionsOf, loadShed } from '../things/shed';
import { parse, Problem } from './problem';
import { whoOf } from './who';

/** No service tells further ahead. */
const Days = z.coerce.number().int().min(1).max(16);

/** Bundles in and out, and the conditions of a trip from the outside services. */
export function exchange(services: Services): Router {
  const { db, clock } = services;
  const routes = Router();

  routes.get('/export', async (req, res) => {
    res
      .set('Content-Disposition', 'attachment; filename="escale.json"')
      .json(await exportBundle(services, whoOf(req)));
  });

  routes.post('/import/preview', express.json({ limit: MOST_BYTES }), async (req, res) => {
    const read = checkBundle(req.body);
    if (!read.ok) throw new Problem(422, 'This file can’t be taken. Nothing was changed.', read.faults);
    res.json({ changes: await previewBundle(db, whoOf(req), read.bundle) });
  });

  routes.post('/import', express.json({ limit: MOST_BYTES }), async (req, res) => {
    const read = checkBundle(req.body);
    if (!read.ok) throw new Problem(422, 'This file can’t be taken. Nothing was changed.', read.faults);
    res.json(await transact(db, (tx) => importBundle(tx, whoOf(req), read.bundle, clock.now())));
  });

  routes.get('/conditions/:trip', async (req, res) => {
    const id = parse(Id, req.params.trip);
    const { household } = whoOf(req);
    const { shed, trips } = await loadShed(db, household);
    const trip = trips.find((t) => t.id === id);
    if (!trip) throw new Problem(404, 'This trip is not on the server yet.');
    // The day may be edited before it is saved: the page asks for the day that it shows.
    const date =
      typeof req.query.date === 'string' && /^\d{4}-\d{2}-\d{2}$/.test(req.query.date)
        ? req.query.date
        : trip.leave.date;
    const days = req.query.days === undefined ? 1 : parse(Days, req.query.days);
    res.json(
      await conditionsOf({ ...trip, leave: { ...trip.leave, date } }, shed, services, household, days),
    );
  });

  return routes;
}
