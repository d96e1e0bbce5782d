import { useState } from 'react';
import { View } from 'react-native';
import { Link } from 'expo-router';
import {
  afloat,
  drives,
  freeboardBand,
  loadOf,
  plateOf,
  RESCUED,
  rescued,
  waysHome,
  type Plane,
  type Way,
  HULLS,
} from '@escale/core/boat';
import type { Boat, Person } from '@escale/core/model';
import { phrase, render } from '@escale/core/say';
import { format } from '@escale/core/units';
import { Button } from '../../ui/button';
import { Choice } from '../../ui/choice';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { thingHref } from '../../data/where';
import { TripForm } from '../trip/trip-form';
import { figureNamed } from '@escale/core/verdict';
import { Figures } from '../trip/figure-view';
import { useTrip } from '../trip/use-trip';
import { AskThree } from './ask-three';
import { OnHatch } from './on-hatch';
import { PlanView } from './plan-view';
import { SpotList } from './spot-list';
import { TiltViews } from './tilt-views';
import { aboardOf, useLie, type Draft, type Lie } from './use-lie';
import { usePut } from './use-put';
import { LOAD, ONE_MORE, WAYS as WAY } from './words';
import { WhoStands } from './who-stands';
import { TextLink } from '../../ui/press';

const WAYS = [
  { value: 'out', label: 'Going out' },
  { value: 'home', label: 'Coming home' },
];
const FIELDS = ['load', 'comingHome'] as const;

/** The load on a plan of the boat, live: against her limits, how she lies, and what happens when it goes wrong. */
export function LoadSection() {
  const { trip, shed } = useTrip();
  const [way, setWay] = useState<Way>('out');
  const now = useLie(way);
  const put = usePut();
  const boat = shed.boats.find((b) => b.id === trip.boat);
  if (!boat) return <T as="soft">Choose a boat first: everything here hangs on her.</T>;
  return (
    <View style={{ gap: 18 }}>
      <Against boat={boat} />
      <Choice label="Which way" options={WAYS} value={way} onChange={(v) => v && setWay(v as Way)} />
      {now ? (
        <Lies boat={boat} now={now} put={put} way={way} />
      ) : (
        <T as="soft">
          Length and beam are needed before she can be drawn.{' '}
          <Link href={thingHref('boat', boat.id)} style={{ textDecorationLine: 'underline' }}>
            Her page
          </Link>
        </T>
      )}
      {now && trip.crew.length > 0 ? <WhoStands boat={boat} now={now} /> : null}
      <TripForm fields={FIELDS} />
      <OnHatch boat={boat} />
      <T as="small">
        Weights of people come from their own pages. A liquid’s weight follows from its volume; an ice box and
        a bait well weigh more than they look.
      </T>
    </View>
  );
}

/** The sums against plate, maker's figure and rule. */
function Against({ boat }: { boat: Boat }) {
  const p = usePalette();
  const { assessment, trip, shed, says } = useTrip();
  const load = figureNamed(assessment.figures, 'boat/load');
  const limit = figureNamed(assessment.figures, 'boat/limit');
  const share = load && limit ? load.value / limit.value : undefined;
  const sum = loadOf(boat, aboardOf({ trip, shed }), trip);
  return (
    <View style={{ gap: 8 }}>
      <Figures names={['boat/load', 'boat/limit', 'boat/share', 'boat/persons']} />
      {share === undefined ? null : (
        <View
          role="img"
          aria-label={says(LOAD.loaded, { share })}
          style={{ height: 18, borderWidth: 2, borderColor: p.ink, flexDirection: 'row' }}
        >
          <View
            style={{
              width: `${Math.min(100, share * 100)}%`,
              backgroundColor: share > 1 ? p.call : p.water1,
            }}
          />
        </View>
      )}
      {limit && load ? (
        <T as="soft">
          {load.value > limit.value
            ? says(LOAD.over, { mass: load.value - limit.value })
            : says(LOAD.left, { mass: limit.value - load.value })}
        </T>
      ) : null}
      {sum.personsMass === undefined ? null : (
        <T as="soft">{says(LOAD.people, { is: sum.people, plate: sum.personsMass })}</T>
      )}
      <Power boat={boat} />
      <OnTheRoad boat={boat} gear={sum.gear} />
    </View>
  );
}

/** Motor against the plate, where both are known. */
function Power({ boat }: { boat: Boat }) {
  const { says } = useTrip();
  const { power } = drives(boat),
    most = plateOf(boat)?.power;
  return power && most !== undefined ? <T as="soft">{says(LOAD.power, { is: power, plate: most })}</T> : null;
}

