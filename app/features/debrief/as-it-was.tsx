import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { Met } from '@escale/core/model';
import { asPlanned } from '@escale/core/trip/as-planned';
import { format, HOUR, KNOT, MINUTE, NAUTICAL_MILE, type Quantity } from '@escale/core/units';
import { Button, Row } from '../../ui/button';
import { Choice } from '../../ui/choice';
import { Fold } from '../../ui/fold';
import { Slider } from '../../ui/slider';
import { T } from '../../ui/text';
import { shapeOf } from '../forms/schema';
import { useTrip } from '../trip/use-trip';
import { keep, set, type OfDebrief } from './keep';
import { TrackView } from './track-view';
import { DEBRIEF } from './words';

type Name = keyof Met & string;
type Figure = Exclude<Name, 'dark' | 'company'>;

/** How far each figure is drawn along its scale and by how much at a time, SI; a plan that goes further draws it on. */
const SCALES: Readonly<Record<Figure, { from: number; until: number; step: number }>> = {
  wind: { from: 0, until: 30 * KNOT, step: KNOT },
  gust: { from: 0, until: 45 * KNOT, step: KNOT },
  waves: { from: 0, until: 3, step: 0.1 },
  waterTemperature: { from: -2, until: 30, step: 0.5 },
  off: { from: 0, until: 3 * NAUTICAL_MILE, step: 0.1 * NAUTICAL_MILE },
  metres: { from: 0, until: 12 * NAUTICAL_MILE, step: 0.1 * NAUTICAL_MILE },
  moving: { from: 0, until: 8 * HOUR, step: 5 * MINUTE },
  load: { from: 0, until: 500, step: 5 },
};
const FIGURES = Object.keys(SCALES) as Figure[];
const WHETHER = ['company', 'dark'] as const;
const OF = FIGURES.length + WHETHER.length;

const shapes = new Map(Object.entries(Met.shape).map(([name, schema]) => [name, shapeOf(schema)]));
const labelOf = (name: Name) => shapes.get(name)?.meta.title ?? name;

/** What was really met out there: offered from plan and forecast, said by a tap or drawn. */
export function AsItWas({ held, begin }: OfDebrief & { begin: boolean }) {
  const { input, assessment, says } = useTrip();
  const { met = {}, left, home } = held.doc;
  const told = useMemo(
    () =>
      asPlanned(
        input,
        assessment.schedule,
        left === undefined ? undefined : Date.parse(left),
        home === undefined ? undefined : Date.parse(home),
      ),
    [input, assessment.schedule, left, home],
  );
  const open = (Object.keys(told) as Name[]).filter((name) => met[name] === undefined);
  return (
    <Fold
      title={DEBRIEF.it}
      note={says(DEBRIEF.itSaid, { n: Object.keys(met).length, of: OF })}
      begin={begin}
    >
      <View style={{ gap: 14, paddingTop: 10 }}>
        <T as="soft">{DEBRIEF.itLead}</T>
        {told.wind === undefined ? (
          <T as="small">{left && home ? DEBRIEF.itNoForecast : DEBRIEF.itNoTimes}</T>
        ) : null}
        {open.length > 1 ? (
          <Button onPress={() => keep(held, ...open.map((name) => set(`/met/${name}`, told[name])))}>
            {DEBRIEF.itAll}
          </Button>
        ) : null}
        {FIGURES.map((name) => (
          <Drawn key={name} held={held} name={name} value={met[name]} told={told[name]} />
        ))}
        {WHETHER.map((name) => (
          <Whether key={name} held={held} name={name} value={met[name]} told={told[name]} />
        ))}
        <TrackView held={held} />
        <View style={{ gap: 4 }} role="group" aria-label={DEBRIEF.learn}>
          <T as="label">{DEBRIEF.learn}</T>
          <Choice
            label={DEBRIEF.learn}
            options={[
              { value: 'yes', label: DEBRIEF.learnYes },
              { value: 'no', label: DEBRIEF.learnNo },
            ]}
            value={held.doc.learn === false ? 'no' : 'yes'}
            onChange={(said) => keep(held, set('/learn', said === 'no' ? false : undefined))}
          />
          <T as="small">{DEBRIEF.learnWhy}</T>
        </View>
      </View>
    </Fold>
  );
}

/** A figure that is drawn; until it was said it stands where plan or forecast had it, and is not known. */
function Drawn({
  held,
  name,
  value,
  told,
}: OfDebrief & { name: Figure; value: number | undefined; told: number | undefined }) {
  const { reader, says } = useTrip();
  const [draft, setDraft] = useState<number>();
  const label = labelOf(name);
  const { from, until, step } = SCALES[name];
  const quantity = shapes.get(name)?.meta.quantity ?? 'count';
  const words = (of: number) => format(of, printedAs(quantity), reader.units);
  const said = draft ?? value;
  const shown = said ?? told ?? from;
  const most = Math.max(until, value ?? 0, (told ?? 0) * 2);
  const put = (next: number | undefined) => {
    setDraft(undefined);
    keep(held, set(`/met/${name}`, next));
  };
  const leave = () => {
    if (draft !== undefined && draft !== value) put(draft);
    else setDraft(undefined);
  };
  return (
    <View>
      <Slider
        label={label}
        said={said === undefined ? DEBRIEF.unsaid : words(said)}
        value={shown}
        from={from}
        until={most}
        step={step}
        onChange={setDraft}
        onLeave={leave}
      />
      <SoOrNot label={label} value={value} told={told} words={words} put={put} says={says} />
    </View>
  );
}

/** Lengths of time are read as hours and minutes elsewhere; beside a slider minutes do. */
const printedAs = (quantity: Quantity): Quantity => (quantity === 'duration' ? 'minutes' : quantity);

function SoOrNot({
  label,
  value,
  told,
  words,
  put,
  says,
}: {
  label: string;
  value: number | undefined;
  told: number | undefined;
  words: (of: number) => string;
  put: (next: number | undefined) => void;
  says: ReturnType<typeof useTrip>['says'];
}) {
  if (value === undefined && told === undefined) return null;
  return (
    <Row>
      {told === undefined ? null : <T as="soft">{says(DEBRIEF.itWas, { told: words(told) })}</T>}
      {value === undefined && told !== undefined ? (
        <Button label={says(DEBRIEF.wasSoOf, { label })} onPress={() => put(told)}>
          {DEBRIEF.wasSo}
        </Button>
      ) : null}
      {value === undefined ? null : (
        <Button kind="quiet" label={says(DEBRIEF.unsayOf, { label })} onPress={() => put(undefined)}>
          {DEBRIEF.unsay}
        </Button>
      )}
    </Row>
  );
}

function Whether({
  held,
  name,
  value,
  told,
}: OfDebrief & { name: (typeof WHETHER)[number]; value: boolean | undefined; told: boolean | undefined }) {
  const { says } = useTrip();
  const label = labelOf(name);
  const said = (of: boolean) => (of ? DEBRIEF.yes : DEBRIEF.no);
  return (
    <View style={{ gap: 4 }} role="group" aria-label={label}>
      <T as="label">{label}</T>
      <Choice
        label={label}
        options={[
          { value: 'yes', label: DEBRIEF.yes },
          { value: 'no', label: DEBRIEF.no },
        ]}
        clearable
        value={value === undefined ? undefined : value ? 'yes' : 'no'}
        onChange={(next) => keep(held, set(`/met/${name}`, next === undefined ? undefined : next === 'yes'))}
      />
      {told === undefined ? null : <T as="soft">{says(DEBRIEF.itWas, { told: said(told) })}</T>}
    </View>
  );
}
