import { useState } from 'react';
import { View } from 'react-native';
import { isOpen } from '@escale/core/floatplan';
import { plannedPosition } from '@escale/core/passage';
import { MS } from '@escale/core/units';
import { BOATS_OFF, havenOrHome, MISHAPS, type Mishap, type Plight } from '@escale/core/whatif/haven-or-home';
import { speedsStill, type Still } from '@escale/core/whatif/still';
import { Button, Row } from '../../ui/button';
import { Choice } from '../../ui/choice';
import { Fold } from '../../ui/fold';
import { Alone } from '../../ui/page';
import { TextLink } from '../../ui/press';
import { Slider } from '../../ui/slider';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { useHere } from '../../data/here';
import { useNow } from '../../data/hooks';
import { OnWater } from '../go/on-water';
import { useTrip } from '../trip/use-trip';
import { Fills } from './fills';
import { HavenTold } from './haven-told';
import { HAPPENED, HAVEN, STILL_WORDS } from './haven-words';

/** Where to go when something is wrong: two questions, one recommendation with its reason, and what would change it. */
export const HavenPage = () => (
  <OnWater>
    <Haven />
  </OnWater>
);

function Haven() {
  const p = usePalette();
  const { trip } = useTrip();
  const [plight, setPlight] = useState<Partial<Plight>>({});
  const from = useFrom();
  const { what, ...more } = plight;
  return (
    <Alone>
      <View style={{ flexDirection: 'row', justifyContent: 'space-between', alignItems: 'center', gap: 12 }}>
        <T as="title" heading={1} style={{ flex: 1 }}>
          {HAVEN.title}
        </T>
        <TextLink href={`/trips/${trip.id}/go/trouble`}>{HAVEN.all}</TextLink>
      </View>
      <View style={{ backgroundColor: p.ink, padding: 14 }}>
        <T as="strong" color={p.paper} style={{ fontSize: 18, lineHeight: 25 }}>
          {HAVEN.call}
        </T>
      </View>
      <Questions plight={plight} onSay={(said) => setPlight({ ...plight, ...said })} />
      {from.decide ? (
        <HavenTold
          decision={from.decide({ ...more, what: what ?? 'water' })}
          asked={what !== undefined}
          at={from.at}
          {...(what === 'water' && from.here ? { fills: <Fills at={from.at} here={from.here} /> } : {})}
        />
      ) : (
        <T as="strong">{HAVEN.nowhere}</T>
      )}
      <From from={from} />
      <TextLink href={`/trips/${trip.id}/go/trouble`}>{HAVEN.words}</TextLink>
      <T as="small">{HAVEN.practice}</T>
    </Alone>
  );
}

/** A boat that goes with this one and lies by her, metres. */
const ALONGSIDE = 20;

type Said = { [K in keyof Plight]?: Plight[K] | undefined };

/** What happened, how fast she still goes, and a boat in sight where there is one. */
function Questions({ plight, onSay }: { plight: Partial<Plight>; onSay: (said: Said) => void }) {
  const { trip, shed, says } = useTrip();
  const boat = shed.boats.find(({ id }) => id === trip.boat);
  const mates = (trip.company ?? []).flatMap(
    ({ boat: id }) => shed.boats.find((b) => b.id === id)?.name ?? [],
  );
  const numbered = (value: number | undefined) => (value === undefined ? undefined : String(value));
  return (
    <>
      <Asked
        title={HAVEN.what}
        options={MISHAPS.map(({ id }) => ({ value: id, label: HAPPENED[id] }))}
        value={plight.what}
        onChange={(value) => onSay({ what: value as Mishap })}
      />
      <Asked
        title={HAVEN.speed}
        options={speedsStill(boat).map((still) => ({
          value: String(still.speed),
          label: stillWord(still, says),
        }))}
        value={numbered(plight.speed)}
        onChange={(value) => onSay({ speed: Number(value) })}
      />
      <Fold
        title={HAVEN.boat}
        note={
          plight.boat === undefined
            ? HAVEN.none
            : plight.boat === ALONGSIDE
              ? says(HAVEN.alongside, { boats: mates })
              : says(HAVEN.off, { metres: plight.boat })
        }
      >
        <Choice
          label={HAVEN.boat}
          options={[
            { value: '', label: HAVEN.none },
            ...(mates.length > 0
              ? [{ value: String(ALONGSIDE), label: says(HAVEN.alongside, { boats: mates }) }]
              : []),
            ...BOATS_OFF.map((metres) => ({ value: String(metres), label: says(HAVEN.off, { metres }) })),
          ]}
          value={numbered(plight.boat) ?? ''}
          onChange={(value) => onSay({ boat: value ? Number(value) : undefined })}
        />
      </Fold>
    </>
  );
}