/** Trailer, boat and what rides in her, against the plates. */
function OnTheRoad({ boat: { trailer, mass }, gear }: { boat: Boat; gear: number }) {
  const { says } = useTrip();
  if (trailer?.mass === undefined || mass === undefined) return null;
  const total = trailer.mass + mass + gear;
  return (
    <T as="soft">
      {[
        says(LOAD.onTheRoad, { total }),
        trailer.most === undefined ? undefined : says(LOAD.trailerPlate, { mass: trailer.most }),
        trailer.car === undefined ? undefined : says(LOAD.carMay, { mass: trailer.car }),
        trailer.tongue === undefined
          ? LOAD.hitchUnknown
          : says(LOAD.hitch, { share: trailer.tongue / total }),
      ]
        .filter(Boolean)
        .join(' · ')}
    </T>
  );
}

interface LiesProps {
  boat: Boat;
  now: Lie;
  put: (draft: Draft) => void;
  way: Way;
}

function Lies({ boat, now, put, way }: LiesProps) {
  const [list, setList] = useState(false);
  return (
    <View style={{ gap: 12 }}>
      <Moving put={put} way={way} />
      <Button onPress={() => setList(!list)}>{list ? 'Close the list' : 'Place them by list'}</Button>
      {list ? <SpotList hull={now.hull} spots={now.spots} onPut={put} /> : null}
      <Sure boat={boat} now={now} way={way} />
      <AskThree boat={boat} now={now} />
      <OneMore boat={boat} now={now} />
      <Ways boat={boat} now={now} />
    </View>
  );
}

/** What follows the finger, and nothing else: a drag draws only this anew. */
function Moving({ put, way }: Pick<LiesProps, 'put' | 'way'>) {
  const { says } = useTrip();
  const [draft, setDraft] = useState<Draft>();
  const now = useLie(way, draft);
  if (!now) return null;
  return (
    <>
      <PlanView hull={now.hull} spots={now.spots} says={says} draft={draft} onDraft={setDraft} onPut={put} />
      <Live now={now} />
      <TiltViews hull={now.hull} spots={now.spots} outcome={now.lie.outcome} />
    </>
  );
}

/** Freeboard, trim and list, following the finger. */
function Live({ now: { hull, lie } }: { now: Lie }) {
  const { reader, says } = useTrip();
  if (lie.outcome.state !== 'floats' || !lie.free) return null;
  const { trim, heel } = lie.outcome.at;
  const numbers = [
    { word: 'lowest edge', value: format(lie.free.lowest, 'shortLength', reader.units) },
    { word: 'bow', value: format(lie.free.bow, 'shortLength', reader.units) },
    { word: 'stern', value: format(lie.free.stern, 'shortLength', reader.units) },
    {
      word: trim >= 0 ? 'down by the stern' : 'down by the bow',
      value: format(Math.abs(trim), 'angle', reader.units),
    },
    {
      word: heel >= 0 ? 'list to port' : 'list to starboard',
      value: format(Math.abs(heel), 'angle', reader.units),
    },
  ];
  return (
    <View aria-label="How she lies" role="group" style={{ gap: 4 }}>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 20, rowGap: 6 }}>
        {numbers.map(({ word, value }) => (
          <View key={word}>
            <T as="strong" style={{ fontSize: 22, lineHeight: 26 }}>
              {value}
            </T>
            <T as="label">{word}</T>
          </View>
        ))}
      </View>
      <T as="small">
        {says(hull.guessed.length > 0 ? LOAD.keepGuessed : LOAD.keep, { edge: hull.form.edge.least })}
      </T>
    </View>
  );
}

const MEASURE: Record<string, string> = {
  '/length': 'length',
  '/beam': 'beam',
  '/depth': 'depth of the hull',
  '/mass': 'empty weight',
};

/** How sure the freeboard is, and what to measure first. Reckoned when it is opened. */
function Sure({ boat, now: { density }, way }: { boat: Boat; now: Lie; way: Way }) {
  const { trip, shed, says } = useTrip();
  const [open, setOpen] = useState(false);
  const band = open ? freeboardBand(boat, HULLS, trip, aboardOf({ trip, shed }), density, way) : undefined;
  return (
    <View style={{ gap: 4 }}>
      <Button kind="quiet" style={{ alignSelf: 'flex-start' }} onPress={() => setOpen(!open)}>
        {open ? 'Close' : 'How sure is that?'}
      </Button>
      {open ? (
        band ? (
          <>
            <T>{says(LOAD.between, { low: band.low, high: band.high })}</T>
            <T as="soft">
              {says(LOAD.measureFirst, { spread: band.by[0].spread })}{' '}
              <Link
                href={`${thingHref('boat', boat.id)}?at=${encodeURIComponent(band.by[0].pointer)}`}
                style={{ textDecorationLine: 'underline' }}
              >
                {MEASURE[band.by[0].pointer]}
              </Link>
            </T>
          </>
        ) : (
          <T as="soft">She does not float upright like this, so there is no freeboard to be sure of.</T>
        )
      ) : null}
    </View>
  );
}

