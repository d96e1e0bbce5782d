import { civilDate, daysBetween, wallTime } from '../earth';
import type { Boat, ByLaws, Finding, Phrase, Place, Schedule, Trip, Water } from '../model';
import { CRAFT } from '../model/lists';
import { phrase } from '../say';
import { goTo, type Pointer } from '../verdict';
import { PASSAGE } from './limits';

/** What is asked of the places where a trip begins, ends and halts. */
export interface AtPlaces {
  trip: Trip;
  /** The boat, and those in company. */
  boats: Boat[];
  water?: Water;
  launch?: Place;
  back?: Place;
  halts: (Place | undefined)[];
  zone?: string;
  /** Epoch ms. */
  now: number;
}

const enter = (place: Place, pointer: Pointer<Place> = '/byLaws') => ({
  label: phrase('place.told.mend'),
  ...goTo.place(place.id, pointer),
});

/** What is allowed where she goes in and comes out, whether or not the hour is known; and how old it is. */
export function placeFindings(at: AtPlaces): Finding[] {
  const { launch, back, halts } = at;
  const ends = onceEach([launch, back]);
  const onTheWay = onceEach(halts).filter((place) => !ends.includes(place) && hasRules(place));
  return [
    ...ends.flatMap((place) => craftFindings(at, place)),
    ...[...ends, ...onTheWay].flatMap((place) => toldFindings(at, place)),
    ...numberFindings(at),
  ];
}

const onceEach = (places: (Place | undefined)[]): Place[] => [
  ...new Set(places.filter((place) => place !== undefined)),
];
const hasRules = ({ rules, byLaws }: Place) => rules !== undefined || byLaws !== undefined;

/** A beach that is open to paddlers is not open to her. */
function craftFindings({ boats }: AtPlaces, place: Place): Finding[] {
  const allowed = place.byLaws?.craft;
  if (!allowed || allowed.length === 0) return [];
  const barred = [...new Set(boats.map(({ kind }) => kind))].filter((kind) => !allowed.includes(kind));
  if (barred.length === 0) return [];
  const [what, boat] = [allowed, barred].map((kinds) => kinds.map((kind) => CRAFT[kind].toLowerCase()));
  return [
    PASSAGE.finding('place/allowed', 'craft', place.id, {
      title: phrase('place.craft.title', { place: place.name }),
      because: [phrase('place.craft.why', { place: place.name, what, boat })],
      mend: enter(place, '/byLaws/craft'),
    }),
  ];
}

/** How old what is told of a place is. */
function toldFindings({ zone, now }: AtPlaces, place: Place): Finding[] {
  const told = (as: 'old' | 'undated' | 'untold', why: Phrase, pointer: Pointer<Place>) => [
    PASSAGE.finding('place/told', as, place.id, {
      title: phrase(`place.told.${as}.title`, { place: place.name }),
      because: [why],
      mend: enter(place, pointer),
    }),
  ];
  if (!hasRules(place)) return told('untold', phrase('place.told.untold'), '/byLaws');
  if (place.confirmed === undefined) return told('undated', phrase('place.told.undated'), '/confirmed');
  const days = daysBetween(place.confirmed, civilDate(now, zone ?? 'UTC'));
  return days > PASSAGE.at('place/told', 'old')
    ? told('old', phrase('place.told.old', { days }), '/confirmed')
    : [];
}

/** Numbers to ring that nobody tried for a season, or never. */
function numberFindings({ water, zone, now }: AtPlaces): Finding[] {
  if (!water) return [];
  const rescue = water.rescueNumber
    ? [
        {
          number: water.rescueNumber,
          who: water.rescueName ?? phrase('sheet.rescue'),
          confirmed: water.rescueConfirmed,
        },
      ]
    : [];
  const today = civilDate(now, zone ?? water.zone);
  const told = [...rescue, ...(water.numbers ?? [])].map(({ number, who, confirmed }) => ({
    number,
    who,
    days: confirmed === undefined ? undefined : daysBetween(confirmed, today),
  }));
  const undated = told.filter(({ days }) => days === undefined);
  const old = told.filter(({ days }) => days !== undefined && days > PASSAGE.at('water/number', 'old'));
  const mend = { label: phrase('water.number.mend'), ...goTo.water(water.id, '/rescueConfirmed') };
  const found = (as: 'old' | 'undated', because: Phrase[]) =>
    PASSAGE.finding('water/number', as, water.id, {
      title: phrase(`water.number.${as}.title`),
      because,
      mend,
    });
  if (old.length > 0)
    return [
      found(
        'old',
        old.map(({ number, who, days }) => phrase('water.number.old', { number, who, days: days ?? 0 })),
      ),
    ];
  if (undated.length === 0) return [];
  return [
    found(
      'undated',
      undated.map(({ number, who }) => phrase('water.number.undated', { number, who })),
    ),
  ];
}

/** Is the place open when she goes in, and when she comes out? */
export function openFindings({ launch, back, zone }: AtPlaces, { leave, home }: Schedule): Finding[] {
  if (zone === undefined) return [];
  const ends = [
    { place: launch, at: leave, deed: 'leave' as const },
    { place: back, at: home, deed: 'return' as const },
  ];
  return ends.flatMap(({ place, at, deed }): Finding[] => {
    const laws = place?.byLaws;
    if (
      !place ||
      !laws ||
      at === undefined ||
      isOpen(laws, wallTime(at, zone), civilDate(at, zone) > civilDate(leave, zone))
    )
      return [];
    const span = spanOf(laws);
    return [
      PASSAGE.finding('place/open', 'shut', `${place.id}-${deed}`, {
        title: phrase('place.open.title', { place: place.name }),
        because: [phrase(`place.open.${deed}`, { at, place: place.name, span })],
        mend: enter(place, '/byLaws/opens'),
      }),
    ];
  });
}

/**
 * From one hour to another, which may be past midnight. Where only the hour of shutting was said, it shut before a midnight that
 * was passed on the way.
 */
function isOpen({ opens, closes }: ByLaws, time: string, laterDay: boolean): boolean {
  if (opens !== undefined && closes !== undefined)
    return opens <= closes ? time >= opens && time <= closes : time >= opens || time <= closes;
  return opens === undefined ? closes === undefined || (!laterDay && time <= closes) : time >= opens;
}

function spanOf({ opens, closes }: ByLaws): Phrase {
  if (opens === undefined) return phrase('place.open.until', { closes: closes ?? '' });
  return closes === undefined
    ? phrase('place.open.from', { opens })
    : phrase('place.open.both', { opens, closes });
}
