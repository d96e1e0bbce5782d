import { useMemo } from 'react';
import { plannedNow } from '@escale/core/passage';
import { clock, render } from '@escale/core/say';
import { MS } from '@escale/core/units';
import { conditionsFor } from '@escale/core/water';
import type { WayHome as Found } from '@escale/core/trip/way-home';
import { Button, Row } from '../../ui/button';
import { T } from '../../ui/text';
import type { useHere } from '../../data/here';
import { useNow } from '../../data/hooks';
import { useJob } from '../../data/jobs';
import { useTrip } from '../trip/use-trip';
import { Panel } from './panel';
import { HOMEWARD } from './words';

/** It is looked anew so often, and where one is is read again: as fine as it is told. */
export const EVERY = 10 * MS.minute;

/** When one must start for home from where one is, and what stands against starting later. */
export function WayHome({ where: { here, said, ask } }: { where: ReturnType<typeof useHere> }) {
  const now = useNow(EVERY);
  const { input, assessment, says } = useTrip();
  const { trip, shed, conditions } = input;
  const { schedule } = assessment;
  const planned = schedule && trip.launch ? plannedNow(schedule, trip.launch, shed.places, now) : undefined;
  const [lat, lon] = here ? [here.lat, here.lon] : [planned?.lat, planned?.lon];
  const job = useMemo(
    () =>
      lat === undefined || lon === undefined
        ? undefined
        : {
            input: { trip, shed, conditions: conditionsFor(trip, conditions), now },
            here: { lat, lon },
            schedule,
          },
    [trip, shed, conditions, schedule, now, lat, lon],
  );
  const { parts, failed } = useJob('home', job);
  const found = parts.at(-1);
  return (
    <Panel title={HOMEWARD.title}>
      {failed ? <T role="alert">{HOMEWARD.failed}</T> : null}
      {job === undefined ? <T as="soft">{HOMEWARD.nowhere}</T> : null}
      {found ? <Told found={found} now={now} /> : job && !failed ? <T as="soft">{HOMEWARD.looking}</T> : null}
      {job === undefined ? null : (
        <T as="soft">{here ? says(HOMEWARD.device, { at: here.at }) : HOMEWARD.plan}</T>
      )}
      {here ? null : (
        <Row>
          <Button onPress={() => ask()}>{HOMEWARD.ask}</Button>
          {said ? <T role="status">{said}</T> : null}
        </Row>
      )}
    </Panel>
  );
}

function Told({ found, now }: { found: Found; now: number }) {
  const { says, reader } = useTrip();
  const { by, then, home, already, better, until, byWay, overLand } = found;
  return (
    <>
      <T as="figure">
        {by === undefined ? HOMEWARD.noHour : by <= now ? HOMEWARD.atOnce : clock(by, reader)}
      </T>
      {then ? (
        <T>
          {[
            says(HOMEWARD.later, { title: then.title }),
            ...then.because.map((why) => render(why, reader)),
          ].join(' ')}
        </T>
      ) : home === undefined ? null : (
        <T>{says(HOMEWARD.clear, { until })}</T>
      )}
      {home === undefined ? <T>{HOMEWARD.noHome}</T> : <T>{says(HOMEWARD.home, { home })}</T>}
      {already.length > 0 ? <T>{says(HOMEWARD.already, { what: already })}</T> : null}
      {better ? <T>{says(HOMEWARD.better, { at: better.at, what: better.gone })}</T> : null}
      {byWay.length > 0 ? <T as="soft">{says(HOMEWARD.byWay, { places: byWay })}</T> : null}
      {overLand ? <T as="soft">{HOMEWARD.overLand}</T> : null}
    </>
  );
}
