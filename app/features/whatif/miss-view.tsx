import { useMemo } from 'react';
import { View } from 'react-native';
import { plusDays, wallTime, wallToInstant } from '@escale/core/earth';
import type { CloseCall, Patch } from '@escale/core/model';
import {
  CLOSE_CALL_DEEDS,
  INCIDENT_KINDS,
  type CloseCallDeed,
  type IncidentKind,
} from '@escale/core/model/lists';
import { MS } from '@escale/core/units';
import { incidentsFor } from '@escale/core/whatif/incidents';
import { Button, Row } from '../../ui/button';
import { optionsOf } from '../../ui/choice';
import { Moment } from '../../ui/moment';
import { Select } from '../../ui/select';
import { T } from '../../ui/text';
import { change } from '../../data/outbox';
import type { Held } from '../../data/things';
import { useTrip } from '../trip/use-trip';
import { ReplayView } from './replay-view';
import { MISS } from './miss-words';

/** What nearly went wrong, as times and deeds, and what would have caught it. */
export function MissView({ held }: { held: Held<'debrief'> }) {
  const { miss } = held.doc;
  return (
    <View style={{ gap: 10, paddingTop: 16 }} role="group" aria-label={MISS.title}>
      <T as="section" heading={2}>
        {MISS.title}
      </T>
      <T as="soft">{MISS.lead}</T>
      {miss ? <Told held={held} miss={miss} /> : <Begin held={held} />}
    </View>
  );
}

/** Only what was touched is changed: two that are quick after each other both count. */
const keep = (held: Held<'debrief'>, patch: Patch) => void change(held, [patch], MISS.said);
const set = (pointer: string, value: unknown): Patch => ({ op: 'set', pointer, value });

/** The incidents that this boat and crew can meet. */
function useRows(): readonly IncidentKind[] {
  const { trip, shed } = useTrip();
  const boat = shed.boats.find(({ id }) => id === trip.boat);
  return useMemo(() => incidentsFor({ trip, ...(boat ? { boat } : {}) }).map(({ id }) => id), [trip, boat]);
}

function Begin({ held }: { held: Held<'debrief'> }) {
  const { assessment } = useTrip();
  const [first] = useRows();
  const { leave, schedule } = assessment;
  const at = schedule?.turnBack ?? leave;
  if (at === undefined) return <T>{MISS.nowhere}</T>;
  return (
    <Row>
      <Button
        once
        onPress={() =>
          keep(held, set('/miss', { incident: first, at: new Date(at).toISOString(), deeds: [] }))
        }
      >
        {MISS.begin}
      </Button>
    </Row>
  );
}

function Told({ held, miss }: { held: Held<'debrief'>; miss: CloseCall }) {
  const rows = useRows();
  const known = rows.includes(miss.incident) ? rows : [...rows, miss.incident];
  return (
    <>
      <View style={{ gap: 4 }}>
        <T as="label">{MISS.what}</T>
        <Select
          label={MISS.what}
          options={known.map((id) => ({ value: id, label: INCIDENT_KINDS[id] }))}
          value={miss.incident}
          onChange={(incident) => keep(held, set('/miss/incident', incident))}
        />
      </View>
      <At label={MISS.at} at={miss.at} onChange={(at) => keep(held, set('/miss/at', at))} />
      <Deeds held={held} miss={miss} />
      <ReplayView held={held} miss={miss} />
      <Button kind="quiet" onPress={() => keep(held, { op: 'unset', pointer: '/miss' })}>
        {MISS.remove}
      </Button>
    </>
  );
}

function Deeds({ held, miss }: { held: Held<'debrief'>; miss: CloseCall }) {
  const { says } = useTrip();
  const next = (): CloseCall['deeds'][number] => {
    const told = new Set(miss.deeds.map(({ what }) => what));
    const what = DEEDS.find((each) => !told.has(each)) ?? 'over';
    return { what, at: miss.deeds.at(-1)?.at ?? miss.at };
  };
  return (
    <View style={{ gap: 8 }}>
      <T as="label">{MISS.then}</T>
      <View role="list" aria-label={MISS.then} style={{ gap: 8 }}>
        {miss.deeds.map(({ what, at }, n) => (
          <View key={`${what}-${String(n)}`} role="listitem">
            <Row>
              <Select
                label={MISS.deed}
                options={optionsOf(CLOSE_CALL_DEEDS)}
                value={what}
                onChange={(value) => keep(held, set(`/miss/deeds/${n}/what`, value))}
              />
              <At
                label={says(MISS.deedAt, { what: CLOSE_CALL_DEEDS[what] })}
                at={at}
                bare
                onChange={(then) => keep(held, set(`/miss/deeds/${n}/at`, then))}
              />
              <Button
                kind="quiet"
                label={says(MISS.drop, { what: CLOSE_CALL_DEEDS[what], at: Date.parse(at) })}
                onPress={() => keep(held, { op: 'drop', pointer: `/miss/deeds/${n}` })}
              >
                {MISS.out}
              </Button>
            </Row>
          </View>
        ))}
      </View>
      <Row>
        <Button onPress={() => keep(held, { op: 'append', pointer: '/miss/deeds', value: next() })}>
          {MISS.add}
        </Button>
      </Row>
    </View>
  );
}
const DEEDS = Object.keys(CLOSE_CALL_DEEDS) as CloseCallDeed[];

/** An hour on the clock of the water, on the day of the trip, or on the next where it lies before leaving. */
function At({
  label,
  at,
  bare = false,
  onChange,
}: {
  label: string;
  at: string;
  bare?: boolean;
  onChange: (at: string) => void;
}) {
  const { trip, reader, assessment } = useTrip();
  const { zone } = reader;
  const take = (time: string) => {
    // Emptied on the way to another hour.
    if (time === '') return;
    const on = (date: string) => {
      const found = wallToInstant(date, time, zone);
      return 'gap' in found ? undefined : found.at;
    };
    const { date } = trip.leave;
    const same = on(date);
    const before = same !== undefined && assessment.leave !== undefined && same < assessment.leave - MS.hour;
    const instant = before ? on(plusDays(date, 1)) : same;
    if (instant !== undefined) onChange(new Date(instant).toISOString());
  };
  return (
    <View style={{ gap: 4 }}>
      {bare ? null : <T as="label">{label}</T>}
      <Moment kind="time" label={label} value={wallTime(Date.parse(at), zone)} onChange={take} />
    </View>
  );
}
