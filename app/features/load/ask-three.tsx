import { useMemo, useState } from 'react';
import { View } from 'react-native';
import {
  afloat,
  bearing,
  emptyWeight,
  floaters,
  holesOf,
  leaning,
  shutHull,
  swamped,
  type Body,
  type Leak,
  type Outcome,
  type Swamped,
  FLOODING,
  FLOTATION,
} from '@escale/core/boat';
import type { Boat } from '@escale/core/model';
import { render } from '@escale/core/say';
import { format, MINUTE, spanText } from '@escale/core/units';
import { useJob } from '../../data/jobs';
import { Choice } from '../../ui/choice';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { useTrip } from '../trip/use-trip';
import { aboardOf, type Lie } from './use-lie';

const degrees = (radians: number) => `${Math.abs((radians * 180) / Math.PI).toFixed(0)}°`;
type Ask = 'lean' | 'swamp' | 'leak';
const ASKS: { value: Ask; label: string }[] = [
  { value: 'lean', label: 'Someone leans over the side' },
  { value: 'swamp', label: 'She is swamped' },
  { value: 'leak', label: 'She leaks' },
];

/** Three things asked of the load at once. Reckoned when they are asked. */
export function AskThree({ boat, now }: { boat: Boat; now: Lie }) {
  const [ask, setAsk] = useState<Ask>();
  return (
    <View style={{ gap: 10 }}>
      <T as="section" heading={3}>
        What if
      </T>
      <Choice
        label="What if"
        options={ASKS}
        value={ask}
        onChange={(v) => setAsk(v as Ask | undefined)}
        clearable
      />
      {ask === 'lean' ? (
        <Leans boat={boat} now={now} />
      ) : ask === 'swamp' ? (
        <Swamps boat={boat} now={now} />
      ) : ask === 'leak' ? (
        <Leaks boat={boat} now={now} />
      ) : null}
    </View>
  );
}

function Answer({ title, word, lines }: { title: string; word: string; lines: string[] }) {
  const p = usePalette();
  return (
    <View role="listitem" style={{ borderTopWidth: 1, borderColor: p.line, paddingVertical: 8, gap: 2 }}>
      <View style={{ flexDirection: 'row', justifyContent: 'space-between', gap: 8 }}>
        <T as="strong" style={{ flex: 1 }}>
          {title}
        </T>
        <T as="strong">{word}</T>
      </View>
      {lines.map((line) => (
        <T key={line} as="soft">
          {line}
        </T>
      ))}
    </View>
  );
}

const OWN = 'Our own sum for flat water, from her measures. Waves, moving people and a wet deck take more.';

function Leans({ boat, now: { hull, spots, density } }: { boat: Boat; now: Lie }) {
  const { reader } = useTrip();
  const people = spots.filter((s) => s.is === 'person').sort((a, b) => b.mass - a.mass);
  const rows = useMemo(
    () => [1, 2].slice(0, people.length).map((n) => afloat(boat, hull, leaning(hull, spots, n), density)),
    [boat, hull, spots, density, people.length],
  );
  return (
    <View role="list" aria-label="Someone leans over the side">
      {rows.map(({ outcome, free }, i) => (
        <Answer
          key={i}
          title={people
            .slice(0, i + 1)
            .map((s) => s.name)
            .join(' and ')}
          {...(outcome.state === 'floats' && free
            ? {
                word: `${degrees(outcome.at.heel)} of heel`,
                lines: [
                  free.lowest > 0 || hull.form.deck === 'closed'
                    ? `${format(Math.max(0, free.lowest), 'shortLength', reader.units)} of freeboard left.`
                    : 'Her edge goes under: water comes aboard.',
                ],
              }
            : {
                word: 'she goes over',
                lines: [
                  'Stay low in the middle; draw whoever is in the water in over the stern or along the hull, never lean out to be gripped.',
                ],
              })}
        />
      ))}
      <T as="small">{OWN}</T>
    </View>
  );
}

const LIES: Record<Outcome['state'], string> = {
  floats: 'floats level',
  sinks: 'sinks',
  capsizes: 'floats, rolled over',
  'on-end': 'floats on end',
};

function Swamps({ boat, now: { hull, spots, density } }: { boat: Boat; now: Lie }) {
  const { trip, shed, reader } = useTrip();
  const aboard = useMemo(() => aboardOf({ trip, shed }), [trip, shed]);
  const rows = useMemo(() => {
    const { bags } = FLOTATION;
    const things = spots.filter((s) => s.is === 'thing'),
      crew = spots.filter((s) => s.is === 'person');
    const fill = (bodies: Body[]) => swamped(hull, bodies, emptyWeight(boat, hull), things, crew, density);
    const sealed = boat.flotation === 'sealed-hull';
    const fore = { what: 'bag' as const, where: 'bow' as const, litres: bags.litres };
    return [
      ...(sealed ? [{ title: 'Plugs and hatches shut', found: fill(shutHull(hull)) }] : []),
      { title: sealed ? 'Her hull full of water' : 'As she is', found: fill(floaters(boat, hull)) },
      {
        title: `${sealed ? 'Full, with' : 'With'} bags of ${bags.litres} L fore and aft`,
        found: fill(floaters(boat, hull, [fore, { ...fore, where: 'stern' }])),
      },
    ];
  }, [boat, hull, spots, density]);
  return (
    <View role="list" aria-label="She is swamped">
      {rows.map(({ title, found }) => (
        <Answer
          key={title}
          title={title}
          word={liesIn(found)}
          lines={
            found.spare < 0
              ? [`${Math.ceil(found.lacking)} L of foam or bags are lacking just to hold her and her kit.`]
              : [
                  `Bears ${format(found.spare, 'mass', reader.units)} over her own weight and kit.`,
                  render(bearing(found, aboard.length), reader),
                ]
          }
        />
      ))}
      <T as="small">
        Level: with everyone in their seats at most {FLOTATION.level.heel}° of list and trim, and her edge no
        deeper than {format(-FLOTATION.level.edge, 'shortLength', reader.units)}, as in the federal flotation
        test; water bears half of who sits in it. While she fills she may roll first. Old foam soaks up water:
        weigh her once a year.
      </T>
    </View>
  );
}

