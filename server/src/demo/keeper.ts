import { ensureHousehold } from '../db/household';
import { openInMemory } from '../db/open';
import type { Services } from '../services';
import { simulatedTelephone } from '../standins/telephone';
import { simulatedWeather } from '../standins/weather';
import { watch, type Watch } from '../watch/watcher';
import { seedDemo } from './seed';

/** The demo beside a household: a memory of its own that lies nowhere but in this process. */
export interface Demo {
  services: Services;
  watch: Watch;
  close: () => Promise<void>;
}

/** Opens the demo when it is first asked for and throws it away when it is ended, or with the process. */
export interface DemoKeeper {
  open(): Promise<Demo>;
  /** The demo as it stands, or undefined while nobody has asked for it. */
  here(): Promise<Demo | undefined>;
  end(): Promise<void>;
}

/** Links of the demo's messages lead below this path. */
export const DEMO_PATH = '/demo';

export function demoKeeper(household: Services, seed: number): DemoKeeper {
  let demo: Promise<Demo> | undefined;
  const make = async (): Promise<Demo> => {
    const { db, close } = await openInMemory();
    const services: Services = {
      ...household,
      db,
      base: `${household.base}${DEMO_PATH}`,
      weather: simulatedWeather(seed),
      channels: [simulatedTelephone(db)],
    };
    await ensureHousehold(db, household.clock.now());
    await seedDemo(services);
    const watcher = watch(services);
    return {
      services,
      watch: watcher,
      close: async () => {
        await watcher.stop();
        await close();
      },
    };
  };
  return {
    open: () => {
      demo ??= make().catch((error: unknown) => {
        // The next who asks tries again.
        demo = undefined;
        throw error;
      });
      return demo;
    },
    here: async () => demo,
    end: async () => {
      const was = demo;
      demo = undefined;
      await (await was)?.close();
    },
  };
}
