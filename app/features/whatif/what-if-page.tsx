import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { INCIDENT_KINDS, type IncidentKind } from '@escale/core/model/lists';
import type { LatLon } from '@escale/core/earth';
import { render } from '@escale/core/say';
import { MS } from '@escale/core/units';
import type { Column, Worst } from '@escale/core/whatif';
import { incidentsFor } from '@escale/core/whatif/incidents';
import { Button, Row } from '../../ui/button';
import { Fold } from '../../ui/fold';
import { Check } from '../../ui/mark';
import { Empty, Page, useWide } from '../../ui/page';
import { TextLink } from '../../ui/press';
import { Select } from '../../ui/select';
import { Slider } from '../../ui/slider';
import { T } from '../../ui/text';
import { useHere } from '../../data/here';
import { useNow } from '../../data/hooks';
import { plainly } from '../../data/settings';
import { useTrip } from '../trip/use-trip';
import { useCards } from '../go/use-cards';
import { AskCrew } from './ask-crew';
import { BestView } from './best-view';
import { GlanceList, GlanceView } from './glance-view';
import { ToldList } from './told-list';
import { useAsked, useGlance, useMoment, type Moment } from './use-what-if';
import { WayView } from './way-view';
import { CARDS, GLANCE, IF } from './words';

/** What follows if something goes wrong at any moment of the day, and what would change it. */
export function WhatIfPage() {
  const { trip, shed, assessment } = useTrip();
  const boat = shed.boats.find(({ id }) => id === trip.boat);
  const rows = useMemo(
    () => incidentsFor({ trip, ...(boat ? { boat } : {}) }).map(({ id }) => id),
    [trip, boat],
  );
  const { schedule } = assessment;
  if (!boat)
    return (
      <Page title={IF.title} lead={IF.lead}>
        <Empty title={IF.title} why={IF.noTrip}>
          <TextLink href={`/trips/${trip.id}/plan/boat`}>{IF.noTrip}</TextLink>
        </Empty>
      </Page>
    );
  const span = schedule?.home === undefined ? undefined : { from: schedule.leave, until: schedule.home };
  return <Asked rows={rows} span={span} turn={schedule?.turnBack} />;
}

interface Span {
  from: number;
  until: number;
}

const FIRST: IncidentKind = 'capsized';
/** The slider goes in steps of this. */
const STEP = 5 * MS.minute;

function Asked({
  rows,
  span,
  turn,
}: {
  rows: readonly IncidentKind[];
  span: Span | undefined;
  turn: number | undefined;
}) {
  const wide = useWide();
  const now = useNow(MS.minute);
  const device = useHere(MS.minute);
  const [chosen, setChosen] = useState<{ at?: number; incident?: IncidentKind; opening?: number }>({});
  const [live, setLive] = useState(false);
  const [worse, setWorse] = useState(false);
  const asked = useAsked(worse);
  const here: LatLon | undefined =
    live && device.here ? { lat: device.here.lat, lon: device.here.lon } : undefined;
  const within = (at: number) => (span ? Math.min(span.until, Math.max(span.from, at)) : at);
  const at = here ? now : within(chosen.at ?? turn ?? span?.from ?? now);
  const known = chosen.incident !== undefined && rows.includes(chosen.incident);
  const id = known ? chosen.incident! : rows.includes(FIRST) ? FIRST : rows[0];
  const moment: Moment = {
    at,
    ...(here ? { here } : {}),
    incident: {
      id,
      ...(id === 'flooding' && chosen.opening !== undefined ? { opening: chosen.opening } : {}),
    },
  };
  const pick = (next: { at?: number; incident?: IncidentKind | undefined }) => {
    if (next.at !== undefined) setLive(false);
    setChosen({
      ...chosen,
      ...(next.at === undefined ? {} : { at: next.at }),
      ...(next.incident === undefined ? {} : { incident: next.incident }),
    });
  };
  const asking = (
    <Asking
      rows={rows}
      span={here ? undefined : span}
      moment={moment}
      live={here !== undefined}
      read={device.here?.at}
      worse={worse}
      onPick={pick}
      onOpening={(opening) => {
        const { opening: _before, ...rest } = chosen;
        setChosen(opening === undefined ? rest : { ...rest, opening });
      }}
      onWorse={setWorse}
    />
  );
  const from = (
    <Row>
      {here ? (
        <Button onPress={() => setLive(false)}>{IF.planned}</Button>
      ) : (
        <Button
          onPress={() => {
            setLive(true);
            device.ask();
          }}
        >
          {IF.here}
        </Button>
      )}
      {device.said ? <T role="status">{device.said}</T> : null}
    </Row>
  );
  return (
    <Page title={IF.title} lead={IF.lead} style={{ maxWidth: wide ? 1280 : 760 }}>
      <Told moment={moment} asked={asked} asking={asking} from={from} span={span} rows={rows} onPick={pick} />
    </Page>
  );
}

