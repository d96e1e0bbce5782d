import { useState } from 'react';
import { View } from 'react-native';
import { forgottenBefore } from '@escale/core/kit';
import { Button } from '../../ui/button';
import { Fold } from '../../ui/fold';
import { Guard } from '../../ui/guard';
import { later } from '../../ui/later';
import { Check } from '../../ui/mark';
import { TextLink } from '../../ui/press';
import { T } from '../../ui/text';
import { withProcedures } from '../../data/procedures';
import { remove, restore } from '../../data/outbox';
import { envelopeHref, sectionHref } from '../../data/where';
import { ThingForm } from '../forms/thing-form';
import { Looks } from '../go/looks';
import { useUndo } from '../mishap/undo';
import { useTrip } from '../trip/use-trip';
import { AsItWas } from './as-it-was';
import { useDebrief } from './begun';
import { CATCH } from './catch-words';
import { Catches } from './catch';
import { Fuel } from './fuel';
import { keep, set, type OfDebrief } from './keep';
import { WhoDidWell, WhoWent } from './people';
import { Things } from './things';
import { Times } from './times';
import { DEBRIEF } from './words';

const MissView = later(() => withProcedures(import('../whatif/pages')).then((m) => m.MissView));

/** How it was, in two minutes by thumb: each row says how it stands and opens; what is said flows back into the shed and the next plan. */
export function DebriefSection() {
  const { held, ...begin } = useDebrief();
  return held ? <Told held={held} /> : <Begin {...begin} />;
}

function Begin({ boat, people, begin }: Omit<ReturnType<typeof useDebrief>, 'held'>) {
  const { says } = useTrip();
  const [begun, setBegun] = useState(false);
  const go = () => {
    setBegun(true);
    begin(true);
  };
  return (
    <View style={{ gap: 10 }}>
      <Looks />
      <T as="soft">{DEBRIEF.beginLead}</T>
      <T>
        {boat && people.length > 0
          ? says(DEBRIEF.beginAs, { who: people.map(({ name }) => name), boat: boat.name })
          : DEBRIEF.beginNobody}
      </T>
      <Button kind="main" wet busy={begun} onPress={go}>
        {DEBRIEF.begin}
      </Button>
    </View>
  );
}

function Told({ held }: OfDebrief) {
  const { trip } = useTrip();
  const { left, home, met } = held.doc;
  const timed = left !== undefined && home !== undefined;
  return (
    <View style={{ gap: 4 }}>
      <Looks />
      <T as="soft">{DEBRIEF.lead}</T>
      <WhoWent held={held} />
      <Times held={held} begin={!timed} />
      <AsItWas held={held} begin={timed && met === undefined} />
      <Forgotten held={held} />
      <Things held={held} />
      <Fuel held={held} />
      <Caught held={held} />
      <WhoDidWell held={held} />
      <Note held={held} />
      <Guard instead={(_, retry) => <NoMiss retry={retry} />}>
        <MissView held={held} />
      </Guard>
      <T as="section" heading={2} style={{ paddingTop: 16 }}>
        {DEBRIEF.next}
      </T>
      <TextLink href={sectionHref(trip.id, 'home/after')}>{DEBRIEF.after}</TextLink>
      <TextLink href="/practice/logbook">{DEBRIEF.logbook}</TextLink>
      <TextLink href={envelopeHref()}>{DEBRIEF.envelope}</TextLink>
      <TakeAway held={held} />
    </View>
  );
}

/** A part that could not be fetched takes nothing else with it. */
function NoMiss({ retry }: { retry: () => void }) {
  return (
    <View role="group" style={{ gap: 6 }}>
      <T as="soft">{DEBRIEF.missGone}</T>
      <Button onPress={retry}>{DEBRIEF.missAgain}</Button>
    </View>
  );
}

function TakeAway({ held }: OfDebrief) {
  const undo = useUndo();
  const drop = () => {
    void remove(held, DEBRIEF.removed);
    undo(DEBRIEF.removed, () => restore(held, DEBRIEF.putBack));
  };
  return (
    <View style={{ gap: 6, paddingTop: 24 }}>
      <T as="soft">{DEBRIEF.removeNote}</T>
      <Button onPress={drop}>{DEBRIEF.remove}</Button>
    </View>
  );
}

/** What is forgotten again is one tap, what is new is written. */
const MOST_AGAIN = 6;

function Forgotten({ held }: OfDebrief) {
  const { shed, trip, says } = useTrip();
  const { forgotten } = held.doc;
  const before = forgottenBefore(shed.debriefs.filter((d) => d.trip !== trip.id))
    .map(({ what }) => what)
    .slice(0, MOST_AGAIN);
  const put = (what: string, on: boolean) =>
    keep(held, set('/forgotten', on ? [...forgotten, what] : forgotten.filter((one) => one !== what)));
  return (
    <Fold
      title={DEBRIEF.forgotten}
      note={forgotten.length === 0 ? DEBRIEF.unsaid : says(DEBRIEF.forgottenSaid, { n: forgotten.length })}
    >
      <View style={{ gap: 10, paddingTop: 10 }}>
        <T as="soft">{DEBRIEF.forgottenLead}</T>
        {before.length > 0 ? <T as="label">{DEBRIEF.forgottenAgain}</T> : null}
        {before.map((what) => (
          <Check key={what} label={what} on={forgotten.includes(what)} onChange={(on) => put(what, on)}>
            <T>{what}</T>
          </Check>
        ))}
        <ThingForm
          type="debrief"
          doc={held.doc}
          only={['forgotten']}
          onPatch={(patch) => keep(held, ...patch)}
        />
      </View>
    </Fold>
  );
}

function Caught({ held }: OfDebrief) {
  const { says } = useTrip();
  const all = Object.values(held.doc.caught ?? {});
  const kept = all.filter((one) => one.kept).length;
  return (
    <Fold
      title={CATCH.title}
      note={all.length === 0 ? DEBRIEF.unsaid : says(CATCH.said, { n: all.length, kept })}
    >
      <View style={{ paddingTop: 10 }}>
        <Catches held={held} />
      </View>
    </Fold>
  );
}

function Note({ held }: OfDebrief) {
  return (
    <Fold title={DEBRIEF.note} note={held.doc.note ? DEBRIEF.noteSaid : DEBRIEF.unsaid}>
      <View style={{ paddingTop: 10 }}>
        <ThingForm type="debrief" doc={held.doc} only={['note']} onPatch={(patch) => keep(held, ...patch)} />
      </View>
    </Fold>
  );
}
