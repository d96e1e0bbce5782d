import { distance } from '../earth';
import { hullSpeed } from '../boat';
import keepOff from '../../data/passage/keep-off.json';
import type { Finding, Phrase, Water } from '../model';
import { busyFinder } from '../passage';
import { phrase } from '../say';
import { asPrinted } from '../units';
import { goTo, guessed } from '../verdict';
import { leansOnForecast } from '../water';
import { HOLD } from './limits';
import { bowOnly, bring, isSmall, knifeInReach, notInRivers, type AtStay } from './on-hold';
import { strongest } from './stay';

const MOST = HOLD.at('hold/stream', 'over'),
  BREAKS = HOLD.at('hold/breakers', 'steep'),
  CHOP = HOLD.at('hold/breakers', 'chop');
const STILL = HOLD.limit('still-stream'),
  LIGHT = HOLD.limit('light-wind');

/** What stands against anchoring there at all. Each is a finding of its own, with the same title; a river alone is enough. */
export function refusals(at: AtStay): Finding[] {
  const { boat } = at.on;
  if (!boat) return [];
  const river = notInRivers(boat) ? inRiver(at) : [];
  if (river.length > 0) return river;
  const small = isSmall(boat);
  const pole = at.stay.halt.hold === 'pole';
  return [
    ...inStream(at, small),
    ...breakers(at, small),
    ...comes(at, small),
    ...(small ? knife(at) : []),
    ...(pole ? acrossPole(at) : fromWhere(at)),
  ];
}

const title = ({ stay }: AtStay) =>
  phrase(stay.halt.hold === 'pole' ? 'hold.not.pole' : 'hold.not.title', { place: stay.place.name });
const toHalt = ({ on }: AtStay, label: Phrase) => ({ label, ...goTo.trip(on.trip.id, '/halts') });

/** How fast a river was seen to run, m/s. */
const runs = (water: Water): number | undefined =>
  guessed(water, '/stage') || guessed(water, '/stage/speed') ? undefined : water.stage?.speed;

function inRiver(at: AtStay): Finding[] {
  const { water } = at.on;
  if (water?.class !== 'river') return [];
  const speed = runs(water);
  if (speed !== undefined && asPrinted(speed, 'speed') <= 0) return [];
  return [
    HOLD.finding('hold/river', speed === undefined ? 'unknown' : 'flows', at.stay.place.id, {
      title: title(at),
      because: [
        speed === undefined
          ? phrase('hold.river.unknown', { water: water.name })
          : phrase('hold.river.flows', { water: water.name, speed }),
      ],
      mend: { label: phrase('hold.river.mend'), ...goTo.water(water.id, '/stage') },
    }),
  ];
}

/** A river of which somebody said how fast it runs and nobody which way. */
function lacksWay({ on: { water, stream } }: AtStay): Phrase[] {
  const speed = water?.class === 'river' ? runs(water) : undefined;
  return stream || !water || speed === undefined
    ? []
    : [phrase('hold.stream.way', { water: water.name, speed })];
}

function inStream(at: AtStay, small: boolean): Finding[] {
  const { on, stay } = at;
  const { place } = stay;
  const { most, whole } = strongest(stay, on);
  const found: Finding[] = [];
  const hull = on.boat?.length === undefined ? undefined : hullSpeed(on.boat.length);
  if (small && most && most.speed > MOST)
    found.push(
      HOLD.finding('hold/stream', 'over', place.id, {
        title: title(at),
        because: [phrase('hold.stream.over', { at: most.at, speed: most.speed, most: MOST })],
        assumed: [phrase('at.stream.one')],
        mend: toHalt(at, phrase('hold.stream.mend')),
      }),
    );
  else if (!whole)
    found.push(
      HOLD.finding('hold/stream', 'unknown', place.id, {
        title: phrase('hold.stream.unknown.title', { place: place.name }),
        because: [
          ...lacksWay(at),
          small ? phrase('hold.stream.unknown', { most: MOST }) : phrase('hold.stream.unknown.other'),
        ],
        mend:
          on.water?.class === 'river'
            ? { label: phrase('hold.river.mend'), ...goTo.water(on.water.id, '/stage') }
            : { label: phrase('stream.mend'), ...goTo.section('plan/water') },
      }),
    );
  else if (hull !== undefined && most && most.speed > hull)
    found.push(
      HOLD.finding('hold/stream', 'fast', place.id, {
        title: phrase('hold.fast.title', { place: place.name }),
        because: [phrase('hold.fast', { at: most.at, speed: most.speed, hull })],
        mend: toHalt(at, phrase('hold.stream.mend')),
      }),
    );
  return found;
}

