import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { Circle, Path } from 'react-native-svg';
import { driftFrom, endsOf, isSuit, leewayOf, type Drifter, type OnHold, type Stay } from '@escale/core/hold';
import { distance, type LatLon } from '@escale/core/earth';
import { clock } from '@escale/core/say';
import { SHORES } from '@escale/core/model/lists';
import { MS } from '@escale/core/units';
import { Button, Row } from '../../ui/button';
import { Choice, optionsOf } from '../../ui/choice';
import { Select } from '../../ui/select';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { useHere } from '../../data/here';
import { useNow } from '../../data/hooks';
import { useTrip } from '../trip/use-trip';
import { LocalMap, pathOf } from './local-map';
import { DRIFT, DRIFTS } from './words';

/** It is looked anew so often from where one is. */
const EVERY = 10 * MS.minute;

/** Where wind and stream take her, or somebody, from a halt or from here: the ways it may go, and where they end. */
export function DriftView({ on, stay, hours }: { on: OnHold; stay: Stay; hours: readonly number[] }) {
  const { trip, reader, says } = useTrip();
  const now = useNow(EVERY);
  const { here, said, ask } = useHere(EVERY);
  const [as, setAs] = useState<Drifter>('afloat');
  const [when, setWhen] = useState<number>();
  const [fromHere, setFromHere] = useState(false);
  const away = fromHere && here ? here : undefined;
  const start = away ? now : (when ?? hours[0]);
  const [lat, lon] = away ? [away.lat, away.lon] : [stay.place.position.lat, stay.place.position.lon];
  const kind = on.boat?.kind ?? 'skiff';
  const suit = trip.crew.length > 0 && trip.crew.every(({ clothing }) => isSuit(clothing));
  const leeway = useMemo(() => leewayOf(kind, as, suit), [kind, as, suit]);
  const found = useMemo(() => driftFrom(on, { lat, lon }, start, leeway), [on, lat, lon, start, leeway]);
  const ends = useMemo(() => found && endsOf(found, on.places), [found, on.places]);
  return (
    <View style={{ gap: 10 }} role="group" aria-label={DRIFT.title}>
      <T as="section" heading={2}>
        {DRIFT.title}
      </T>
      <Choice
        label={DRIFT.what}
        options={optionsOf(DRIFTS)}
        value={as}
        onChange={(value) => value && setAs(value as Drifter)}
      />
      <Row>
        {away ? null : (
          <>
            <T as="label">{DRIFT.from}</T>
            <Select
              label={DRIFT.from}
              options={hours.map((at) => ({ value: String(at), label: clock(at, reader) }))}
              value={String(start)}
              onChange={(value) => setWhen(Number(value))}
            />
          </>
        )}
        <Button
          kind="quiet"
          onPress={() => {
            setFromHere(!away);
            if (!away) ask();
          }}
        >
          {away ? says(DRIFT.fromHalt, { place: stay.place.name }) : DRIFT.fromHere}
        </Button>
        {fromHere && !here && said ? <T role="status">{said}</T> : null}
      </Row>
      {found ? (
        <View role="group" aria-label={DRIFTS[as]}>
          <Told from={{ lat, lon }} start={start} on={on} drift={found} ends={ends} name={leeway} />
        </View>
      ) : (
        <T>{DRIFT.noWind}</T>
      )}
    </View>
  );
}

function Told({
  from,
  start,
  on,
  drift,
  ends,
  name,
}: {
  from: LatLon;
  start: number;
  on: OnHold;
  drift: NonNullable<ReturnType<typeof driftFrom>>;
  ends: ReturnType<typeof endsOf>;
  name: ReturnType<typeof leewayOf>;
}) {
  const { says, input } = useTrip();
  const last = drift.middle.points[drift.middle.points.length - 1];
  const hours = drift.middle.points.filter(({ at }) => at > start && (at - start) % MS.hour === 0);
  const told = hours.length > 0 ? hours : [last];
  return (
    <View style={{ gap: 6 }}>
      <Picture from={from} on={on} drift={drift} hours={told} />
      <T as="strong" role="status">
        {ends ? <Ends ends={ends} /> : says(DRIFT.atSea, { at: last.at })}
      </T>
      <View role="list">
        {told.map(({ at, position }) => {
          const { metres, bearing } = distance(from, position);
          return (
            <View key={at} role="listitem">
              <T>{says(DRIFT.at, { at, metres, bearing: Math.round(bearing), spread: drift.spread(at) })}</T>
            </View>
          );
        })}
      </View>
      {drift.streamless ? <T>{DRIFT.streamless}</T> : null}
      {drift.until < start + AHEAD ? <T>{says(DRIFT.until, { at: drift.until })}</T> : null}
      {input.conditions.forecast?.invented ? <T>{DRIFT.invented}</T> : null}
      <T as="small">{says(name.own ? DRIFT.own : DRIFT.tested, { name: name.name })}</T>
    </View>
  );
}
/** So far ahead it is reckoned where wind is known. */
const AHEAD = 6 * MS.hour;

function Ends({ ends }: { ends: NonNullable<ReturnType<typeof endsOf>> }) {
  const { says } = useTrip();
  const shores = ends.places.map(({ name, shore }) =>
    says(DRIFT.shore, { name, kind: shore ? SHORES[shore] : DRIFT.unsaid }),
  );
  const where = [...shores, ...(ends.unsaid ? [DRIFT.unsaid] : [])];
  return ends.latest
    ? says(DRIFT.ashore, { from: ends.earliest.at, until: ends.latest.at, where })
    : says(DRIFT.mayEnd, { from: ends.earliest.at, where });
}

/** The fan between its sides, the middle way, and rings of what it may be off at each hour. */
function Picture({
  from,
  on,
  drift,
  hours,
}: {
  from: LatLon;
  on: OnHold;
  drift: NonNullable<ReturnType<typeof driftFrom>>;
  hours: readonly { at: number; position: LatLon }[];
}) {
  const p = usePalette();
  const all = [drift.middle, ...drift.sides].flatMap(({ points }) => points);
  const far = Math.max(...all.map(({ position }) => distance(from, position).metres), LEAST);
  const middle = drift.middle.points;
  const half = middle[Math.floor(middle.length / 2)].position;
  return (
    <LocalMap centre={half} radius={far * SEEN} water={on.water} places={on.places} label={DRIFT.drawn}>
      {({ put, scale }) => {
        const line = (points: readonly { position: LatLon }[]) =>
          pathOf(points.map(({ position }) => put(position)));
        const fan = [...drift.sides[1].points, ...[...drift.sides[3].points].reverse()];
        const start = put(from);
        return (
          <>
            <Path d={line(fan).concat('Z')} fill={p.water2} fillOpacity={0.45} />
            {drift.sides.map(({ points }, i) => (
              <Path
                key={i}
                d={line(points)}
                fill="none"
                stroke={p.ink}
                strokeWidth={1}
                strokeDasharray="3 3"
              />
            ))}
            <Path d={line(middle)} fill="none" stroke={p.ink} strokeWidth={2.5} />
            {hours.map(({ at, position }) => {
              const { x, y } = put(position);
              return (
                <Circle
                  key={at}
                  cx={x}
                  cy={y}
                  r={drift.spread(at) * scale}
                  fill="none"
                  stroke={p.ink}
                  strokeWidth={0.8}
                />
              );
            })}
            <Circle cx={start.x} cy={start.y} r={5} fill={p.ink} />
          </>
        );
      }}
    </LocalMap>
  );
}
/** Nothing is drawn nearer than so many metres; and how much of the way the picture takes to either side of its middle. */
const LEAST = 400,
  SEEN = 0.8;
