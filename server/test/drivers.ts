import { afterAll, beforeAll, beforeEach, describe } from '@jest/globals';
import { HAS_POSTGRES, startPostgres, type Postgres } from './postgres';
import { makeWorld, type World } from './world';

/** The same on both drivers; where PostgreSQL is not installed, on PGlite alone. Each test begins with the demo put back. */
export function onBothDrivers(tests: (world: () => World) => void): void {
  let postgres: Postgres | undefined;
  beforeAll(async () => {
    postgres = HAS_POSTGRES ? await startPostgres() : undefined;
  }, 60_000);
  afterAll(() => postgres?.end());
  describe.each(HAS_POSTGRES ? ['PGlite', 'PostgreSQL'] : ['PGlite'])('%s', (driver) => {
    let world: World;
    beforeAll(async () => {
      world = await makeWorld(driver === 'PostgreSQL' ? { url: postgres!.fresh() } : {});
    });
    beforeEach(() => world.reset());
    afterAll(() => world.close());
    tests(() => world);
  });
}
