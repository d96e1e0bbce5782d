import { View } from 'react-native';
import { Link, useLocalSearchParams } from 'expo-router';
import type { Trip } from '@escale/core/model';
import { CLOTHING, CRAFT } from '@escale/core/model/lists';
import { kindsSupplying } from '@escale/core/trip';
import { Button, Row } from '../../ui/button';
import { Choice, Tick } from '../../ui/choice';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { fieldId, thingHref } from '../../data/where';
import { useGoTo } from '../forms/thing-form';
import { useTrip } from '../trip/use-trip';
import { TripForm, useTripChange } from './trip-form';

type Member = Trip['crew'][number];
const JACKETS = kindsSupplying('wearable');
const ROLES = [{ value: 'skipper', label: 'Skipper' }, { value: 'crew', label: 'Crew' }, { value: 'driver', label: 'Second driver' }];
const WEARS = Object.entries(CLOTHING).map(([value, label]) => ({ value, label }));

export function BoatSection() {
  const { trip, shed } = useTrip();
  const change = useTripChange();
  const { at } = useLocalSearchParams<{ at?: string }>();
  useGoTo(at);
  const left = shed.people.filter((person) => !trip.crew.some((c) => c.person === person.id));
  const put = (crew: Member[], said: string) => change('/crew', crew, said);
  const add = (person: string) => put([...trip.crew, { person, role: trip.crew.length === 0 ? 'skipper' : 'crew' }], 'crew');
  return (
    <View style={{ gap: 16 }}>
      <View style={{ gap: 6 }}>
        <T as="section" heading={3}>Boat</T>
        {shed.boats.length === 0 ? <T as="soft">No boat in the shed yet.</T> : <Choice label="Boat" id={fieldId('/boat')} options={shed.boats.map((b) => ({ value: b.id, label: b.name, note: CRAFT[b.kind] }))} value={trip.boat} onChange={(boat) => change('/boat', boat, 'boat')} clearable />}
        {trip.boat ? <Link href={thingHref('boat', trip.boat)} style={{ paddingVertical: 12 }}><T style={{ textDecorationLine: 'underline' }}>Her own page: measures, plate, openings</T></Link> : <Link href={'/shed/boat/new'} style={{ paddingVertical: 12 }}><T style={{ textDecorationLine: 'underline' }}>Add a boat</T></Link>}
      </View>
      <View style={{ gap: 10 }} id={fieldId('/crew')} tabIndex={-1} role="group" aria-label="Crew">
        <T as="section" heading={3}>Crew</T>
        {trip.crew.map((member, i) => <CrewCard key={member.person} member={member} i={i} put={(next) => put(trip.crew.flatMap((c, n) => (n === i ? (next ? [next] : []) : [c])), 'crew')} />)}
        {left.length > 0 ? <Row>{left.map((person) => <Button key={person.id} label={`Add ${person.name}`} onPress={() => add(person.id)}>{`+ ${person.name}`}</Button>)}</Row> : null}
        <Link href={'/shed/person/new'} style={{ paddingVertical: 12 }}><T style={{ textDecorationLine: 'underline' }}>Someone new</T></Link>
      </View>
      <TripForm fields={['title']} />
    </View>
  );
}

function CrewCard({ member, i, put }: { member: Member; i: number; put: (next: Member | undefined) => void }) {
  const p = usePalette();
  const { shed, assessment } = useTrip();
  const person = shed.people.find((who) => who.id === member.person);
  const matched = assessment.requirements.flatMap((r) => r.metBy).find((use) => use.person === member.person)?.item;
  const jackets = shed.gear.filter((g) => JACKETS.has(g.kind));
  const jacket = shed.gear.find((g) => g.id === (member.jacket ?? matched));
  return (
    <View role="group" aria-label={person?.name ?? 'Someone no longer in the shed'} style={{ borderWidth: 1, borderColor: p.line, backgroundColor: p.raised, padding: 10, gap: 8 }}>
      <View style={{ flexDirection: 'row', justifyContent: 'space-between', alignItems: 'center' }}>
        {person ? <Link href={thingHref('person', person.id)}><T as="strong" style={{ fontSize: 17, textDecorationLine: 'underline' }}>{person.name}</T></Link> : <T as="strong">No longer in the shed</T>}
        <Button kind="quiet" label={`${person?.name ?? 'They'} stays ashore`} onPress={() => put(undefined)}>stays ashore</Button>
      </View>
      <Choice label={`Role of ${person?.name ?? 'crew'}`} options={ROLES} value={member.role} onChange={(role) => role && put({ ...member, role: role as Member['role'] })} />
      <T as="label">Wears</T>
      <Choice label={`Clothing of ${person?.name ?? 'crew'}`} id={fieldId(`/crew/${i}/clothing`)} options={WEARS} value={member.clothing} clearable onChange={(clothing) => put({ ...member, clothing: clothing as Member['clothing'] })} />
      <Tick label="Jacket on from launch to landing" on={member.wearsJacket === true} onChange={(on) => put({ ...member, wearsJacket: on })} {...(jacket ? { note: jacket.name } : {})} />
      {jackets.length > 0 ? <Choice label={`Jacket of ${person?.name ?? 'crew'}`} options={[{ value: '', label: 'The one that fits best' }, ...jackets.map((g) => ({ value: g.id, label: g.name }))]} value={member.jacket ?? ''} onChange={(id) => put(id ? { ...member, jacket: id } : withoutJacket(member))} /> : null}
    </View>
  );
}

function withoutJacket({ jacket: _jacket, ...member }: Member): Member {
  return member;
}