/** How she lies when she is full, in one word for the row. */
const liesIn = ({ outcome, seated }: Swamped) =>
  seated ? 'floats level' : outcome.state === 'floats' ? 'floats low' : LIES[outcome.state];

const PUMPS = [
  { value: 'none', label: 'Nobody bails' },
  { value: 'bail', label: 'One bails' },
  { value: 'pump', label: 'Pump' },
  { value: 'both', label: 'Pump and one bails' },
];

function Leaks({ boat, now: { hull, lie, density } }: { boat: Boat; now: Lie }) {
  const { reader } = useTrip();
  const [by, setBy] = useState('none');
  const [sea, setSea] = useState(FLOODING.wash.usual);
  const holes = useMemo(() => holesOf(boat, hull), [boat, hull]);
  const { weight } = lie;
  const job = useMemo(() => {
    const relief = { pump: PUMPED.has(by) ? FLOODING.pump.rated : 0, bailers: BAILED.has(by) ? 1 : 0 };
    return { boat, weight, density, relief, sea };
  }, [boat, weight, density, by, sea]);
  const { parts: found, failed } = useJob('leaks', job);
  const seas = FLOODING.wash.seas.map((height) => ({
    value: String(height),
    label: height === 0 ? 'Flat' : format(height, 'height', reader.units),
  }));
  if (holes.length === 0)
    return <T as="soft">No openings are on her page yet: plug, bungs, hatches, scuppers. Add them there.</T>;
  return (
    <View style={{ gap: 8 }}>
      <T as="label">Against it</T>
      <Choice label="Against it" options={PUMPS} value={by} onChange={(v) => v && setBy(v)} />
      <T as="label">Waves</T>
      <Choice label="Waves" options={seas} value={String(sea)} onChange={(v) => v && setSea(Number(v))} />
      <View role="list" aria-label="She leaks">
        {holes.map((hole, i) => (
          <Answer
            key={`${hole.name} ${i}`}
            title={`${hole.name} open`}
            word={found[i] ? leakWord(found[i]) : failed ? 'could not be reckoned' : '…'}
            lines={
              found[i]
                ? leakLines(found[i], hole.guessed, boat, (q) => format(q, 'volume', reader.units))
                : []
            }
          />
        ))}
      </View>
      <T as="small">
        Our own sum, from her measures. Over an opening above the water comes what waves of that height throw,
        by chance, more the lower it sinks; a small boat rides half of a wave. A pump gives about{' '}
        {format(FLOODING.pumpReal.value, 'percent', reader.units)} of its label, a bucket tires after{' '}
        {spanText(FLOODING.bailer.seconds)}.
      </T>
    </View>
  );
}

const PUMPED: ReadonlySet<string> = new Set(['pump', 'both']),
  BAILED: ReadonlySet<string> = new Set(['bail', 'both']);

export const leakWord = ({ swamped: at, end, inflow }: Leak) =>
  inflow <= 0
    ? 'stays over the water'
    : at === undefined
      ? 'not swamped in six hours'
      : `${at < MINUTE ? 'under a minute' : spanText(at)} to ${end === 'capsized' ? 'capsize' : 'swamped'}`;
function leakLines(
  { inflow, third, atThird, aboard, swamped: at }: Leak,
  guessed: boolean,
  boat: Boat,
  volume: (q: number) => string,
): string[] {
  if (inflow <= 0)
    return ['By our sum a sea like that does not reach it. One that breaks over her deck does: shut it.'];
  const planing = boat.propulsion.some((p) => p.kind === 'outboard' || p.kind === 'inboard');
  return [
    `${volume(inflow * 60)} a minute at first${guessed ? ', its bore taken from its kind' : ''}.`,
    third === undefined
      ? `${volume(aboard)} aboard at the end${at === undefined ? '; she is never a third full' : ', before she is a third full'}.`
      : `A third full after ${spanText(third)}${atThird ? `, ${degrees(atThird.trim)} down by the ${atThird.trim >= 0 ? 'stern' : 'bow'}${planing ? `; full throttle then makes about ${format(FLOODING.planingFlooded.share, 'percent', 'metric')} of her planing speed until the water spreads` : ''}` : ''}.`,
  ];
}