type Pick = (next: { at?: number; incident?: IncidentKind | undefined }) => void;

/** The moment beside the day, or under it on a phone. */
function Told({
  moment,
  asked,
  asking,
  from,
  span,
  rows,
  onPick,
}: {
  moment: Moment;
  asked: ReturnType<typeof useAsked>;
  asking: React.ReactNode;
  from: React.ReactNode;
  span: Span | undefined;
  rows: readonly IncidentKind[];
  onPick: Pick;
}) {
  const wide = useWide();
  const { answer, changes } = useMoment(asked, moment);
  const day = useGlance(span ? asked : undefined);
  const last = answer.parts.at(-1);
  const told = last?.answer;
  const first = (
    <View style={wide ? { flex: 1, minWidth: 0, gap: 12 } : { gap: 12 }}>
      {asking}
      {answer.failed ? (
        <T role="alert">{IF.failed}</T>
      ) : told ? (
        <>
          <BestView answer={told} changes={changes} />
          <Card incident={told.incident.id} />
          <ToldList told={told.told} at={told.at} />
        </>
      ) : (
        <T role="status">{last ? IF.nowhere : IF.reckoning}</T>
      )}
      {from}
    </View>
  );
  const whole = (
    <View style={wide ? { flex: 1, minWidth: 0, gap: 12 } : { gap: 12 }}>
      {span ? (
        <Day
          day={day}
          span={span}
          rows={rows}
          moment={moment}
          tracks={told?.tracks ?? []}
          here={told?.here}
          onPick={onPick}
        />
      ) : (
        <NoDay />
      )}
    </View>
  );
  return wide ? (
    <View style={{ flexDirection: 'row', gap: 24, alignItems: 'flex-start' }}>
      {whole}
      {first}
    </View>
  ) : (
    <>
      {first}
      {whole}
    </>
  );
}

/** What to do then: its own card, words first. */
function Card({ incident }: { incident: IncidentKind }) {
  const { trip } = useTrip();
  const cards = useCards();
  const wanted = CARDS[incident] ?? [];
  const card = wanted.flatMap((id) => cards.find((each) => each.id === id) ?? [])[0];
  return card ? (
    <TextLink href={`/trips/${trip.id}/trouble/${card.id}`}>
      {plainly(IF.card, { title: card.title })}
    </TextLink>
  ) : null;
}

function NoDay() {
  const { trip } = useTrip();
  return (
    <Empty title={GLANCE.title} why={IF.noDay}>
      <TextLink href={`/trips/${trip.id}/plan/day`}>{IF.toDay}</TextLink>
    </Empty>
  );
}

