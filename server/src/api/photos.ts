import { Router } from 'express';
import { Photo, PhotoHash } from '@escale/core/model';
import type { Services } from '../services';
import { transact } from '../db/transact';
import { keepPhoto, photoOf } from '../things/photo';
import { parse, Problem } from './problem';
import { whoOf } from './who';

/** A hash never stands for another picture. */
const FOR_EVER = 'private, max-age=31536000, immutable';
const ABSENT = 404;

/** Photos by their hash: kept once, read by whoever is let in. */
export function photos({ db, clock }: Services): Router {
  const routes = Router();
  routes.post('/photos', async (req, res) => {
    const wanted = parse(Photo, req.body);
    await transact(db, (tx) => keepPhoto(tx, whoOf(req), wanted, clock.now()));
    res.json({ hash: wanted.hash });
  });
  routes.get('/photos/:hash', async (req, res) => {
    const found = await photoOf(db, whoOf(req), parse(PhotoHash, req.params.hash));
    if (!found) throw new Problem(ABSENT, 'This photo is not here.');
    res.set('Cache-Control', FOR_EVER).json(found);
  });
  return routes;
}