/** As they were said, or as they stand on so little water. */
function breakers(at: AtStay, small: boolean): Finding[] {
  const { stay, hours, on } = at;
  if (stay.halt.comes?.includes('breakers')) return [said(at, 'hold/breakers', phrase('hold.breakers.said'))];
  const [highest] = hours
    .filter(({ wave }) => wave !== undefined && asPrinted(wave, 'height') > asPrinted(CHOP, 'height'))
    .sort((a, b) => (b.wave ?? 0) - (a.wave ?? 0));
  const steep = hours
    .filter(
      ({ wave, depth }) => wave !== undefined && depth !== undefined && wave > BREAKS * Math.max(0, depth),
    )
    .sort((a, b) => (b.wave ?? 0) - (a.wave ?? 0))[0];
  if (!steep)
    return small && highest
      ? [
          HOLD.finding('hold/breakers', 'chop', stay.place.id, {
            title: title(at),
            because: [
              leansOnForecast(
                on.forecast,
                phrase('hold.breakers.chop', { at: highest.at, wave: highest.wave ?? 0, most: CHOP }),
              ),
            ],
            mend: toHalt(at, phrase('hold.stream.mend')),
          }),
        ]
      : [];
  const why = phrase('hold.breakers.steep', {
    at: steep.at,
    wave: steep.wave ?? 0,
    depth: Math.max(0, steep.depth ?? 0),
    most: BREAKS,
  });
  return [
    HOLD.finding('hold/breakers', 'steep', stay.place.id, {
      title: title(at),
      because: [leansOnForecast(on.forecast, why)],
      mend: toHalt(at, phrase('hold.stream.mend')),
    }),
  ];
}

const said = (at: AtStay, kind: 'hold/breakers' | 'hold/debris' | 'hold/traffic', because: Phrase): Finding =>
  HOLD.finding(kind, 'said', at.stay.place.id, {
    title: title(at),
    because: [because],
    mend: toHalt(at, phrase('hold.seen.mend')),
  });

/** Where what comes there is told to a boat that may lie there all the same. */
const told = (at: AtStay, kind: 'hold/debris' | 'hold/traffic', because: Phrase): Finding =>
  HOLD.finding(kind, 'told', at.stay.place.id, {
    title: phrase('hold.comes.title', { place: at.stay.place.name }),
    because: [because, phrase('hold.comes')],
  });

/** Debris and traffic: as said, and where a place of traffic reaches to it in those hours. Small boats keep away from both. */
function comes(at: AtStay, small: boolean): Finding[] {
  const { on, stay } = at;
  const { comes: seen } = stay.halt;
  const as = small ? said : told;
  const found = seen?.includes('debris') ? [as(at, 'hold/debris', phrase('hold.debris.said'))] : [];
  if (seen?.includes('traffic')) return [...found, as(at, 'hold/traffic', phrase('hold.traffic.said'))];
  const near = traffic(at);
  if (!near) return found;
  if (!small) return [...found, told(at, 'hold/traffic', near)];
  return [
    ...found,
    HOLD.finding('hold/traffic', 'near', stay.place.id, {
      title: title(at),
      because: [near],
      mend: toHalt(at, phrase('hold.stream.mend')),
    }),
  ];

  /** The first place of traffic within whose reach she would lie. */
  function traffic({ stay: { place: here, from, until } }: AtStay): Phrase | undefined {
    const busyOn = busyFinder(on.zone);
    for (const place of on.places) {
      if (place.kind !== 'hazard' || place.hazard !== 'traffic') continue;
      const reach = place.reach ?? keepOff.metres.traffic;
      const { metres } = distance(here.position, place.position);
      if (metres < reach && busyOn(place, { from, until }) !== false)
        return phrase('hold.traffic.near', { hazard: place.name, metres, reach });
    }
    return undefined;
  }
}

function knife(at: AtStay): Finding[] {
  if (knifeInReach(at.on)) return [];
  return [
    HOLD.finding('hold/knife', 'none', at.stay.place.id, {
      title: title(at),
      because: [phrase('hold.knife.none')],
      mend: bring(at.on, 'knife'),
    }),
  ];
}

/** Never from the side; with a motor or a transom from the bow alone. */
function fromWhere(at: AtStay): Finding[] {
  const { on, stay } = at;
  const { fast } = stay.halt;
  const as = fast === 'side' ? 'side' : fast === 'stern' && on.boat && bowOnly(on.boat) ? 'stern' : undefined;
  if (!as) return [];
  return [
    HOLD.finding('hold/side', as, stay.place.id, {
      title: title(at),
      because: [phrase(as === 'side' ? 'hold.side.side' : 'hold.side.stern')],
      mend: toHalt(at, phrase('hold.side.mend')),
    }),
  ];
}

/** Across wind or stream on a pole: some do it in still shallows and a light wind, others never. */
function acrossPole(at: AtStay): Finding[] {
  const { stay, hours } = at;
  if (stay.halt.fast !== 'side') return [];
  const moves = hours.find(({ stream, wind }) => (stream?.speed ?? 0) > STILL || (wind?.speed ?? 0) > LIGHT);
  if (moves)
    return [
      HOLD.finding('hold/side', 'pole', stay.place.id, {
        title: title(at),
        because: [phrase('hold.side.pole', { at: moves.at, still: STILL, light: LIGHT })],
        mend: toHalt(at, phrase('hold.side.mend')),
      }),
    ];
  return [
    HOLD.finding('hold/side', 'schools', stay.place.id, {
      title: phrase('hold.side.schools.title', { place: stay.place.name }),
      because: [phrase('hold.side.schools', { light: LIGHT })],
    }),
  ];
}