/** Which incident, which hour, which opening, which weather. */
function Asking({
  rows,
  span,
  moment: { at, incident },
  live,
  read,
  worse,
  onPick,
  onOpening,
  onWorse,
}: {
  rows: readonly IncidentKind[];
  span: Span | undefined;
  moment: Moment;
  live: boolean;
  read: number | undefined;
  worse: boolean;
  onPick: Pick;
  onOpening: (opening: number | undefined) => void;
  onWorse: (worse: boolean) => void;
}) {
  const { says, trip, shed } = useTrip();
  const holes = shed.boats.find(({ id }) => id === trip.boat)?.openings ?? [];
  return (
    <View style={{ gap: 8 }}>
      <Labelled label={IF.what}>
        <Select
          label={IF.what}
          options={rows.map((id) => ({ value: id, label: INCIDENT_KINDS[id] }))}
          value={incident.id}
          onChange={(id) => onPick({ incident: id as IncidentKind })}
        />
      </Labelled>
      {incident.id === 'flooding' && holes.length > 1 ? (
        <Labelled label={IF.through}>
          <Select
            label={IF.through}
            unsaid={IF.anyHole}
            options={holes.map(({ name }, i) => ({ value: String(i), label: name }))}
            value={incident.opening === undefined ? '' : String(incident.opening)}
            onChange={(value) => onOpening(value === '' ? undefined : Number(value))}
          />
        </Labelled>
      ) : null}
      {span ? (
        <Slider
          label={IF.hour}
          said={says(IF.hourIs, { at })}
          value={at}
          from={span.from}
          until={span.until}
          step={STEP}
          onChange={(next) => onPick({ at: next })}
        />
      ) : null}
      <Row style={{ justifyContent: 'space-between' }}>
        <T as="soft">{live && read !== undefined ? says(IF.device, { at: read }) : says(IF.where, { at })}</T>
        <Check label={IF.worse} on={worse} onChange={onWorse}>
          <T>{IF.worse}</T>
        </Check>
      </Row>
      {worse ? <T as="small">{IF.worseWhy}</T> : null}
    </View>
  );
}

const Labelled = ({ label, children }: { label: string; children: React.ReactNode }) => (
  <View style={{ gap: 4 }}>
    <T as="label">{label}</T>
    {children}
  </View>
);

/** The day at a glance: the way, the rows, and the three worst moments in words. */
function Day({
  day,
  span,
  rows,
  moment,
  tracks,
  here,
  onPick,
}: {
  day: ReturnType<typeof useGlance>;
  span: Span;
  rows: readonly IncidentKind[];
  moment: Moment;
  tracks: readonly (readonly LatLon[])[];
  here: LatLon | undefined;
  onPick: Pick;
}) {
  const { says } = useTrip();
  const { columns, worst, whole, done, of, failed, stopped, stop, go } = day;
  return (
    <>
      <Row style={{ justifyContent: 'space-between' }}>
        <T as="section" heading={2}>
          {GLANCE.title}
        </T>
        {stopped ? (
          <Button kind="quiet" onPress={go}>
            {GLANCE.go}
          </Button>
        ) : whole || failed ? null : (
          <Row>
            <T as="small" role="status">
              {says(GLANCE.looking, { done, of })}
            </T>
            <Button kind="quiet" onPress={stop}>
              {GLANCE.stop}
            </Button>
          </Row>
        )}
      </Row>
      {failed ? <T role="alert">{IF.failed}</T> : null}
      <WayView columns={columns} here={here} tracks={tracks} onPick={(at) => onPick({ at })} />
      <GlanceView
        columns={columns}
        rows={rows}
        from={span.from}
        until={span.until}
        at={moment.at}
        incident={moment.incident.id}
        onPick={(at, incident) => onPick({ at, incident })}
      />
      <T as="small">{GLANCE.key}</T>
      {columns.length > 0 ? <AsList columns={columns} rows={rows} /> : null}
      {whole ? <WorstMoments worst={worst} onPick={onPick} /> : null}
      <AskCrew worst={whole ? worst : undefined} />
    </>
  );
}

const AsList = ({ columns, rows }: { columns: readonly Column[]; rows: readonly IncidentKind[] }) => (
  <Fold title={GLANCE.table}>
    <GlanceList columns={columns} rows={rows} />
  </Fold>
);

function WorstMoments({ worst, onPick }: { worst: readonly Worst[]; onPick: Pick }) {
  const { says, reader } = useTrip();
  if (worst.length === 0) return <T as="strong">{GLANCE.quiet}</T>;
  return (
    <View style={{ gap: 6 }}>
      <T as="section" heading={3}>
        {GLANCE.worst}
      </T>
      <View role="list" aria-label={GLANCE.worst} style={{ gap: 8 }}>
        {worst.map(({ at, incident, says: gap }) => (
          <View role="listitem" key={incident} style={{ gap: 2, alignItems: 'flex-start' }}>
            <Button onPress={() => onPick({ at, incident })}>
              {says(GLANCE.worstOne, { at, what: INCIDENT_KINDS[incident] })}
            </Button>
            <T>{render(gap, reader)}</T>
          </View>
        ))}
      </View>
    </View>
  );
}
