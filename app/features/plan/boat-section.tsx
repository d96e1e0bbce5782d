import { View } from 'react-native';
import { useLocalSearchParams } from 'expo-router';
import type { Assessment, Trip } from '@escale/core/model';
import { CLOTHING, CRAFT, ROLES, TODAY } from '@escale/core/model/lists';
import { Button, Row } from '../../ui/button';
import { Fold } from '../../ui/fold';
import { later } from '../../ui/later';
import { Choice, optionsOf } from '../../ui/choice';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { fieldId, thingHref } from '../../data/where';
import { useGoTo } from '../forms/go-to';
import { newOnTrip } from '../shed/on-trip';
import { useTrip } from '../trip/use-trip';
import { TripForm, useTripChange } from '../trip/trip-form';
import { kindsSupplying } from '@escale/core/kit';
import { figureNamed, type Pace } from '@escale/core/verdict';
import { fellows, towing } from '@escale/core/boat';
import { COMPANY, CREW } from './words';
import { plainly } from '../../data/settings';
import { TextLink } from '../../ui/press';

const ShareBlock = later(() => import('./share-block').then((m) => m.ShareBlock));
const SeatsBlock = later(() => import('../load/seats-block').then((m) => m.SeatsBlock));

type Member = Trip['crew'][number];
const JACKETS = kindsSupplying('wearable');
const WEARS = optionsOf(CLOTHING);

export function BoatSection() {
  const { trip, shed } = useTrip();
  const change = useTripChange();
  const { at } = useLocalSearchParams<{ at?: string }>();
  useGoTo(at);
  const left = shed.people.filter((person) => !trip.crew.some((c) => c.person === person.id));
  const put = (crew: Member[], said: string) => change('/crew', crew, said);
  const add = (person: string) =>
    put([...trip.crew, { person, role: trip.crew.length === 0 ? 'skipper' : 'crew' }], 'crew');
  return (
    <View style={{ gap: 16 }}>
      <View style={{ gap: 6 }}>
        <T as="section" heading={3}>
          Boat
        </T>
        {shed.boats.length === 0 ? (
          <T as="soft">No boat in the shed yet.</T>
        ) : (
          <Choice
            label="Boat"
            id={fieldId('/boat')}
            options={shed.boats.map((b) => ({ value: b.id, label: b.name, note: CRAFT[b.kind] }))}
            value={trip.boat}
            onChange={(boat) => change('/boat', boat, 'boat')}
            clearable
          />
        )}
        {trip.boat ? (
          <TextLink href={thingHref('boat', trip.boat)}>Her own page: measures, plate, openings</TextLink>
        ) : (
          <TextLink href={newOnTrip('boat', trip.id, 'plan/boat')}>Add a boat</TextLink>
        )}
      </View>
      <SeatsBlock />
      <View style={{ gap: 10 }} id={fieldId('/crew')} tabIndex={-1} role="group" aria-label="Crew">
        <T as="section" heading={3}>
          Crew
        </T>
        {trip.crew.map((member, i) => (
          <CrewCard
            key={member.person}
            member={member}
            i={i}
            put={(next) =>
              put(
                trip.crew.flatMap((c, n) => (n === i ? (next ? [next] : []) : [c])),
                'crew',
              )
            }
          />
        ))}
        {left.length > 0 ? (
          <Row>
            {left.map((person) => (
              <Button
                key={person.id}
                label={plainly(CREW.add, { name: person.name })}
                onPress={() => add(person.id)}
              >
                {plainly(CREW.plus, { name: person.name })}
              </Button>
            ))}
          </Row>
        ) : null}
        <TextLink href={newOnTrip('person', trip.id, 'plan/boat')}>Someone new</TextLink>
      </View>
      <Company />
      <TripForm fields={['fishing', 'title']} />
    </View>
  );
}

/** Several boats on one trip: who is in which, and who can tow whom into today's wind. */
function Company() {
  const p = usePalette();
  const { trip, shed, says, prepared, assessment, input } = useTrip();
  const wind = prepared.match(assessment.leave).world.facts['day.wind'];
  const own = shed.boats.find((b) => b.id === trip.boat);
  const speed = paceOf(assessment);
  const all = fellows(trip, shed.boats, own && { boat: own, ...(speed ? { speed } : {}) });
  return (
    <View style={{ gap: 8 }}>
      <TripForm fields={FIELDS} />
      {all.length < 2 ? null : <ShareBlock />}
      {all.length < 2 ? null : (
        <View role="list" aria-label="Who can tow whom">
          <T as="strong">
            {typeof wind === 'number'
              ? says(input.conditions.forecast?.invented ? COMPANY.intoInvented : COMPANY.into, { wind })
              : COMPANY.calm}
          </T>
          {all.map(({ boat, people }) => {
            const speed = towing(boat, typeof wind === 'number' ? wind : 0);
            return (
              <View
                key={boat.id}
                role="listitem"
                style={{
                  flexDirection: 'row',
                  justifyContent: 'space-between',
                  borderBottomWidth: 1,
                  borderColor: p.line,
                  paddingVertical: 6,
                  gap: 8,
                }}
              >
                <T style={{ flex: 1 }}>{says(COMPANY.aboard, { boat: boat.name, n: people.length })}</T>
                <T as="strong">
                  {speed === undefined
                    ? COMPANY.unknown
                    : speed === 0
                      ? COMPANY.noWay
                      : says(COMPANY.tows, { speed })}
                </T>
              </View>
            );
          })}
          <T as="small">
            Our own estimate: one of about her own size, flat water, wind as it is low over the water.
          </T>
        </View>
      )}
    </View>
  );
}
const FIELDS = ['company'] as const;
function paceOf({ figures }: Assessment): Pace | undefined {
  const speed = figureNamed(figures, 'passage/speed');
  return speed && { value: speed.value, guessed: speed.guessed === true };
}

