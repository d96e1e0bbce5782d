import { TRIP } from './server';

export const BOAT = '/shed/boat/01890000-0000-7000-8000-000000000005';
/** A card with its drawing and all that can be changed on it. */
const CATAMARAN = '/trips/01890000-0000-7000-8000-000000000062/trouble/capsize-catamaran';
/** Every page of the application, each once. */
export const ROUTES = [
  '/trips',
  `${TRIP}/plan`,
  `${TRIP}/plan/boat`,
  `${TRIP}/plan/water`,
  `${TRIP}/plan/day`,
  `${TRIP}/pack`,
  `${TRIP}/pack/kit`,
  `${TRIP}/pack/load`,
  `${TRIP}/pack/ready`,
  `${TRIP}/pack/float-plan`,
  `${TRIP}/go`,
  `${TRIP}/go/launch`,
  `${TRIP}/go/under-way`,
  `${TRIP}/go/hold`,
  `${TRIP}/go/trouble`,
  `${TRIP}/home/close`,
  `${TRIP}/home/debrief`,
  TRIP,
  `${TRIP}/run/hand-launch`,
  `${TRIP}/brief`,
  `${TRIP}/trouble/wrong`,
  `${TRIP}/trouble/fog`,
  CATAMARAN,
  `${TRIP}/check`,
  '/shed',
  BOAT,
  '/shed/gear/new',
  '/shed/devices',
  '/shed/packs',
  '/shed/packs/us-federal',
  '/shed/round?by=2026-05-12',
  '/shed/boat/new',
  '/shed/card?boat=01890000-0000-7000-8000-000000000007',
  '/shed/handover?boat=01890000-0000-7000-8000-000000000006',
  '/shed/table',
  '/shed/locker',
  '/shed/parts?boat=01890000-0000-7000-8000-000000000007',
  '/practice',
  '/watch',
  '/begin',
  '/shed/look',
  '/shed/removed',
  `${TRIP}/week`,
  `${TRIP}/havens`,
  `${TRIP}/rig`,
  `${TRIP}/chart`,
  '/shed/chart?water=01890000-0000-7000-8000-000000000046',
  `${TRIP}/paper`,
  `${TRIP}/home`,
  '/shed/person/new',
];

/** Those that stand for the others where time is short. */
export const SAMPLE = [
  '/trips',
  TRIP,
  `${TRIP}/chart`,
  `${TRIP}/plan/boat`,
  `${TRIP}/pack/kit`,
  `${TRIP}/go/under-way`,
  CATAMARAN,
  '/shed',
  BOAT,
  '/begin',
];
/** `npm run prove` walks all of them, `npm test` the sample. */
export const WALKED = process.env.ESCALE_WHOLE === '1' ? ROUTES : SAMPLE;
