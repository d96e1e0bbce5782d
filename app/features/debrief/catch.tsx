import { useState } from 'react';
import { View } from 'react-native';
import { civilDate } from '@escale/core/earth';
import { keepOrRelease, type Verdict } from '@escale/core/logbook/catch';
import { Catch as CatchSchema, type Catch as ACatch, type CatchLimit, type Water } from '@escale/core/model';
import { MEASURED } from '@escale/core/model/lists';
import { render } from '@escale/core/say';
import { format, MS } from '@escale/core/units';
import { Button, Row } from '../../ui/button';
import { Choice } from '../../ui/choice';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { useNow } from '../../data/hooks';
import { newId } from '../../data/outbox';
import { thingHref } from '../../data/where';
import { TextLink } from '../../ui/press';
import { ThingForm } from '../forms/thing-form';
import { useTrip } from '../trip/use-trip';
import { useUndo } from '../mishap/undo';
import { keep, set, type OfDebrief } from './keep';
import { CATCH } from './catch-words';

/** What of one fish is asked; whether it was kept is said by the button. */
const ASKED = ['species', 'length', 'measured', 'by'] as const;
const Draft = CatchSchema.omit({ kept: true, on: true });
type Draft = Omit<ACatch, 'kept' | 'on'>;

/** Fish and shellfish: keep or release by the limits of this water, then kept in the debrief. */
export function Catches({ held }: OfDebrief) {
  const { says } = useTrip();
  const { caught = {} } = held.doc;
  const all = Object.entries(caught);
  return (
    <View style={{ gap: 14 }}>
      <Fresh held={held} />
      {all.length > 0 ? (
        <View role="list" aria-label={CATCH.list} style={{ gap: 8 }}>
          <T as="strong">
            {says(CATCH.sum, { n: all.length, kept: all.filter(([, one]) => one.kept).length })}
          </T>
          {all.map(([id, one]) => (
            <One key={id} held={held} id={id} one={one} />
          ))}
        </View>
      ) : null}
    </View>
  );
}

/** The water, the day that limits count by, and all that was caught on that day, on whichever trip. */
function useDay(held: OfDebrief['held']) {
  const { shed, trip, reader, assessment } = useTrip();
  const now = useNow(MS.minute);
  const water = shed.waters.find(({ id }) => id === trip.water);
  const today = civilDate(now, reader.zone);
  const { home } = assessment.schedule ?? {};
  const last = home === undefined ? trip.leave.date : civilDate(home, reader.zone);
  // While one is out it is today; told later it is the day of the trip.
  const on = today >= trip.leave.date && today <= last ? today : held.doc.on;
  const before = shed.debriefs.flatMap((d) =>
    Object.values(d.caught ?? {}).filter((one) => (one.on ?? d.on) === on),
  );
  return { water, on, before };
}

/** The next one: what it is and how long, and what that comes to before it is kept or let go. */
function Fresh({ held }: OfDebrief) {
  const { shed, says } = useTrip();
  const { water, on, before } = useDay(held);
  const [id, setId] = useState(newId);
  // Begun with what is mostly the same as of the one before it.
  const [blank, setBlank] = useState<Partial<Draft>>(() => lastOf(before.at(-1)));
  const [fish, setFish] = useState<Draft>();
  const verdict =
    fish &&
    keepOrRelease(fish, {
      limits: water?.catchLimits ?? [],
      water: water?.name ?? CATCH.here,
      before,
      who: shed.people.find((person) => person.id === fish.by)?.name,
      on,
    });
  const put = (kept: boolean) => {
    if (!fish) return;
    keep(held, set(`/caught/${id}`, { ...fish, kept, on }));
    setBlank(lastOf(fish));
    setFish(undefined);
    setId(newId());
  };
  const again = () => {
    if (fish) setBlank(fish);
    setFish(undefined);
  };
  return (
    <View style={{ gap: 10 }}>
      <Limits water={water} says={says} />
      {fish && verdict ? (
        <>
          <Told verdict={verdict} fish={fish} />
          <Row>
            <Button kind={verdict.say === 'keep' ? 'main' : 'plain'} wet once onPress={() => put(true)}>
              {CATCH.kept}
            </Button>
            <Button kind={verdict.say === 'keep' ? 'plain' : 'main'} wet once onPress={() => put(false)}>
              {CATCH.released}
            </Button>
            <Button kind="quiet" onPress={again}>
              {CATCH.again}
            </Button>
          </Row>
        </>
      ) : (
        <>
          <Kinds
            limits={water?.catchLimits ?? []}
            value={blank.species}
            put={(species) => {
              setBlank({ ...blank, species });
              setId(newId());
            }}
          />
          <ThingForm
            key={id}
            type={Draft}
            doc={blank}
            only={ASKED}
            createLabel={CATCH.ask}
            onCreate={(doc) => setFish(doc as unknown as Draft)}
          />
        </>
      )}
    </View>
  );
}

