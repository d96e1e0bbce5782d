import type { Logger } from 'pino';
import type { Assessment } from '@escale/core/model';
import type { AssessInput } from '@escale/core/trip';
import type { Clock } from './clock';
import type { Db } from './db/open';
import type { Channel } from './channels/channel';
import type { WeatherService } from './standins/weather';

/** What routes and the watcher are given; nothing is reached for. */
export interface Services {
  db: Db;
  clock: Clock;
  /** Outside services. Absent: there is none, and pages say so. */
  weather?: WeatherService;
  /** How messages leave this machine, the first that takes one first. */
  channels: readonly Channel[];
  /** Assesses a trip, off the thread that answers requests, and gives up on one that takes too long. */
  reckon: (input: AssessInput) => Promise<Assessment>;
  log: Logger;
  /** Where this server is reached, for the links in messages. */
  base: string;
}
