import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { findAtAnchor, findOnPole, isOffered, polesAboard, type Stay } from '@escale/core/hold';
import { COMES, HOLDS, MADE_FAST } from '@escale/core/model/lists';
import { phrase } from '@escale/core/say';
import { Choice, optionsOf, Tick } from '../../ui/choice';
import { Fold } from '../../ui/fold';
import { TextLink } from '../../ui/press';
import { Stepper } from '../../ui/stepper';
import { T } from '../../ui/text';
import { thingHref } from '../../data/where';
import { FindingList } from '../trip/finding-list';
import { useTripChange } from '../trip/trip-form';
import { useTrip } from '../trip/use-trip';
import { HoldSteps } from '../go/procedure-sections';
import { Bench } from './bench';
import { DriftView } from './drift-view';
import { HourTable } from './hour-table';
import { LetGo } from './let-go';
import { PoleBench } from './pole-bench';
import { Schools } from './schools';
import { SeaAnchor } from './sea-anchor';
import { useHeld, useHolding, type Holding } from './use-hold';
import { HOLD, MORE, POLE } from './words';

/** Holding her at a halt: what stands against it, what pulls, what holds, how she swings, hour by hour. */
export function HoldSection() {
  const { trip, shed, says } = useTrip();
  const holding = useHolding();
  const [n, setN] = useState(0);
  const boat = shed.boats.find((b) => b.id === trip.boat);
  if (!boat) return <T as="soft">{HOLD.noBoat}</T>;
  const { stays } = holding;
  const stay = stays[n] ?? stays[0];
  if (!stay)
    return (
      <View style={{ gap: 8 }}>
        <T as="soft">{HOLD.noHalts}</T>
        <TextLink href={`/trips/${trip.id}/plan/water`}>{HOLD.toWater}</TextLink>
      </View>
    );
  return (
    <View style={{ gap: 18 }}>
      {stays.length > 1 ? (
        <Choice
          label={HOLD.where}
          unfolded
          options={stays.map(({ place, from, until }, i) => ({
            value: String(i),
            label: says(HOLD.at, { place: place.name, from, until }),
          }))}
          value={String(stays.indexOf(stay))}
          onChange={(value) => setN(Number(value ?? 0))}
        />
      ) : (
        <T as="strong">{says(HOLD.at, { place: stay.place.name, from: stay.from, until: stay.until })}</T>
      )}
      <Asked key={`asked-${stay.place.id}-${stay.from}`} stay={stay} />
      {holding.lying ? null : (
        <View style={{ gap: 4 }}>
          <T as="soft">
            {trip.crew.length === 0 ? HOLD.noPeople : says(HOLD.noMeasures, { boat: boat.name })}
          </T>
          <TextLink href={thingHref('boat', boat.id)}>{HOLD.herPage}</TextLink>
        </View>
      )}
      <AtStay key={`${stay.place.id}-${stay.from}`} holding={holding} stay={stay} />
    </View>
  );
}

/** What only somebody who knows the place can say: open until it is said, and then a row above the figures. */
function Asked({ stay }: { stay: Stay }) {
  const { says } = useTrip();
  const { hold } = stay.halt;
  return (
    <Fold
      title={hold === undefined ? HOLD.how : says(HOLD.howSaid, { how: HOLDS[hold] })}
      begin={hold === undefined}
    >
      <Questions stay={stay} />
    </Fold>
  );
}

function Questions({ stay }: { stay: Stay }) {
  const change = useTripChange();
  const { halt, n: at } = stay;
  const put = (field: string, value: unknown) => change(`/halts/${at}/${field}`, value, stay.place.name);
  const comes = halt.comes ?? [];
  return (
    <View style={{ gap: 10, paddingVertical: 12 }}>
      <Choice
        label={HOLD.how}
        options={optionsOf(HOLDS)}
        value={halt.hold}
        clearable
        onChange={(value) => put('hold', value)}
      />
      {halt.hold === 'anchor' || halt.hold === 'pole' ? (
        <>
          <T as="caps">{HOLD.from}</T>
          <Choice
            label={HOLD.from}
            options={optionsOf(MADE_FAST)}
            value={halt.fast}
            clearable
            onChange={(value) => put('fast', value)}
          />
          <Room room={halt.room} put={(room) => put('room', room)} />
          <View role="group" aria-label={HOLD.comes}>
            <T as="caps">{HOLD.comes}</T>
            {optionsOf(COMES).map(({ value, label }) => (
              <Tick
                key={value}
                label={label}
                on={comes.some((each) => each === value)}
                onChange={(is) => {
                  const next = is ? [...comes, value] : comes.filter((each) => each !== value);
                  put('comes', next.length > 0 ? next : undefined);
                }}
              />
            ))}
          </View>
        </>
      ) : null}
    </View>
  );
}

