import { useState } from 'react';
import { View } from 'react-native';
import { TextInput } from 'react-native-paper';
import type { GearKind, ThingType } from '@escale/core/model';
import { CRAFT, PLACE_KINDS, WATERS } from '@escale/core/model/lists';
import { Choice, Tick } from '../../ui/choice';
import { Empty, Page } from '../../ui/page';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { useCalls, useKind, useThings, useToday } from '../../data/hooks';
import { setSettings, useSettings, plainly } from '../../data/settings';
import type { Held } from '../../data/things';
import { Exchange } from './exchange';
import { StartingSet } from './starting-set';
import { thingHref, type ShedType } from '../../data/where';
import { CATALOGUE, toLookAt } from '@escale/core/kit';
import { CardLink, TextLink } from '../../ui/press';
import { gearNote } from './gear-note';
import { Button, Row } from '../../ui/button';
import { enterDemo, inDemo } from '../../data/memory';
import { RemindHere } from '../device/install';
import { DEMO, DEVICES } from '../device/words';
import { LOCKER, LOOK, REMOVED, SHED } from './words';

const SHELVES: { type: ShedType; title: string; one: string; why: string }[] = [
  {
    type: 'boat',
    title: 'Boats',
    one: 'boat',
    why: 'Her length, plate and propulsion decide what is asked for and how far you get.',
  },
  {
    type: 'person',
    title: 'People',
    one: 'person',
    why: 'Weight and age decide which jacket fits; swimming decides the limits.',
  },
  { type: 'gear', title: 'Kit', one: 'thing', why: 'Only what is here, and in order, can count for a trip.' },
  { type: 'place', title: 'Places', one: 'place', why: 'Launches, halts, landings, hazards.' },
  { type: 'water', title: 'Waters', one: 'water', why: 'Kind, zone, tide and whose rules hold.' },
  {
    type: 'contact',
    title: 'Contacts',
    one: 'contact',
    why: 'People ashore who notice when you don’t come home.',
  },
];
const GROUPS: Record<GearKind['group'], string> = {
  wear: 'To wear',
  signal: 'Signals',
  light: 'Lights',
  call: 'To call with',
  drive: 'Drive',
  'water-out': 'Water out',
  hold: 'To hold',
  tool: 'Tools',
  care: 'Care',
  comfort: 'Fishing and comfort',
  paper: 'Papers',
};

/** What you own and know, kept between trips. */
export function ShedPage() {
  return (
    <Page title="Shed" lead="Boats, kit, people and places.">
      {SHELVES.map((shelf) => (
        <Shelf key={shelf.type} {...shelf} />
      ))}
      <Own />
    </Page>
  );
}

function Shelf({ type, title, one, why }: (typeof SHELVES)[number]) {
  const things = useKind(type as ThingType);
  const { ready } = useThings();
  return (
    <View style={{ gap: 4 }}>
      <View style={{ flexDirection: 'row', justifyContent: 'space-between', alignItems: 'center' }}>
        <T as="section" heading={2}>
          {title}
        </T>
        <TextLink href={`/shed/${type}/new`} label={plainly(SHED.addOne, { what: one })}>
          Add
        </TextLink>
      </View>
      {ready && things.length === 0 ? <Empty title={plainly(SHED.noneYet, { what: one })} why={why} /> : null}
      {type === 'gear' ? (
        <Locker things={things as Held<'gear'>[]} />
      ) : (
        things.map((held) => <Line key={held.id} held={held} note={noteOf(held)} />)
      )}
    </View>
  );
}