function OneMore({ boat, now: { hull, spots, density, lie } }: { boat: Boat; now: Lie }) {
  const { trip, shed, says, assessment } = useTrip();
  const { free, outcome } = afloat(boat, hull, [...spots, rescued(hull)], density);
  const stranger: Person = { id: '01890000-0000-7000-8000-0000000000e2', name: 'One more', mass: RESCUED };
  const sum = loadOf(boat, [...aboardOf({ trip, shed }), stranger], trip);
  const limit = figureNamed(assessment.figures, 'boat/limit');
  const before = lie.free;
  const deeper =
    outcome.state === 'floats' && lie.outcome.state === 'floats' && free && before
      ? says(ONE_MORE[movesHow(outcome.at.trim - lie.outcome.at.trim, free.lowest - before.lowest)], {
          edge: before.lowest,
          by: sinkage(hull, lie.outcome.at.plane, outcome.at.plane),
          trim: Math.abs(outcome.at.trim - lie.outcome.at.trim),
        })
      : undefined;
  return (
    <View style={{ gap: 2 }}>
      <T as="section" heading={3}>
        Room for one more
      </T>
      <T>
        {free
          ? says(ONE_MORE.left, { mass: RESCUED, edge: free.lowest })
          : 'With somebody rescued aboard she does not stay upright: tow them to the shallows or keep them on the hull, and call.'}
      </T>
      {deeper ? <T as="soft">{deeper}</T> : null}
      {limit ? (
        <T as="soft">
          {sum.total > limit.value
            ? says(ONE_MORE.over, { mass: sum.total - limit.value })
            : says(ONE_MORE.under, { mass: limit.value - sum.total })}
        </T>
      ) : null}
    </View>
  );
}

/** A change of freeboard that is not seen, metres. */
const NOTHING = 0.005;
/** Which sentence tells how she moves: by which end, and whether her lowest edge moved with it. */
function movesHow(trim: number, edge: number) {
  const same = Math.abs(edge) < NOTHING;
  if (trim < 0) return same ? 'bowSame' : 'bow';
  return same ? 'sternSame' : 'stern';
}
const sinkage = (hull: Lie['hull'], from: Plane, to: Plane) =>
  to.h - from.h + ((to.t - from.t) * hull.length) / 2;

/** Each way home, how far it carries with the reserve kept, and how fast with today's load. */
function Ways({ boat, now: { lie } }: { boat: Boat; now: Lie }) {
  const p = usePalette();
  const { reader, says } = useTrip();
  const ways = waysHome(boat, lie.weight.mass);
  return (
    <View style={{ gap: 4 }}>
      <T as="section" heading={3}>
        {says(WAY.title, { n: ways.length })}
      </T>
      <View role="list" aria-label="Ways home">
        {ways.map((way, i) => (
          <View
            key={i}
            role="listitem"
            style={{ borderBottomWidth: 1, borderColor: p.line, paddingVertical: 6 }}
          >
            <View style={{ flexDirection: 'row', justifyContent: 'space-between', gap: 8 }}>
              <T as="strong">{render(phrase(`drive.${way.kind}`), reader)}</T>
              <T>
                {[
                  way.speed === undefined ? undefined : says(WAY.speed, { speed: way.speed }),
                  way.range &&
                    (way.range[0] === way.range[1]
                      ? says(WAY.far, { range: way.range[0] })
                      : says(WAY.between, { least: way.range[0], most: way.range[1] })),
                ]
                  .filter(Boolean)
                  .join(' · ')}
              </T>
            </View>
            {way.furthest ? (
              <T as="small">{says(WAY.furthest, { speed: way.furthest.speed, range: way.furthest.range })}</T>
            ) : null}
            {way.lacks.length > 0 ? (
              <TextLink href={`${thingHref('boat', boat.id)}?at=${encodeURIComponent(way.lacks[0])}`}>
                {says(WAY.lacks, { what: way.lacks.map((f) => f.split('/').at(-1)).join(', ') })}
              </TextLink>
            ) : null}
          </View>
        ))}
      </View>
      {ways.length === 0 ? <T as="soft">Nobody said how she moves.</T> : null}
    </View>
  );
}
