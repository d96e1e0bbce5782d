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
import { render, type Says } from '@escale/core/say';
import { format, MINUTE } from '@escale/core/units';
import { useJob } from '../../data/jobs';
import { Choice } from '../../ui/choice';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { useTrip } from '../trip/use-trip';
import { aboardOf, type Lie } from './use-lie';
import { ASKED, LEAK } from './words';

const wholeDegrees = (radians: number) => Math.round(Math.abs((radians * 180) / Math.PI));
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
  const { says } = useTrip();
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
          title={says(ASKED.who, { people: people.slice(0, i + 1).map((s) => s.name) })}
          {...(outcome.state === 'floats' && free
            ? {
                word: says(ASKED.heel, { heel: wholeDegrees(outcome.at.heel) }),
                lines: [
                  free.lowest > 0 || hull.form.deck === 'closed'
                    ? says(ASKED.freeboard, { edge: Math.max(0, free.lowest) })
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
  const { trip, shed, reader, says } = useTrip();
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
        title: says(sealed ? ASKED.bagsFull : ASKED.bags, { litres: bags.litres }),
        found: fill(floaters(boat, hull, [fore, { ...fore, where: 'stern' }])),
      },
    ];
  }, [boat, hull, spots, density, says]);
  return (
    <View role="list" aria-label="She is swamped">
      {rows.map(({ title, found }) => (
        <Answer
          key={title}
          title={title}
          word={liesIn(found)}
          lines={
            found.spare < 0
              ? [says(ASKED.lacks, { litres: Math.ceil(found.lacking) })]
              : [says(ASKED.bears, { mass: found.spare }), render(bearing(found, aboard.length), reader)]
          }
        />
      ))}
      <T as="small">{says(ASKED.level, { most: FLOTATION.level.heel, deep: -FLOTATION.level.edge })}</T>
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
  const { reader, says } = useTrip();
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
            title={says(ASKED.open, { hole: hole.name })}
            word={found[i] ? leakWord(found[i], says) : failed ? 'could not be reckoned' : '…'}
            lines={found[i] ? leakLines(found[i], hole.guessed, boat, says) : []}
          />
        ))}
      </View>
      <T as="small">{says(ASKED.leak, { pump: FLOODING.pumpReal.value, tires: FLOODING.bailer.seconds })}</T>
    </View>
  );
}

const PUMPED: ReadonlySet<string> = new Set(['pump', 'both']),
  BAILED: ReadonlySet<string> = new Set(['bail', 'both']);

export function leakWord({ swamped: at, end, inflow }: Leak, says: Says): string {
  if (inflow <= 0) return LEAK.dry;
  if (at === undefined) return LEAK.never;
  const capsized = end === 'capsized';
  if (at < MINUTE) return capsized ? LEAK.quickCapsize : LEAK.quickSwamp;
  return says(capsized ? LEAK.capsize : LEAK.swamp, { at });
}

function leakLines(
  { inflow, third, atThird, aboard, swamped: at }: Leak,
  guessed: boolean,
  boat: Boat,
  says: Says,
): string[] {
  if (inflow <= 0) return [LEAK.notReached];
  const first = says(guessed ? LEAK.firstGuessed : LEAK.first, { rate: inflow * 60 });
  if (third === undefined)
    return [first, says(at === undefined ? LEAK.aboardNever : LEAK.aboard, { aboard })];
  if (!atThird) return [first, says(LEAK.third, { third })];
  const down = atThird.trim >= 0 ? LEAK.thirdStern : LEAK.thirdBow;
  const planing = boat.propulsion.some((p) => p.kind === 'outboard' || p.kind === 'inboard');
  return [
    first,
    says(down, { third, trim: wholeDegrees(atThird.trim) }),
    ...(planing ? [says(LEAK.planing, { share: FLOODING.planingFlooded.share })] : []),
  ];
}
