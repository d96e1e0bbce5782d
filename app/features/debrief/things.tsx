import { useState } from 'react';
import { View } from 'react-native';
import { partsOf } from '@escale/core/boat/parts';
import { partPatch } from '@escale/core/kit/round';
import { becamePatch, takenBack } from '@escale/core/logbook/became';
import type { BecameKind, GearItem } from '@escale/core/model';
import { BECAME } from '@escale/core/model/lists';
import { Button, Row } from '../../ui/button';
import { Choice, optionsOf } from '../../ui/choice';
import { Fold } from '../../ui/fold';
import { Stepper } from '../../ui/stepper';
import { T } from '../../ui/text';
import { useKind, useToday } from '../../data/hooks';
import { change } from '../../data/outbox';
import type { Held } from '../../data/things';
import { partsHref } from '../../data/where';
import { ThingForm } from '../forms/thing-form';
import { TextLink } from '../../ui/press';
import { useTrip } from '../trip/use-trip';
import { keep, set, type OfDebrief } from './keep';
import { DEBRIEF } from './words';

/** A choice that is a part of the boat, not a thing of the shed. */
const PART = 'part:';

/** What was used up, broke or was lost: each goes back to the shed at once, and can be taken back. */
export function Things({ held }: OfDebrief) {
  const { says } = useTrip();
  const { things = {}, parts = [], broken } = held.doc;
  const n = Object.keys(things).length + parts.length + broken.length;
  return (
    <Fold title={DEBRIEF.things} note={n === 0 ? DEBRIEF.unsaid : says(DEBRIEF.thingsSaid, { n })}>
      <View style={{ gap: 14, paddingTop: 10 }}>
        <T as="soft">{DEBRIEF.thingsNone}</T>
        <Already held={held} />
        <Pick held={held} />
        <ThingForm
          type="debrief"
          doc={held.doc}
          only={['broken']}
          onPatch={(patch) => keep(held, ...patch)}
        />
      </View>
    </Fold>
  );
}

/** What was said already, each with the way back. */
function Already({ held }: OfDebrief) {
  const { says, shed } = useTrip();
  const gear = useKind('gear');
  const { things = {}, parts = [] } = held.doc;
  const boat = shed.boats.find(({ id }) => id === held.doc.boat);
  const titles = new Map(boat ? partsOf(boat).map(({ key, title }) => [key, title]) : []);
  const back = (id: string) => {
    const item = gear.find((one) => one.id === id);
    const became = things[id];
    if (item)
      void change(item, takenBack(item.doc, became), says(DEBRIEF.thingsBackOf, { name: item.doc.name }));
    keep(held, set(`/things/${id}`, undefined));
  };
  return (
    <View role="list" aria-label={DEBRIEF.things} style={{ gap: 6 }}>
      {Object.entries(things).map(([id, { became, of }]) => {
        const name = gear.find((one) => one.id === id)?.doc.name ?? DEBRIEF.thingsGone;
        return (
          <View key={id} role="listitem">
            <Row>
              <View style={{ flex: 1 }}>
                <T as="strong">{name}</T>
                <T as="soft">{says(DEBRIEF.thingsIs, { n: of, became: BECAME[became] })}</T>
              </View>
              <Button kind="quiet" label={says(DEBRIEF.thingsBackOf, { name })} onPress={() => back(id)}>
                {DEBRIEF.thingsBack}
              </Button>
            </Row>
          </View>
        );
      })}
      {parts.map((key) => (
        <View key={key} role="listitem">
          <T as="strong">
            {says(DEBRIEF.thingsDone, { name: titles.get(key) ?? key, became: DEBRIEF.thingsFailed })}
          </T>
          {boat ? <TextLink href={partsHref(boat.id, key)}>{DEBRIEF.fix}</TextLink> : null}
        </View>
      ))}
    </View>
  );
}

/** Which thing, or which part of her, and what became of it: one tap keeps it. */
function Pick({ held }: OfDebrief) {
  const { says } = useTrip();
  const gear = useKind('gear');
  const boats = useKind('boat');
  const today = useToday();
  const [picked, setPicked] = useState<string>();
  const { things = {}, parts = [] } = held.doc;
  const boat = boats.find(({ id }) => id === held.doc.boat);
  const hers = boat ? partsOf(boat.doc).filter(({ key }) => !parts.includes(key)) : [];
  const options = [
    ...gear
      .filter(({ id, doc }) => !(id in things) && doc.count > 0 && isAlong(doc, held.doc.boat))
      .map(({ id, doc }) => ({ value: id, label: doc.name })),
    ...hers.map(({ key, title }) => ({
      value: `${PART}${key}`,
      label: says(DEBRIEF.thingsPart, { boat: boat?.doc.name ?? '', part: title }),
    })),
  ];
  const take = (value: string | undefined) => {
    const part = value?.startsWith(PART)
      ? hers.find(({ key }) => key === value.slice(PART.length))
      : undefined;
    if (!part || !boat) return setPicked(value);
    void change(
      boat,
      partPatch(part, boat.doc, { on: today, passed: false }),
      says(DEBRIEF.thingsDone, { name: part.title, became: DEBRIEF.thingsFailed }),
    );
    keep(held, { op: 'append', pointer: '/parts', value: part.key });
  };
  const item = gear.find(({ id }) => id === picked && !(id in things));
  return (
    <View style={{ gap: 8 }}>
      <T as="label">{DEBRIEF.thingsPick}</T>
      <Choice label={DEBRIEF.thingsPick} options={options} value={item?.id} onChange={take} />
      {item ? <Say key={item.id} held={held} item={item} done={() => setPicked(undefined)} /> : null}
    </View>
  );
}

/** What of the shed was along in her, as far as it is told; what is fixed to another boat was not. */
const isAlong = ({ fittedTo, stowage }: GearItem, boat: string | undefined) =>
  stowage !== 'home' && (fittedTo === undefined || fittedTo === boat);

function Say({ held, item, done }: OfDebrief & { item: Held<'gear'>; done: () => void }) {
  const { says } = useTrip();
  const { name, count, state } = item.doc;
  const [of, setOf] = useState(1);
  const say = (became: BecameKind | undefined) => {
    if (became === undefined) return;
    void change(
      item,
      becamePatch(item.doc, became, of),
      says(DEBRIEF.thingsDone, { name, became: BECAME[became] }),
    );
    keep(held, set(`/things/${item.id}`, { became, of: Math.min(of, count), was: { count, state } }));
    done();
  };
  return (
    <>
      {count > 1 ? (
        <View style={{ gap: 4 }}>
          <T as="label">{says(DEBRIEF.thingsOf, { of: count })}</T>
          <Stepper
            what={says(DEBRIEF.thingsNamed, { name })}
            named={false}
            said={String(of)}
            less={says(DEBRIEF.thingsLess, { name })}
            more={says(DEBRIEF.thingsMore, { name })}
            onLess={() => setOf((n) => Math.max(1, n - 1))}
            onMore={() => setOf((n) => Math.min(count, n + 1))}
          />
        </View>
      ) : null}
      <Choice
        label={name}
        options={optionsOf(BECAME)}
        value={undefined}
        onChange={(became) => say(became as BecameKind | undefined)}
      />
    </>
  );
}
