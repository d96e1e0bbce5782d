import { useMemo } from 'react';
import { View } from 'react-native';
import { useRouter } from 'expo-router';
import { slowOf } from '@escale/core/boat';
import { isOpen } from '@escale/core/floatplan';
import { ARRIVED, endsOwn, landingsFrom, plannedNow, type Landing } from '@escale/core/passage';
import { clock, render, type Reader } from '@escale/core/say';
import { format, MS, spanText } from '@escale/core/units';
import { heightsAt, tideOf } from '@escale/core/water';
import { Button, Row } from '../../ui/button';
import { later } from '../../ui/later';
import { Logo } from '../../ui/logo';
import { Alone } from '../../ui/page';
import { TextLink } from '../../ui/press';
import { T } from '../../ui/text';
import { useHere, type Here } from '../../data/here';
import { useNow, useOutbox, useThings } from '../../data/hooks';
import { deed, newId } from '../../data/outbox';
import { byWhom } from '../trip/by-whom';
import { ChangePlan } from '../trip/change-plan';
import { useTrip } from '../trip/use-trip';
import { TRIP } from '../trip/words';
import { FineButton } from '../deeds/fine-button';
import { LeftButton } from '../deeds/left-button';
import { Unsent } from '../deeds/unsent';
import { HeardForecast } from '../typed/heard';
import { useCompass } from '../where/compass';
import { HaltCheck } from './halt-check';
import { OnWater } from './on-water';
import { Panel } from './panel';
import { EVERY, WayHome } from './way-home';
import { GO, LANDING, TURN } from './words';

const SeenShut = later(() => import('../photos/seen-shut').then((m) => m.SeenShut));

/** On the water: four things, large, in the dark or in the sun, and Trouble across the whole width. */
export const UnderWay = () => (
  <OnWater>
    <Screen />
  </OnWater>
);

function Screen() {
  const router = useRouter();
  const now = useNow();
  const { trip, plan, input, assessment, reader, says } = useTrip();
  const { offlineSince } = useThings();
  const waiting = useOutbox().length;
  const where = useHere(EVERY);
  const open = plan !== undefined && isOpen(plan.state);
  const times = open ? plan.times : assessment.schedule;
  const limit = assessment.schedule?.latestTurn;
  // What was filed binds first: whoever turns later is overdue before the light goes.
  const turn =
    open && plan.times.turnBack !== undefined
      ? Math.min(plan.times.turnBack, limit ?? Infinity)
      : (limit ?? times?.turnBack);
  const next = times?.checkIns.find((at) => at > now);
  const left = open && (plan.state === 'under-way' || plan.events.some((e) => e.kind === 'under-way'));
  const leftNow = () => {
    if (plan)
      void deed(plan.id, { id: newId(), kind: 'under-way', madeAt: new Date(now).toISOString() }, 'leaving');
  };
  return (
    <Alone>
      <View style={{ flexDirection: 'row', alignItems: 'center', gap: 10 }}>
        <Logo />
        <T as="strong" heading={1} style={{ flex: 1, fontSize: 18 }} numberOfLines={1}>
          {left && times ? says(GO.underWay, { for: (now - times.leave) / MS.second }) : trip.title}
        </T>
        <T as="label">
          {offlineSince !== undefined
            ? says(GO.noSignal, { n: waiting })
            : waiting > 0
              ? says(GO.waiting, { n: waiting })
              : ''}
        </T>
        <Button kind="quiet" label="Leave this screen" onPress={() => router.replace(`/trips/${trip.id}/go`)}>
          leave
        </Button>
      </View>

      <Countdown
        now={now}
        leave={left ? undefined : times?.leave}
        turn={turn}
        home={open ? times?.home : undefined}
        limit={limit}
      />

      <Panel title="Check-in">
        <View style={{ flexDirection: 'row', justifyContent: 'space-between', alignItems: 'center' }}>
          <T as="figure">
            {next === undefined ? (times?.home ? clock(times.home, reader) : '–') : clock(next, reader)}
          </T>
          {open ? (
            left ? (
              <FineButton wet plan={plan} now={now} />
            ) : (
              <LeftButton wet plan={plan} now={now} onLeft={leftNow} />
            )
          ) : null}
        </View>
        <T as="soft">
          {open
            ? next === undefined
              ? 'Home; no check-in is promised before.'
              : 'The next that you promised.'
            : 'No float plan is filed: nobody is watching the clock.'}
        </T>
      </Panel>

      {left || !open ? <HaltCheck /> : null}
      {open ? <Unsent plan={plan} /> : null}
      <NearestLanding read={where.here} />
      {left || (!open && times !== undefined && now >= times.leave) ? <WayHome where={where} /> : null}
      {left || !open ? <HeardForecast /> : null}
      <T as="soft">{byWhom(input.conditions.forecast, says)}</T>
      <SeenShut />
      {trip.fishing === false ? null : <TextLink href={`/trips/${trip.id}/catch`}>{TRIP.catch}</TextLink>}

      <View style={{ flex: 1, minHeight: 8 }} />
      <Row>
        {open ? (
          <ChangePlan wet plan={plan} now={now} />
        ) : (
          <Button wet style={{ flex: 1 }} onPress={() => router.push(`/trips/${trip.id}/pack/float-plan`)}>
            File a plan
          </Button>
        )}
        <Button wet style={{ flex: 1 }} onPress={() => router.push(`/trips/${trip.id}/home/close`)}>
          We’re home
        </Button>
      </Row>
      <Button
        kind="main"
        wet
        style={{ minHeight: 88 }}
        onPress={() => router.push(`/trips/${trip.id}/go/trouble`)}
      >
        Trouble
      </Button>
    </Alone>
  );
}

