import { useState } from 'react';
import { useRouter } from 'expo-router';
import { halfHourLater } from '@escale/core/floatplan';
import type { Patch, Place, PlanView } from '@escale/core/model';
import { change, deed, file, newId } from '../../data/outbox';
import { Button } from '../../ui/button';
import { Sheet } from '../../ui/sheet';
import { T } from '../../ui/text';
import { CHANGE, FINE } from '../deeds/words';
import { useTrip } from './use-trip';

/** So many places are offered; the others are on the chart. */
const MOST = 4;

/** A change of plan in two taps: home later, another ramp or landing, another way. The contacts read what changed. */
export function ChangePlan({ plan, now, wet = false }: { plan: PlanView; now: number; wet?: boolean }) {
  const { trip, held, shed, says } = useTrip();
  const router = useRouter();
  const [open, setOpen] = useState(false);
  const water = shed.places.filter((p) => p.water === trip.water);
  const offered = (kinds: ReadonlySet<Place['kind']>, not: readonly (string | undefined)[]) => {
    const first = (trip.alternatives ?? []).flatMap((id) => water.find((p) => p.id === id) ?? []);
    const all = [...first, ...water.filter((p) => !first.includes(p))];
    return all.filter((p) => kinds.has(p.kind) && !not.includes(p.id)).slice(0, MOST);
  };
  const lands = offered(LANDS, [trip.return ?? trip.launch]).map((place) => ({
    what: says(CHANGE.land, { place: place.name }),
    patch: [{ op: 'set', pointer: '/return', value: place.id }] satisfies Patch[],
  }));
  const goes = offered(GOES, [trip.launch, ...trip.halts.map((h) => h.place)]).map((place) => ({
    what: says(CHANGE.go, { place: place.name }),
    patch: [
      { op: 'set', pointer: '/halts', value: [{ ...(trip.halts[0] ?? NO_STAY), place: place.id }] },
    ] satisfies Patch[],
  }));
  // Who has left has left: another ramp is for those who are still ashore.
  const leaves = plan.state === 'filed' ? offered(RAMPS, [trip.launch]) : [];
  const launches = leaves.map((place) => ({
    what: says(CHANGE.launch, { place: place.name }),
    patch: [{ op: 'set', pointer: '/launch', value: place.id }] satisfies Patch[],
  }));
  const changes = [...launches, ...lands, ...goes];
  const half = halfHourLater(plan.times, now);
  const amend = async (patch: Patch[], what: string) => {
    setOpen(false);
    const said = says(CHANGE.said, { what });
    await change(held, patch, said);
    await file({ id: newId(), trip: trip.id, amends: plan.id, reason: what }, said);
  };
  return (
    <>
      <Button wet={wet} {...(wet ? { style: { flex: 1 } } : {})} onPress={() => setOpen(true)}>
        {CHANGE.button}
      </Button>
      {open ? (
        <Sheet title={CHANGE.title} onClose={() => setOpen(false)}>
          <T as="soft">{CHANGE.tells}</T>
          <Button
            wet
            once
            onPress={() => {
              setOpen(false);
              void deed(
                plan.id,
                {
                  id: newId(),
                  kind: 'later',
                  madeAt: new Date(now).toISOString(),
                  home: new Date(half).toISOString(),
                },
                says(FINE.saidLater, { home: half }),
              );
            }}
          >
            {says(CHANGE.half, { home: half })}
          </Button>
          {changes.map(({ what, patch }) => (
            <Button key={what} wet once onPress={() => void amend(patch, what)}>
              {what}
            </Button>
          ))}
          {changes.length === 0 ? <T as="soft">{CHANGE.noPlaces}</T> : null}
          <Button wet onPress={() => router.push(`/trips/${trip.id}/pack/float-plan`)}>
            {CHANGE.all}
          </Button>
          <Button wet onPress={() => setOpen(false)}>
            {CHANGE.none}
          </Button>
        </Sheet>
      ) : null}
    </>
  );
}

const RAMPS: ReadonlySet<Place['kind']> = new Set(['launch']);
const LANDS: ReadonlySet<Place['kind']> = new Set(['launch', 'haven']);
const GOES: ReadonlySet<Place['kind']> = new Set(['ground', 'waypoint', 'haven']);
const NO_STAY = { minutes: 0 };
