import { useMemo, useState } from 'react';
import { View } from 'react-native';
import Svg, { Rect } from 'react-native-svg';
import {
  aboardToRight,
  changes,
  lifeRaft,
  righting,
  rigOf,
  wayOf,
  type Given,
  type Helper,
  type Righting,
} from '@escale/core/recover';
import { sortForecast, weatherAt } from '@escale/core/water';
import { MS } from '@escale/core/units';
import { useNow } from '../../data/hooks';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { useTrip } from '../trip/use-trip';
import { FreeBody } from './free-body';
import { Better, Controls } from './righting-controls';
import { CAN, RIGHT } from './righting-words';

/** Too heavy to be turned in the water by who is in it. */
const NOT_RIGHTED: Readonly<Record<string, true>> = { 'trailer-boat': true };

/** Can we right her? What she asks for against what each gives, drawn; what one changes is reckoned at once. */
export function RightingView() {
  const { trip, shed, input, says } = useTrip();
  const now = useNow(MS.minute);
  const boat = shed.boats.find((b) => b.id === trip.boat);
  const people = useMemo(
    () => trip.crew.flatMap((c) => shed.people.find((who) => who.id === c.person) ?? []),
    [trip.crew, shed.people],
  );
  const begin = useMemo(
    () => aboardToRight({ trip, people, gear: shed.gear, ...(boat ? { boat } : {}) }),
    [trip, people, shed.gear, boat],
  );
  const [changed, setChanged] = useState<Partial<Given>>({});
  const forecast = input.conditions.forecast && sortForecast(input.conditions.forecast);
  const wind = forecast && weatherAt(forecast, now)?.wind;
  const given: Given = { ...begin, ...(wind === undefined ? {} : { wind }), ...changed };
  const found = boat && righting(boat, people, given);
  if (!boat) return null;
  if (!found)
    return (
      <T as="soft">
        {boat.kind === 'personal-watercraft'
          ? RIGHT.byLabel
          : boat.kind in NOT_RIGHTED
            ? RIGHT.notRighted
            : RIGHT.noMeasures}
      </T>
    );
  return (
    <View role="group" aria-label={RIGHT.title} style={{ gap: 12 }}>
      <T as="section" heading={2}>
        {RIGHT.title}
      </T>
      <Answer found={found} />
      <FreeBody boat={boat} found={found} given={given} rig={rigOf(boat)} />
      <Bars found={found} />
      <Controls
        says={says}
        people={people}
        way={found.way}
        byHand={wayOf(boat.kind, false) === 'hand'}
        given={given}
        change={(next) => setChanged((before) => ({ ...before, ...next }))}
      />
      <Better says={says} found={found} tried={changes(boat, people, given, found)} />
      <Notes found={found} {...(wind === undefined ? {} : { wind })} />
    </View>
  );
}

/** A life raft that lies upside down: who turns it alone. */
export function RaftView() {
  const { trip, shed } = useTrip();
  const people = trip.crew.flatMap((c) => shed.people.find((who) => who.id === c.person) ?? []);
  const found = lifeRaft(people);
  return (
    <View role="group" aria-label={RIGHT.raft} style={{ gap: 12 }}>
      <T as="section" heading={2}>
        {RIGHT.raft}
      </T>
      <Answer found={found} />
      <Bars found={found} />
      <T as="small">{RIGHT.estimate}</T>
    </View>
  );
}

const namesOf = (found: Righting) =>
  found.people.flatMap((who) => (found.together?.ids.includes(who.id) ? [who.name] : []));

function Answer({ found }: { found: Righting }) {
  const { says } = useTrip();
  return (
    <T as="strong" style={{ fontSize: 18, lineHeight: 25 }} role="status">
      {found.together ? says(CAN[found.together.can], { who: namesOf(found) }) : RIGHT.nobody}
    </T>
  );
}

/** Each alone and those on the line together, against the band that she asks for. */
function Bars({ found }: { found: Righting }) {
  const { says } = useTrip();
  const rows: { name: string; gives?: Helper['gives'] }[] = [
    ...found.people.map((who) => ({
      name: says(RIGHT.each, { who: who.name }),
      ...(who.gives ? { gives: who.gives } : {}),
    })),
    ...(found.together && found.together.ids.length > 1
      ? [{ name: RIGHT.together, gives: found.together.gives }]
      : []),
  ];
  const most = Math.max(found.need.high, ...rows.map((r) => r.gives?.high ?? 0)) * 1.05;
  return (
    <View style={{ gap: 8 }}>
      <T>{says(RIGHT.needs, { ...found.need })}</T>
      {rows.map(({ name, gives }) => (
        <View key={name} style={{ gap: 2 }}>
          <View style={{ flexDirection: 'row', justifyContent: 'space-between', gap: 8 }}>
            <T as="strong">{name}</T>
            <T>{gives ? says(RIGHT.gives, { ...gives }) : RIGHT.unknown}</T>
          </View>
          <Bar need={found.need} most={most} {...(gives ? { gives } : {})} />
        </View>
      ))}
    </View>
  );
}

const BAR = 16;
function Bar({ need, gives, most }: { need: Righting['need']; gives?: Righting['need']; most: number }) {
  const p = usePalette();
  const at = (value: number) => `${(100 * value) / most}%`;
  return (
    <Svg width="100%" height={BAR} aria-hidden>
      <Rect x={0} y={0} width="100%" height={BAR} fill="none" stroke={p.line} />
      <Rect x={at(need.low)} y={0} width={at(need.high - need.low)} height={BAR} fill={p.water2} />
      {gives ? (
        <>
          <Rect x={0} y={6} width={at(gives.low)} height={4} fill={p.ink} />
          <Rect
            x={at(gives.low)}
            y={4}
            width={at(gives.high - gives.low)}
            height={8}
            fill={p.ink}
            opacity={0.55}
          />
        </>
      ) : null}
    </Svg>
  );
}

function Notes({ found, wind }: { found: Righting; wind?: number }) {
  const { says } = useTrip();
  const { taken, way, unweighed } = found;
  return (
    <View style={{ gap: 2 }}>
      {unweighed.length > 0 ? <T as="soft">{says(RIGHT.unweighed, { who: unweighed })}</T> : null}
      {taken.includes('rig') ? <T as="soft">{RIGHT.takenRig}</T> : null}
      {taken.includes('line') ? <T as="soft">{RIGHT.takenLine}</T> : null}
      {taken.includes('mass') || taken.includes('beam') ? <T as="soft">{RIGHT.takenSize}</T> : null}
      {way === 'mast' ? (
        <T as="soft">{wind === undefined ? RIGHT.noWind : says(RIGHT.wind, { wind })}</T>
      ) : null}
      <T as="small">{RIGHT.estimate}</T>
    </View>
  );
}
