import { asc, eq } from 'drizzle-orm';
import { Router } from 'express';
import { v7 as uuidv7 } from 'uuid';
import * as z from 'zod';
import { household } from '../db/schema';
import type { Door } from '../door/door';
import type { Services } from '../services';
import { parse, Problem } from './problem';
import { isKeeper, whoOf } from './who';

const Named = z.strictObject({ name: z.string().trim().min(1).max(80) });

/** A household owns its data; a server may hold many. Only who holds the key makes one, or hears which there are. */
export function households({ db, clock, base }: Services, door: Door): Router {
  const routes = Router();

  routes.get('/household', async (req, res) => {
    const [row] = await db
      .select({ id: household.id, name: household.name })
      .from(household)
      .where(eq(household.id, whoOf(req).household));
    if (!row) throw new Problem(404, 'This household is not here.');
    res.json(row);
  });

  routes.post('/household', async (req, res) => {
    const { name } = parse(Named, req.body);
    await db
      .update(household)
      .set({ name })
      .where(eq(household.id, whoOf(req).household));
    res.json({ name });
  });

  routes.get('/households', async (req, res) => {
    if (!isKeeper(req)) throw new Problem(403, 'Only who runs the server may.');
    const rows = await db
      .select({ id: household.id, name: household.name })
      .from(household)
      .orderBy(asc(household.createdAt));
    res.json({ households: rows });
  });

  routes.post('/households', async (req, res) => {
    if (!isKeeper(req)) throw new Problem(403, 'Only who runs the server may.');
    const { name } = parse(Named, req.body);
    const id = uuidv7();
    await db.insert(household).values({ id, name, createdAt: new Date(clock.now()) });
    res.status(201).json({ id, name, address: `${base}/enter/${await door.code(id)}` });
  });

  return routes;
}
