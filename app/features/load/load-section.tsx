import { useCallback, useState } from 'react';
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
import { change } from '../../data/outbox';
import { inverseOf } from '../../data/things';
import { thingHref } from '../../data/where';
import { TripForm } from '../plan/trip-form';
import { useUndo } from '../shell/undo';
import { figureNamed } from '@escale/core/verdict';
import { Figures } from '../trip/figure-view';
import { useTrip } from '../trip/use-trip';
import { AskThree } from './ask-three';
import { PlanView } from './plan-view';
import { SpotList } from './spot-list';
import { TiltViews } from './tilt-views';
import { aboardOf, useLie, type Draft, type Lie } from './use-lie';

const WAYS = [
  { value: 'out', label: 'Going out' },
  { value: 'home', label: 'Coming home' },
];
const LOAD = ['load', 'comingHome'] as const;

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
      <TripForm fields={LOAD} />
      <T as="small">
        Weights of people come from their own pages. A liquid’s weight follows from its volume; an ice box and
        a bait well weigh more than they look.
      </T>
    </View>
  );
}

/** Put somebody or something at a spot, with a way back. */
function usePut(): (draft: Draft) => void {
  const { held } = useTrip();
  const undo = useUndo();
  return useCallback(
    ({ id, spot }: Draft) => {
      const [list, n] = id.split('/');
      const pointer = list === 'crew' ? `/crew/${n}/seat` : `/load/${n}/spot`;
      const patch = [{ op: 'set' as const, pointer, value: spot }];
      const back = inverseOf(held.doc, patch),
        said = 'moved in the boat';
      void change(held, patch, said);
      undo(said, () => change({ ...held, version: held.version + 1 }, back, `Undo: ${said}`));
    },
    [held, undo],
  );
}

/** The sums against plate, maker's figure and rule. */
function Against({ boat }: { boat: Boat }) {
  const p = usePalette();
  const { assessment, trip, shed, reader } = useTrip();
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
          aria-label={`Loaded to ${Math.round(share * 100)} per cent`}
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
            ? `${format(load.value - limit.value, 'mass', reader.units)} too much.`
            : `${format(limit.value - load.value, 'mass', reader.units)} left.`}
        </T>
      ) : null}
      {sum.personsMass === undefined ? null : (
        <T as="soft">
          People {format(sum.people, 'mass', reader.units)} of {format(sum.personsMass, 'mass', reader.units)}{' '}
          on the plate.
        </T>
      )}
      <Power boat={boat} />
      <OnTheRoad boat={boat} gear={sum.gear} />
    </View>
  );
}

/** Motor against the plate, where both are known. */
function Power({ boat }: { boat: Boat }) {
  const { reader } = useTrip();
  const { power } = drives(boat),
    most = plateOf(boat)?.power;
  return power && most !== undefined ? (
    <T as="soft">
      Power {format(power, 'power', reader.units)} of {format(most, 'power', reader.units)} on the plate.
    </T>
  ) : null;
}

