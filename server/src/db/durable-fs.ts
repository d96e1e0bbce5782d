import { fsyncSync } from 'node:fs';
import { PGlite } from '@electric-sql/pglite';
import { NodeFS } from '@electric-sql/pglite/nodefs';

type Module = { NODEFS?: { stream_ops: { fsync?: (stream: { nfd: number }) => number } } };

let syncs = 0;
/** How often a commit was forced to disk since start; a test counts with it. */
export const syncCount = () => syncs;

/** The engine starts with fsync off (`-F`); this takes that away and names a method the file layer has. */
export const DURABLE_PARAMS = [
  ...PGlite.defaultStartParams.filter((p) => p !== '-F'),
  '-c',
  'wal_sync_method=fsync',
];

/**
 * PGlite's file layer has no fsync, so a power cut could lose acknowledged rows. This gives it one.
 * It reaches into an internal: `open.test.ts` counts the calls, so that an upgrade that hides it is noticed.
 */
export class DurableFS extends NodeFS {
  override async init(...args: Parameters<NodeFS['init']>): ReturnType<NodeFS['init']> {
    const { emscriptenOpts } = await super.init(...args);
    const withSync = (module: unknown) => {
      const layer = (module as Module).NODEFS;
      if (!layer) throw new Error('This PGlite hides its file layer: commits could not be made durable.');
      layer.stream_ops.fsync = (stream) => {
        syncs += 1;
        fsyncSync(stream.nfd);
        return 0;
      };
    };
    return {
      emscriptenOpts: {
        ...emscriptenOpts,
        preRun: [...((emscriptenOpts.preRun as []) ?? []), withSync] as typeof emscriptenOpts.preRun,
      },
    };
  }
}