function Locker({ things }: { things: Held<'gear'>[] }) {
  const kinds = new Map(CATALOGUE.kinds.map((k) => [k.id, k]));
  const [find, setFind] = useState('');
  const today = useToday();
  const waiting = toLookAt(things.map((h) => h.doc)).length;
  const wanted = find.trim().toLowerCase();
  const shown = things.filter((h) =>
    `${h.doc.name} ${kinds.get(h.doc.kind)?.title ?? ''}`.toLowerCase().includes(wanted),
  );
  return (
    <>
      <TextInput
        mode="outlined"
        dense
        accessibilityLabel="Find in the locker"
        placeholder="Find in the locker"
        value={find}
        onChangeText={setFind}
      />
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 18 }}>
        {[
          ...(waiting > 0 ? [['/shed/look', plainly(LOOK.way, { n: waiting })]] : []),
          ['/shed/locker', LOCKER.way],
          ['/shed/round', 'Inspection round'],
          ['/shed/table', 'As a table (CSV)'],
          ['/shed/packs', 'Rule packs'],
        ].map(([href, words]) => (
          <TextLink key={href} href={href}>
            {words}
          </TextLink>
        ))}
      </View>
      <StartingSet />
      {wanted && shown.length === 0 ? <T as="soft">Nothing of that name in the locker.</T> : null}
      {(Object.keys(GROUPS) as GearKind['group'][]).map((group) => {
        const some = shown.filter((h) => (kinds.get(h.doc.kind)?.group ?? 'comfort') === group);
        return some.length === 0 ? null : (
          <View key={group}>
            <T as="caps" style={{ marginTop: 8 }}>
              {GROUPS[group]}
            </T>
            {some.map((held) => (
              <Line key={held.id} held={held} note={gearNote(held.doc, today)} />
            ))}
          </View>
        );
      })}
    </>
  );
}

function noteOf(held: Held): string {
  if (held.type === 'boat') return CRAFT[(held as Held<'boat'>).doc.kind];
  if (held.type === 'person') {
    const { born } = (held as Held<'person'>).doc;
    return born ? plainly(SHED.born, { born }) : '';
  }
  if (held.type === 'place') return PLACE_KINDS[(held as Held<'place'>).doc.kind];
  if (held.type === 'water') return WATERS[(held as Held<'water'>).doc.class];
  return held.type === 'contact' ? ((held as Held<'contact'>).doc.relation ?? '') : '';
}

function Line({ held, note }: { held: Held; note: string }) {
  const p = usePalette();
  const { name } = held.doc as { name: string };
  return (
    <CardLink
      href={thingHref(held.type, held.id)}
      label={plainly(SHED.line, { name, note })}
      style={{
        minHeight: 48,
        paddingVertical: 8,
        borderBottomWidth: 1,
        borderColor: p.line,
      }}
    >
      <View
        style={{
          flexDirection: 'row',
          justifyContent: 'space-between',
          gap: 12,
          flex: 1,
          alignItems: 'center',
        }}
      >
        <T style={{ flex: 1 }}>{name}</T>
        <T as="label" style={{ maxWidth: '55%', textAlign: 'right' }}>
          {note}
        </T>
      </View>
    </CardLink>
  );
}

/** What this device keeps for itself, and the whole shed as a file. */
function Own() {
  const settings = useSettings();
  const invented = useCalls()?.simulated === true;
  const p = usePalette();
  return (
    <View style={{ gap: 10, borderTopWidth: 2, borderColor: p.ink, paddingTop: 12, marginTop: 8 }}>
      <T as="section" heading={2}>
        This device
      </T>
      <T as="label">Colours</T>
      <Choice
        label="Colours"
        options={[
          { value: 'day', label: 'Day' },
          { value: 'night', label: 'Night' },
          { value: 'sun', label: 'Sun' },
        ]}
        value={settings.theme}
        onChange={(theme) => theme && void setSettings({ theme: theme as typeof settings.theme })}
      />
      <T as="label">Units</T>
      <Choice
        label="Units"
        options={[
          { value: 'metric', label: 'Metres, kilograms, °C' },
          { value: 'us', label: 'Feet, pounds, °F' },
        ]}
        value={settings.units}
        onChange={(units) => units && void setSettings({ units: units as typeof settings.units })}
      />
      <T as="label">Clock</T>
      <Choice
        label="Clock"
        options={[
          { value: '24', label: '18:30' },
          { value: '12', label: '6:30 pm' },
        ]}
        value={settings.clock}
        onChange={(clock) => clock && void setSettings({ clock: clock as typeof settings.clock })}
      />
      <Tick
        label="Single-key shortcuts"
        note="Press ? for the list"
        on={settings.shortcuts}
        onChange={(shortcuts) => void setSettings({ shortcuts })}
      />
      <RemindHere />
      {inDemo || invented ? null : (
        <View style={{ gap: 4 }}>
          <Row>
            <Button onPress={enterDemo}>{DEMO.open}</Button>
          </Row>
          <T as="small">{DEMO.why}</T>
        </View>
      )}
      <TextLink href="/shed/removed">{REMOVED.title}</TextLink>
      <Exchange />
      <TextLink href="/shed/devices">{DEVICES.title}</TextLink>
    </View>
  );
}