const stillWord = ({ as, speed, by }: Still, says: ReturnType<typeof useTrip>['says']): string =>
  as === 'none'
    ? STILL_WORDS.none
    : as === 'other'
      ? says(STILL_WORDS.other, { by: by ?? '', speed })
      : says(STILL_WORDS[as], { speed });

const Asked = ({ title, ...choice }: { title: string } & Omit<Parameters<typeof Choice>[0], 'label'>) => (
  <View style={{ gap: 6 }}>
    <T as="section" heading={2}>
      {title}
    </T>
    <Choice label={title} unfolded {...choice} />
  </View>
);

/** So often a place on the plan is looked at beforehand. */
const STEP = 10 * MS.minute;

/** In trouble the hour and the place are as fresh as they can be told. */
const FRESH = MS.minute;

/**
 * Where one is, and when: out on the water here and now, by this device or, while its hours last, by the plan; else at an hour of
 * the plan. Who comes home late is somewhere that no plan tells.
 */
function useFrom() {
  const now = useNow(FRESH);
  const { input, assessment, plan } = useTrip();
  const device = useHere(FRESH);
  const { trip, shed } = input;
  const { schedule } = assessment;
  const [chosen, setChosen] = useState<number>();
  const [asked, setAsked] = useState(false);
  const home = schedule?.home;
  const planned = (at: number) =>
    schedule && home !== undefined && trip.launch && at >= schedule.leave && at <= home
      ? plannedPosition(schedule, trip.launch, shed.places, at)
      : undefined;
  const left =
    plan !== undefined && isOpen(plan.state) && plan.events.some(({ kind }) => kind === 'under-way');
  const out = left || planned(now) !== undefined;
  const span = !out && !asked && home !== undefined ? { from: schedule!.leave, until: home } : undefined;
  const at = span ? (chosen ?? schedule?.turnBack ?? span.from) : now;
  const read = span ? undefined : device.here;
  const here = read ?? planned(at);
  return {
    device,
    read,
    at,
    span,
    known: here !== undefined,
    here: here && { lat: here.lat, lon: here.lon },
    setChosen,
    ask: () => {
      setAsked(true);
      device.ask();
    },
    decide:
      here &&
      ((plight: Plight) =>
        havenOrHome({ input, schedule, now: at, here: { lat: here.lat, lon: here.lon } }, plight)),
  };
}

function From({
  from: { device, read, at, span, known, setChosen, ask },
}: {
  from: ReturnType<typeof useFrom>;
}) {
  const { says } = useTrip();
  return (
    <View style={{ gap: 6 }}>
      {known ? (
        <T as="soft">{read ? says(HAVEN.device, { at: read.at }) : says(HAVEN.plan, { at })}</T>
      ) : null}
      {span ? (
        <Slider
          label={HAVEN.hour}
          said={says(HAVEN.hourIs, { at })}
          value={at}
          from={span.from}
          until={span.until}
          step={STEP}
          onChange={setChosen}
        />
      ) : null}
      {read ? null : (
        <Row>
          <Button onPress={ask}>{HAVEN.ask}</Button>
          {device.said ? <T role="status">{device.said}</T> : null}
        </Row>
      )}
    </View>
  );
}
