import { existsSync } from 'node:fs';
import { basename, resolve } from 'node:path';
import express, { type Router } from 'express';

/**
 * What the sketch chart is drawn over, where somebody who runs this server set something: a folder of tiles elsewhere
 * (`https://…/{z}/{x}/{y}.png`), or one file of raster tiles (PMTiles) beside the memory, which needs no network.
 */
export type Backdrop = { kind: 'tiles'; url: string; origin: string } | { kind: 'pmtiles'; file: string };

/** @throws Error in words, when what was set is neither */
export function backdropFrom(set: string | undefined): Backdrop | undefined {
  if (!set) return undefined;
  if (/^https?:/.test(set)) {
    // Braces are no part of an address for the parser, and are put back by the map.
    const origin = URL.canParse(set) ? new URL(set).origin : undefined;
    if (origin === undefined || !['{z}', '{x}', '{y}'].every((part) => set.includes(part)))
      throw new Error(
        `ESCALE_BACKDROP must name {z}, {x} and {y}, such as https://tiles.example/{z}/{x}/{y}.png`,
      );
    return { kind: 'tiles', url: set, origin };
  }
  const file = resolve(set);
  if (!file.endsWith('.pmtiles') || !existsSync(file))
    throw new Error(`ESCALE_BACKDROP is no address and no .pmtiles file that is there: ${set}`);
  return { kind: 'pmtiles', file };
}

/** Where a browser may load pictures from for it, beside this server. */
export const originsOf = (backdrop: Backdrop | undefined): string[] =>
  backdrop?.kind === 'tiles' ? [backdrop.origin] : [];

/** Says what there is, and serves the file piece by piece. */
export function backdropOf(backdrop: Backdrop | undefined): Router {
  const router = express.Router();
  router.get('/backdrop', (_req, res) => {
    if (!backdrop) return void res.json({ kind: 'none' });
    res.json(
      backdrop.kind === 'tiles'
        ? { kind: 'tiles', url: backdrop.url }
        : { kind: 'pmtiles', url: '/api/backdrop/file', name: basename(backdrop.file) },
    );
  });
  router.get('/backdrop/file', (_req, res, next) => {
    if (backdrop?.kind !== 'pmtiles') return next();
    // It may lie in a folder whose name begins with a dot.
    res.sendFile(backdrop.file, { dotfiles: 'allow', cacheControl: false });
  });
  return router;
}