/** Metres by which it is stepped, and up to where. */
const ROOM = { step: 10, most: 300 } as const;

function Room({ room, put }: { room: number | undefined; put: (room: number | undefined) => void }) {
  const { says } = useTrip();
  return (
    <View style={{ gap: 4 }}>
      <T as="caps">{HOLD.room}</T>
      <Stepper
        what={HOLD.room}
        named={false}
        said={room === undefined ? HOLD.roomUnsaid : says(HOLD.roomSaid, { room })}
        less="Nearer"
        more="Further off"
        onLess={() => put(room === undefined || room <= ROOM.step ? undefined : room - ROOM.step)}
        onMore={() => put(Math.min(ROOM.most, (room ?? 0) + ROOM.step))}
      />
    </View>
  );
}

/** What stands against it is shown with why. */
const REFUSED: ReadonlySet<string> = new Set([
  phrase('hold.not.title', { place: '' }).say,
  phrase('hold.not.pole', { place: '' }).say,
]);
const BY = [
  { value: 'anchor', label: HOLD.byAnchor },
  { value: 'pole', label: HOLD.byPole },
];

function AtStay({ holding, stay }: { holding: Holding; stay: Stay }) {
  const { trip } = useTrip();
  const { hold } = stay.halt;
  const said = hold === 'anchor' || hold === 'pole' ? hold : undefined;
  const [tried, setTried] = useState<'anchor' | 'pole'>('anchor');
  const by = said ?? tried;
  // Asked what if, the halt is as it would be.
  const asked = useMemo(
    () => (said ? stay : { ...stay, halt: { ...stay.halt, hold: by } }),
    [said, stay, by],
  );
  const held = useHeld(holding, asked);
  const { lying } = holding;
  const found = useMemo(() => (by === 'pole' ? findOnPole(held.at) : findAtAnchor(held.at)), [by, held.at]);
  const [pole] = polesAboard(held.at.on);
  const offered = isOffered(found);
  const not = found.some(({ level, title }) => level !== 'know' && REFUSED.has(title.say));
  return (
    <View style={{ gap: 18 }}>
      {said ? null : (
        <View style={{ gap: 6 }}>
          <T as="section" heading={2}>
            {by === 'pole' ? POLE.title : HOLD.ifAnchored}
          </T>
          <Choice
            label={HOLD.by}
            options={BY}
            value={by}
            onChange={(value) => setTried(value === 'pole' ? 'pole' : 'anchor')}
          />
          <FindingList findings={found} />
        </View>
      )}
      {not ? <T as="strong">{HOLD.notHere}</T> : null}
      {lying && offered && by === 'anchor' ? <Bench held={held} lying={lying} /> : null}
      {lying && offered && by === 'pole' ? <PoleBench at={held.at} lying={lying} /> : null}
      {held.best && lying && offered && by === 'anchor' ? <HourTable over={held.best} /> : null}
      <T as="small">{HOLD.estimate}</T>
      <View>
        <Fold title={MORE.letGo}>
          <LetGo on={held.at.on} lying={lying} item={by === 'pole' ? pole : held.best?.item} />
        </Fold>
        {lying ? (
          <Fold title={MORE.schools}>
            <Schools on={held.at.on} lying={lying} />
          </Fold>
        ) : null}
        <Fold title={MORE.seaAnchor}>
          <SeaAnchor on={held.at.on} />
        </Fold>
        {lying ? (
          <Fold title={MORE.rig}>
            <View style={{ padding: 12 }}>
              <TextLink href={`/trips/${trip.id}/rig?halt=${stay.n}`}>{MORE.rigDoor}</TextLink>
            </View>
          </Fold>
        ) : null}
      </View>
      <View style={{ gap: 6 }}>
        <T as="section" heading={2}>
          {MORE.steps}
        </T>
        <HoldSteps />
      </View>
      <DriftView on={held.at.on} stay={stay} hours={held.at.hours.map(({ at }) => at)} />
    </View>
  );
}
