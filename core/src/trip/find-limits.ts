import type { Finding, LimitName, Phrase, Schedule } from '../model';
import { phrase } from '../say';
import { asPrinted, MS } from '../units';
import { farOff, reachesOf, type FarOff } from '../passage';
import { goTo, leanOnPace } from '../verdict';
import { heightsAt, leansOnForecast, type Worst } from '../water';
import type { Context } from './context';
import { TRIP } from './limits';
import { goesBeyond, LIMIT_NAMES, usualForAnybody, usualOf, type Usual } from './own-limits';

/** How far off and how long, held against limits; and all that goes beyond what is usual for those who said no limit of their own. */
export function limitFinder(
  context: Context,
  far: ReturnType<typeof farOff>,
): (schedule: Schedule, worst: Worst | undefined) => Finding[] {
  const usual = LIMIT_NAMES.flatMap((name) => {
    const found = usualOf(name, context.trip, context.crewed);
    return found ? [{ name, usual: found }] : [];
  });
  return (schedule, worst) => {
    const off = far(schedule);
    return [
      ...offFindings(context, off),
      ...hoursFindings(context, schedule),
      ...usualFindings(context, usual, actualsOf(context, schedule, worst, off)),
    ];
  };
}

/** How far the way leads from a landing; what was asked last is known still. */
export function farOffOn({ launch, back, halts, shed, water, tide }: Context): ReturnType<typeof farOff> {
  const whole = halts.filter((halt) => halt !== undefined);
  const known = launch && back && whole.length > 0 && whole.length === halts.length;
  const far = farOff(known ? reachesOf([launch, ...whole, back]) : [], shed.places, water, heightsAt(tide));
  let last: { schedule: Schedule; found: ReturnType<typeof far> } | undefined;
  return (schedule) => {
    if (last?.schedule !== schedule) last = { schedule, found: far(schedule) };
    return last.found;
  };
}

function offFindings(context: Context, off: FarOff | 'unknown' | undefined): Finding[] {
  const { trip } = context;
  const limit = trip.limits.off;
  if (limit === undefined || off === undefined) return [];
  const mend = { label: phrase('limit.off.mend'), ...goTo.section('plan/water') };
  if (off === 'unknown')
    return [
      TRIP.finding('trip/off', 'unknown', trip.id, {
        title: phrase('limit.off.unknown.title'),
        because: [phrase('limit.off.unknown', { limit })],
        mend,
      }),
    ];
  const over = asPrinted(off.metres, 'distance') > asPrinted(limit, 'distance');
  const because = [phrase(over ? 'limit.off.over' : 'limit.off.within', { ...offValues(off), limit })];
  const found = TRIP.finding('trip/off', over ? (off.sure ? 'over' : 'maybe') : 'within', trip.id, {
    title: phrase(over ? 'limit.off.over.title' : 'limit.off.within.title'),
    because,
    ...(over ? { mend } : {}),
  });
  // Which landing is dry when, hangs on the hours.
  return [over ? found : leanOnPace(context, found)];
}

const offValues = ({ reach, landing, metres, at }: FarOff) => ({
  from: reach.from.name,
  to: reach.to.name,
  landing: landing.name,
  metres,
  at,
});

export function hoursFindings(context: Context, { leave, home }: Schedule): Finding[] {
  const { trip } = context;
  const limit = trip.limits.hours;
  if (limit === undefined || home === undefined) return [];
  const out = (home - leave) / MS.second;
  const over = asPrinted(out, 'minutes') > asPrinted(limit, 'minutes');
  const found = TRIP.finding('trip/hours', over ? 'over' : 'within', trip.id, {
    title: phrase(over ? 'limit.hours.over.title' : 'limit.hours.within.title'),
    because: [phrase('limit.hours', { out, limit })],
    ...(over ? { mend: { label: phrase('limit.hours.mend'), ...goTo.trip(trip.id, '/halts') } } : {}),
  });
  if (!over) return [leanOnPace(context, found)];
  return [
    context.speed?.guessed ? { ...found, level: TRIP.level('trip/hours', 'guess'), open: true } : found,
  ];
}

/** A quantity as it will be, and the sentence that says so of somebody's usual limit. */
interface Actual {
  value: number;
  say: (usual: Usual) => Phrase;
}

function actualsOf(
  { forecast }: Context,
  { leave, home }: Schedule,
  worst: Worst | undefined,
  off: FarOff | 'unknown' | undefined,
): Partial<Record<LimitName, Actual>> {
  const told = (
    value: number | undefined,
    name: 'wind' | 'gust' | 'waves' | 'waterTemperature',
    at = leave,
  ) =>
    value === undefined
      ? {}
      : {
          [name]: {
            value,
            say: ({ limit }: Usual) =>
              leansOnForecast(forecast, phrase(`usual.${name}`, { value, at, limit })),
          },
        };
  const out = home === undefined ? undefined : (home - leave) / MS.second;
  return {
    ...told(worst?.wind.wind, 'wind', worst?.wind.ms),
    ...told(worst?.gust.gust, 'gust', worst?.gust.ms),
    ...told(worst?.highest?.waves, 'waves', worst?.highest?.ms),
    ...told(worst?.coldest?.water, 'waterTemperature', worst?.coldest?.ms),
    ...(off === undefined || off === 'unknown'
      ? {}
      : {
          off: {
            value: off.metres,
            say: ({ limit }: Usual) => phrase('usual.off', { ...offValues(off), limit }),
          },
        }),
    ...(out === undefined
      ? {}
      : { hours: { value: out, say: ({ limit }: Usual) => phrase('usual.hours', { out, limit }) } }),
  };
}

/** What goes beyond the usual of somebody who said no limit of their own; where the trip has one, somebody went beyond it knowingly. */
function usualFindings(
  { trip, ownLimits }: Context,
  all: { name: LimitName; usual: Usual }[],
  actuals: Partial<Record<LimitName, Actual>>,
): Finding[] {
  const beyond = all.flatMap(({ name, usual }) => {
    const actual = actuals[name];
    if (!actual) return [];
    if (!goesBeyond(name, actual.value, usual.limit)) return [];
    const most = usualForAnybody(name, usual.boat);
    const anybody = most !== undefined && goesBeyond(name, actual.value, most) ? { most } : {};
    return [{ name, usual, said: actual.say(usual), ...anybody }];
  });
  const [first] = beyond;
  if (!first) return [];
  const unset = beyond.find(({ name }) => ownLimits[name] === undefined);
  const anybody = beyond.find(({ name, most }) => most !== undefined && ownLimits[name] === undefined);
  const { person } = (anybody ?? unset ?? first).usual;
  return [
    TRIP.finding('trip/usual', anybody ? 'anybody' : unset ? 'beyond' : 'knowingly', trip.id, {
      title: phrase(anybody ? 'usual.anybody.title' : 'usual.title'),
      because: [
        ...beyond.map(({ usual, said }) =>
          phrase(`usual.${usual.said ? usual.level : 'unsaid'}`, { who: usual.person.name, said }),
        ),
        ...(anybody?.most === undefined ? [] : [phrase('usual.anybody', { limit: anybody.most })]),
      ],
      assumed: [phrase('usual.rule')],
      mend: { label: phrase('usual.mend', { who: person.name }), ...goTo.person(person.id, '/skills') },
      others: [
        { label: phrase('usual.trip'), ...goTo.trip(trip.id, `/limits/${(anybody ?? unset ?? first).name}`) },
      ],
    }),
  ];
}