/** The one figure of the screen: until leaving, then until the latest turn. */
function Countdown({
  now,
  leave,
  turn,
  home,
  limit,
}: {
  now: number;
  leave: number | undefined;
  turn: number | undefined;
  home: number | undefined;
  limit: number | undefined;
}) {
  const { says } = useTrip();
  const before = leave !== undefined && now < leave;
  const at = before ? leave : turn;
  const head = before
    ? 'Leave in'
    : turn === undefined
      ? 'Turn back'
      : now <= turn
        ? 'Turn back in'
        : 'Turn back now, late by';
  const tail =
    turn === undefined
      ? TURN.none
      : before
        ? says(TURN.before, { leave, turn })
        : home === undefined
          ? says(TURN.limits, { turn })
          : says(TURN.filed, { turn, home });
  const later =
    !before && limit !== undefined && turn !== undefined && limit > turn
      ? says(TURN.later, { limit })
      : undefined;
  return (
    <View>
      <T as="caps">{head}</T>
      <T
        as="giant"
        numberOfLines={1}
        aria-label={at === undefined ? 'not known' : spanText((at - now) / MS.second)}
      >
        {at === undefined ? '–' : countdown(Math.abs(at - now))}
      </T>
      <T as="section">{tail}</T>
      {later ? <T as="soft">{later}</T> : null}
    </View>
  );
}

/** Hours and minutes; under ten minutes also seconds. */
const SECONDS_UNDER = 10 * MS.minute;
function countdown(ms: number): string {
  const two = (n: number) => String(n).padStart(2, '0');
  const minutes = Math.floor(ms / MS.minute);
  return ms < SECONDS_UNDER
    ? `${minutes}:${two(Math.floor((ms % MS.minute) / MS.second))}`
    : `${Math.floor(minutes / 60)}:${two(minutes % 60)}`;
}

/**
 * The landing nearest to where this device is, as far as it may be read, or to where the plan has you now, at the speed you have
 * when tired; one of which something is not known is said as such.
 */
function NearestLanding({ read }: { read: Here | undefined }) {
  const now = useNow(MS.minute);
  const {
    shed,
    trip,
    reader,
    assessment: { schedule },
    says,
  } = useTrip();
  const boat = shed.boats.find((b) => b.id === trip.boat);
  const water = shed.waters.find((w) => w.id === trip.water);
  const slow = slowOf(boat);
  const compass = useCompass();
  const planned = schedule && trip.launch ? plannedNow(schedule, trip.launch, shed.places, now) : undefined;
  const here = read ?? planned;
  const tide = useMemo(() => water?.tide && tideOf(water.tide), [water]);
  const found =
    here &&
    landingsFrom(here, shed.places, {
      now,
      own: endsOwn(trip),
      ...(water ? { water: water.id } : {}),
      ...(slow ? { speed: slow } : {}),
      tideAt: heightsAt(tide),
    });
  const best = found?.[0];
  if (!here || !found || !best)
    return (
      <Panel title="Nearest landing">
        <T as="soft">{here ? LANDING.none : LANDING.late}</T>
      </Panel>
    );
  const there = best.metres < ARRIVED;
  // A doubtful shore that is much nearer is worth a look all the same.
  const nearer = found.find((l) => l.doubts.length > 0 && l.metres < best.metres);
  return (
    <Panel title={best.doubts.length > 0 ? 'Nearest landing, not sure' : 'Nearest landing'}>
      <T as="figure">{there && read ? LANDING.hereRead : way(best, reader)}</T>
      {there ? null : <T>{compass(best.bearing, here, now)}</T>}
      <T as="soft">
        {[
          best.doubts.length > 0
            ? says(LANDING.doubted, { place: best.place.name, doubts: doubtsOf(best, reader) })
            : says(LANDING.sure, { place: best.place.name }),
          read ? says(LANDING.device, { at: read.at }) : LANDING.plan,
          ...(slow && !there ? [says(LANDING.tired, { speed: slow })] : []),
          ...(there ? [] : [LANDING.bearing]),
        ].join(' ')}
      </T>
      {nearer ? (
        <T as="soft">
          {says(LANDING.nearer, {
            place: nearer.place.name,
            way: way(nearer, reader),
            doubts: doubtsOf(nearer, reader),
          })}
        </T>
      ) : null}
    </Panel>
  );
}

const doubtsOf = ({ doubts }: Landing, reader: Reader) => doubts.map((d) => render(d, reader)).join('; ');

const way = ({ metres, bearing, seconds }: Landing, { units }: Reader) =>
  metres < ARRIVED
    ? LANDING.here
    : [
        format(metres, 'distance', units),
        format(bearing, 'bearing', units),
        seconds === undefined ? '' : spanText(seconds),
      ]
        .filter(Boolean)
        .join('  ');