function CrewCard({
  member,
  i,
  put,
}: {
  member: Member;
  i: number;
  put: (next: Member | undefined) => void;
}) {
  const p = usePalette();
  const { shed, assessment, trip } = useTrip();
  const others = trip.crew.flatMap((c) =>
    c.person === member.person ? [] : (shed.people.find((who) => who.id === c.person) ?? []),
  );
  const person = shed.people.find((who) => who.id === member.person);
  const matched = assessment.requirements
    .flatMap((r) => r.metBy)
    .find((use) => use.person === member.person)?.item;
  const jackets = shed.gear.filter((g) => JACKETS.has(g.kind));
  const jacket = shed.gear.find((g) => g.id === (member.jacket ?? matched));
  const name = person?.name ?? 'crew';
  const { at } = useLocalSearchParams<{ at?: string }>();
  const began = MORE.some((field) => at === `/crew/${i}/${field}`);
  const drives = shed.boats
    .find((b) => b.id === trip.boat)
    ?.propulsion.some((d) => d.kind === 'outboard' || d.kind === 'inboard');
  return (
    <View
      role="group"
      aria-label={person?.name ?? 'Someone no longer in the shed'}
      style={{ borderWidth: 1, borderColor: p.line, backgroundColor: p.raised, padding: 10, gap: 8 }}
    >
      <View style={{ flexDirection: 'row', justifyContent: 'space-between', alignItems: 'center' }}>
        {person ? (
          <TextLink href={thingHref('person', person.id)}>{person.name}</TextLink>
        ) : (
          <T as="strong">No longer in the shed</T>
        )}
        <Button kind="quiet" label={plainly(CREW.ashore, { name })} onPress={() => put(undefined)}>
          stays ashore
        </Button>
      </View>
      <Choice
        label={plainly(CREW.role, { name })}
        options={optionsOf(ROLES)}
        value={member.role}
        onChange={(role) => role && put({ ...member, role: role as Member['role'] })}
      />
      <T as="label">Wears</T>
      <Choice
        label={plainly(CREW.clothing, { name })}
        id={fieldId(`/crew/${i}/clothing`)}
        options={WEARS}
        value={member.clothing}
        clearable
        onChange={(clothing) => put({ ...member, clothing: clothing as Member['clothing'] })}
      />
      <T as="label">{jacket ? plainly(CREW.jacketNamed, { jacket: jacket.name }) : CREW.jacketOn}</T>
      <Said
        label={plainly(CREW.wears, { name })}
        id={fieldId(`/crew/${i}/wearsJacket`)}
        value={member.wearsJacket}
        onChange={(on) =>
          put(on === undefined ? without(member, 'wearsJacket') : { ...member, wearsJacket: on })
        }
      />
      {member.role === 'skipper' && drives ? (
        <>
          <T as="label">Kill cord on whenever she runs</T>
          <Said
            label={plainly(CREW.cord, { name })}
            id={fieldId(`/crew/${i}/cord`)}
            value={member.cord}
            onChange={(on) => put(on === undefined ? without(member, 'cord') : { ...member, cord: on })}
          />
        </>
      ) : null}
      <Fold title={plainly(CREW.more, { name })} begin={began}>
        <View style={{ gap: 8, paddingTop: 8 }}>
          <T as="label">Today</T>
          <Choice
            label={plainly(CREW.today, { name })}
            options={optionsOf(TODAY)}
            value={member.today}
            clearable
            onChange={(today) =>
              put(today ? { ...member, today: today as Member['today'] } : without(member, 'today'))
            }
          />
          {others.length > 0 ? (
            <>
              <T as="label">Keeps an eye on</T>
              <Choice
                label={plainly(CREW.eye, { name })}
                options={others.map((o) => ({ value: o.id, label: o.name }))}
                value={member.buddy}
                clearable
                onChange={(buddy) => put(buddy ? { ...member, buddy } : without(member, 'buddy'))}
              />
            </>
          ) : null}
          {jackets.length > 0 ? (
            <>
              {' '}
              <T as="label">{CREW.whichJacket}</T>
              <Choice
                label={plainly(CREW.jacket, { name })}
                options={[
                  { value: '', label: 'The one that fits best' },
                  ...jackets.map((g) => ({ value: g.id, label: g.name })),
                ]}
                value={member.jacket ?? ''}
                onChange={(id) => put(id ? { ...member, jacket: id } : without(member, 'jacket'))}
              />
            </>
          ) : null}
        </View>
      </Fold>
    </View>
  );
}

/** Of a member what is asked behind “more”. */
const MORE = ['today', 'buddy', 'jacket'];

const YES_NO = [
  { value: 'yes', label: 'Yes' },
  { value: 'no', label: 'No' },
];

/** Declared, denied, or not said: the three are kept apart. */
function Said({
  label,
  id,
  value,
  onChange,
}: {
  label: string;
  id: string;
  value: boolean | undefined;
  onChange: (value: boolean | undefined) => void;
}) {
  return (
    <Choice
      label={label}
      id={id}
      options={YES_NO}
      value={value === undefined ? undefined : value ? 'yes' : 'no'}
      clearable
      onChange={(v) => onChange(v === undefined ? undefined : v === 'yes')}
    />
  );
}

/** A member with one answer taken back: absent is unknown. */
function without(member: Member, key: 'jacket' | 'today' | 'buddy' | 'wearsJacket' | 'cord'): Member {
  const { [key]: _gone, ...rest } = member;
  return rest;
}