/** Trailer, boat and what rides in her, against the plates. */
function OnTheRoad({ boat: { trailer, mass }, gear }: { boat: Boat; gear: number }) {
  const { reader } = useTrip();
  if (trailer?.mass === undefined || mass === undefined) return null;
  const total = trailer.mass + mass + gear;
  const say = (value: number | undefined, words: string) =>
    value === undefined ? undefined : `${words} ${format(value, 'mass', reader.units)}`;
  return (
    <T as="soft">
      On the road{' '}
      {[
        format(total, 'mass', reader.units),
        say(trailer.most, 'trailer’s plate'),
        say(trailer.car, 'the car may tow'),
        trailer.tongue === undefined
          ? 'weight on the hitch not measured'
          : `${Math.round((trailer.tongue / total) * 100)} % on the hitch`,
      ]
        .filter(Boolean)
        .join(' · ')}
      .
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
  const { reader } = useTrip();
  const [draft, setDraft] = useState<Draft>();
  const now = useLie(way, draft);
  if (!now) return null;
  return (
    <>
      <PlanView
        hull={now.hull}
        spots={now.spots}
        reader={reader}
        draft={draft}
        onDraft={setDraft}
        onPut={put}
      />
      <Live now={now} />
      <TiltViews hull={now.hull} spots={now.spots} outcome={now.lie.outcome} />
    </>
  );
}

/** Freeboard, trim and list, following the finger. */
function Live({ now: { hull, lie } }: { now: Lie }) {
  const { reader } = useTrip();
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
        {hull.guessed.length > 0 ? 'From measures that are partly guessed. ' : ''}
        {format(hull.form.edge.least, 'shortLength', reader.units)} should be left at the lowest edge in flat
        water.
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
  const { trip, shed, reader } = useTrip();
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
            <T>
              Lowest edge between {format(band.low, 'shortLength', reader.units)} and{' '}
              {format(band.high, 'shortLength', reader.units)}.
            </T>
            <T as="soft">
              Worth measuring first:{' '}
              <Link
                href={`${thingHref('boat', boat.id)}?at=${encodeURIComponent(band.by[0].pointer)}`}
                style={{ textDecorationLine: 'underline' }}
              >
                {MEASURE[band.by[0].pointer]}
              </Link>
              , which alone may change it by {format(band.by[0].spread, 'shortLength', reader.units)}.
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
  const { trip, shed, reader, assessment } = useTrip();
  const { free, outcome } = afloat(boat, hull, [...spots, rescued(hull)], density);
  const stranger: Person = { id: '01890000-0000-7000-8000-0000000000e2', name: 'One more', mass: RESCUED };
  const sum = loadOf(boat, [...aboardOf({ trip, shed }), stranger], trip);
  const limit = figureNamed(assessment.figures, 'boat/limit');
  const cm = (m: number) => format(m, 'shortLength', reader.units);
  const before = lie.free;
  const deeper =
    outcome.state === 'floats' && lie.outcome.state === 'floats' && free && before
      ? `Before it was ${cm(before.lowest)}: she sinks ${cm(sinkage(hull, lie.outcome.at.plane, outcome.at.plane))} amidships and trims ${format(Math.abs(outcome.at.trim - lie.outcome.at.trim), 'angle', reader.units)} ${outcome.at.trim < lie.outcome.at.trim ? 'by the bow' : 'by the stern'}${Math.abs(free.lowest - before.lowest) < NOTHING ? ', so her lowest edge, at the other end, stays where it was' : ''}.`
      : undefined;
  return (
    <View style={{ gap: 2 }}>
      <T as="section" heading={3}>
        Room for one more
      </T>
      <T>
        {free
          ? `With a rescued ${format(RESCUED, 'mass', reader.units)} low in the middle ${cm(free.lowest)} of freeboard is left at the lowest edge.`
          : 'With somebody rescued aboard she does not stay upright: tow them to the shallows or keep them on the hull, and call.'}
      </T>
      {deeper ? <T as="soft">{deeper}</T> : null}
      {limit ? (
        <T as="soft">
          {sum.total > limit.value
            ? `That is ${format(sum.total - limit.value, 'mass', reader.units)} over her limit: slowly, straight to the nearest shore.`
            : `${format(limit.value - sum.total, 'mass', reader.units)} under her limit.`}
        </T>
      ) : null}
    </View>
  );
}

/** A change of freeboard that is not seen, metres. */
const NOTHING = 0.005;
const sinkage = (hull: Lie['hull'], from: Plane, to: Plane) =>
  to.h - from.h + ((to.t - from.t) * hull.length) / 2;

/** Each way home, how far it carries with the reserve kept, and how fast with today's load. */
function Ways({ boat, now: { lie } }: { boat: Boat; now: Lie }) {
  const p = usePalette();
  const { reader } = useTrip();
  const ways = waysHome(boat, lie.weight.mass);
  return (
    <View style={{ gap: 4 }}>
      <T as="section" heading={3}>
        Ways home: {ways.length}
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
                  way.speed === undefined ? undefined : format(way.speed, 'speed', reader.units),
                  way.range &&
                    (way.range[0] === way.range[1]
                      ? format(way.range[0], 'distance', reader.units)
                      : `${format(way.range[0], 'distance', reader.units)} to ${format(way.range[1], 'distance', reader.units)}`),
                ]
                  .filter(Boolean)
                  .join(' · ')}
              </T>
            </View>
            {way.furthest ? (
              <T as="small">
                Furthest at {format(way.furthest.speed, 'speed', reader.units)}:{' '}
                {format(way.furthest.range, 'distance', reader.units)}
              </T>
            ) : null}
            {way.lacks.length > 0 ? (
              <Link
                href={`${thingHref('boat', boat.id)}?at=${encodeURIComponent(way.lacks[0])}`}
                style={{ paddingVertical: 6 }}
              >
                <T as="small" style={{ textDecorationLine: 'underline' }}>
                  How far it carries can’t be told yet: {way.lacks.map((f) => f.split('/').at(-1)).join(', ')}
                </T>
              </Link>
            ) : null}
          </View>
        ))}
      </View>
      {ways.length === 0 ? <T as="soft">Nobody said how she moves.</T> : null}
    </View>
  );
}