/** The kinds that have a limit here, a tap each, and how the chosen one is measured before anybody measures it. */
function Kinds({
  limits,
  value,
  put,
}: {
  limits: readonly CatchLimit[];
  value: string | undefined;
  put: (species: string) => void;
}) {
  const { says } = useTrip();
  if (limits.length === 0) return null;
  const how = limits.find(({ species }) => species === value)?.measured;
  return (
    <View style={{ gap: 6 }}>
      <Choice
        label={CATCH.kinds}
        options={[...new Set(limits.map(({ species }) => species))].map((species) => ({
          value: species,
          label: species,
        }))}
        value={value}
        onChange={(species) => species !== undefined && put(species)}
      />
      {how ? <T as="strong">{says(CATCH.measure, { how: MEASURED[how] })}</T> : null}
    </View>
  );
}

/** Its kind, how it is measured, who caught it. */
const lastOf = (last: Draft | undefined): Partial<Draft> =>
  last
    ? {
        species: last.species,
        ...(last.measured ? { measured: last.measured } : {}),
        ...(last.by ? { by: last.by } : {}),
      }
    : {};

/** Which limits are entered for the water, and the way to them. */
function Limits({ water, says }: { water: Water | undefined; says: ReturnType<typeof useTrip>['says'] }) {
  if (!water) return <T>{CATCH.noWater}</T>;
  const limits = water.catchLimits ?? [];
  return (
    <View style={{ gap: 2 }}>
      <T as="soft">
        {limits.length === 0
          ? says(CATCH.noLimits, { water: water.name })
          : says(CATCH.limits, { water: water.name, which: limits.map(({ species }) => species) })}
      </T>
      <TextLink href={`${thingHref('water', water.id)}?at=${encodeURIComponent('/catchLimits')}`}>
        {CATCH.enter}
      </TextLink>
      <T as="small">{CATCH.local}</T>
    </View>
  );
}

function Told({ verdict, fish }: { verdict: Verdict; fish: Draft }) {
  const { reader, says } = useTrip();
  const p = usePalette();
  const length =
    fish.length === undefined ? CATCH.unmeasured : format(fish.length, 'catchLength', reader.units);
  return (
    <View role="status" style={{ borderWidth: 2, borderColor: p.ink, padding: 12, gap: 4 }}>
      <T as="title">{CATCH.say[verdict.say]}</T>
      <T as="strong">{says(CATCH.fish, { species: fish.species, length })}</T>
      {verdict.because.map((line, i) => (
        <T key={i}>{render(line, reader)}</T>
      ))}
    </View>
  );
}

function One({ held, id, one }: OfDebrief & { id: string; one: ACatch }) {
  const { shed, reader, says } = useTrip();
  const undo = useUndo();
  const who = shed.people.find((person) => person.id === one.by)?.name;
  const length =
    one.length === undefined ? CATCH.unmeasured : format(one.length, 'catchLength', reader.units);
  const name = says(CATCH.fish, { species: one.species, length });
  const drop = () => {
    keep(held, set(`/caught/${id}`, undefined));
    undo(says(CATCH.dropped, { fish: name }), async () => keep(held, set(`/caught/${id}`, one)));
  };
  return (
    <View role="listitem">
      <Row>
        <View style={{ flex: 1 }}>
          <T as="strong">{name}</T>
          <T as="soft">
            {one.kept ? CATCH.wasKept : CATCH.wasReleased}
            {who === undefined ? '' : says(CATCH.by, { who })}
          </T>
          {one.measured ? <T as="small">{MEASURED[one.measured]}</T> : null}
        </View>
        <Button kind="quiet" label={says(CATCH.dropOf, { fish: name })} onPress={drop}>
          {CATCH.drop}
        </Button>
      </Row>
    </View>
  );
}
