import { and, asc, count, desc, eq, isNull } from 'drizzle-orm';
import { Router } from 'express';
import * as z from 'zod';
import { Id, schemaOf } from '@escale/core/model';
import { command, erased, thing } from '../db/schema';
import { transact } from '../db/transact';
import type { Services } from '../services';
import { Command, doCommand, shown } from '../things/command';
import { mergedInto } from '../things/merged';
import { setTick, Tick, ticksOf } from '../things/tick';
import { parse } from './problem';
import { clockOf, whoOf } from './who';

/** How many of its commands a device is told of: more than can wait between two readings. */
const TOLD = 300;

export function things({ db, clock }: Services): Router {
  const routes = Router();

  // A device is told which of its latest commands are in what it reads, so that it does not do them to the answer again.
  routes.get('/things', async (req, res) => {
    const { household } = whoOf(req);
    const by = Id.safeParse(req.query.device);
    const done = by.success
      ? await db
          .select({ id: command.id })
          .from(command)
          .where(and(eq(command.household, household), eq(command.device, by.data)))
          .orderBy(desc(command.at), desc(command.id))
          .limit(TOLD)
      : [];
    const rows = await db
      .select()
      .from(thing)
      .where(and(eq(thing.household, household), isNull(thing.deletedAt)))
      .orderBy(asc(thing.createdAt), asc(thing.id));
    const [gone] = await db.select({ n: count() }).from(erased).where(eq(erased.household, household));
    // The time only where it is a simulated one: what has not changed then has not changed.
    const simulated = clock.set !== undefined;
    res.json({
      ...(simulated ? { now: clock.now() } : {}),
      simulated,
      // A device that hears of more than it knew forgets what it had kept.
      ...(gone.n > 0 ? { erased: gone.n } : {}),
      done: done.map((c) => c.id),
      things: rows.map(shown),
    });
  });

  routes.post('/commands', async (req, res) => {
    const wanted = parse(Command, req.body);
    const who = whoOf(req);
    const row = await transact(db, (tx) => doCommand(tx, who, wanted, clock.now()));
    const merged = await mergedInto(db, who, wanted);
    res.json({ ...shown(row), ...(merged ? { merged } : {}) });
  });

  routes.get('/ticks/:list', async (req, res) => {
    const list = parse(z.string().max(120), req.params.list);
    res.json({ schema: schemaOf('ticks'), list, items: await ticksOf(db, whoOf(req), list) });
  });

  routes.post('/ticks', async (req, res) => {
    const wanted = parse(Tick, req.body);
    const said = { now: clock.now(), ...clockOf(req) };
    await transact(db, (tx) => setTick(tx, whoOf(req), wanted, said));
    res.json({ list: wanted.list, item: wanted.item, on: wanted.on });
  });

  return routes;
}
