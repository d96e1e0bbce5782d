import { useState } from 'react';
import { View } from 'react-native';
import { Link } from 'expo-router';
import Svg, { G, Line, Path, Text as SvgText } from 'react-native-svg';
import { hullOf } from '@escale/core/boat';
import type { Boat } from '@escale/core/model';
import { format } from '@escale/core/units';
import { Choice } from '../../ui/choice';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { FONT, SIZE, type Palette } from '../../ui/tokens';
import { useReader, plainly } from '../../data/settings';
import { change } from '../../data/outbox';
import type { Held } from '../../data/things';
import { partsHref, thingHref } from '../../data/where';
import { HullShape } from './hull-shape';
import { profile } from './outline';
import { BOAT, PARTS } from './words';
import { TextLink } from '../../ui/press';

const MEASURES = [
  { letter: 'A', field: 'length', title: 'Length over all', quantity: 'length' },
  { letter: 'B', field: 'beam', title: 'Beam', quantity: 'length' },
  { letter: 'C', field: 'depth', title: 'Depth of the hull', quantity: 'length' },
  { letter: 'D', field: 'mass', title: 'Empty weight', quantity: 'mass' },
] as const;
const BASES = [
  { value: 'guessed', label: 'A guess' },
  { value: 'stated', label: 'Read or told' },
  { value: 'measured', label: 'Measured' },
];

/** Where to measure her, drawn from her own numbers, and how each number came to be known. */
export function HerMeasures({ held }: { held: Held<'boat'> }) {
  const p = usePalette();
  const reader = useReader('UTC');
  const boat = held.doc;
  const set = (field: string, how: string | undefined) =>
    void change(
      held,
      [
        how
          ? { op: 'set', pointer: `/basis/~1${field}`, value: how }
          : { op: 'unset', pointer: `/basis/~1${field}` },
      ],
      plainly(BOAT.changed, { field }),
    );
  return (
    <View style={{ gap: 8 }}>
      <T as="section" heading={2}>
        Her measures
      </T>
      <Drawing boat={boat} p={p} />
      {MEASURES.map(({ letter, field, title, quantity }) => (
        <View key={field} style={{ borderBottomWidth: 1, borderColor: p.line, paddingVertical: 6, gap: 4 }}>
          <T>
            <T as="strong">{letter}</T> {title}:{' '}
            <T as="strong">
              {boat[field] === undefined ? 'not known' : format(boat[field], quantity, reader.units)}
            </T>
          </T>
          {boat[field] === undefined ? null : (
            <Choice
              label={plainly(BOAT.how, { what: title.toLowerCase() })}
              options={BASES}
              value={boat.basis?.[`/${field}`] ?? 'stated'}
              onChange={(v) => v && set(field, v)}
            />
          )}
        </View>
      ))}
      <TextLink href={`/shed/card?boat=${held.id}`}>Second driver’s card</TextLink>
      <TextLink href={`/shed/handover?boat=${held.id}`}>
        A boat you don’t know: walk through her in ten minutes
      </TextLink>
      <TextLink href={partsHref(held.id)}>{PARTS.way}</TextLink>
      {boat.length === undefined || boat.beam === undefined ? (
        <T as="soft">
          Enter length and beam below, and she is drawn.{' '}
          <Link href={`${thingHref('boat', held.id)}?at=/length`}>Length</Link>
        </T>
      ) : null}
    </View>
  );
}

const HIGH = 190,
  MARGIN = 26;

/** From above with length and beam, from the side with depth: lines with letters where the tape goes. */
function Drawing({ boat, p }: { boat: Boat; p: Palette }) {
  const [width, setWidth] = useState(360);
  const hull = hullOf(boat);
  if (!hull) return null;
  const per = Math.min((width - 2 * MARGIN) / hull.length, 84 / hull.beam);
  const left = (width - hull.length * per) / 2,
    x = (m: number) => left + m * per;
  const top = { x, y: (m: number) => 56 - m * per };
  const z = (m: number) => 170 - m * Math.min(per, 50 / hull.depth);
  const half = (hull.beam / 2) * per,
    fullest = hull.form.plan.fullest * hull.length;
  return (
    <View role="img" aria-label={BOAT.whereToMeasure} onLayout={(e) => setWidth(e.nativeEvent.layout.width)}>
      <Svg width={width} height={HIGH} aria-hidden>
        <HullShape hull={hull} scale={top} p={p} />
        <Tape x1={x(0)} y1={112} x2={x(hull.length)} y2={112} letter="A" p={p} />
        <Tape x1={x(fullest)} y1={56 - half} x2={x(fullest)} y2={56 + half} letter="B" p={p} />
        <Path d={profile(hull, x, z)} fill={p.raised} stroke={p.ink} strokeWidth={1.6} />
        <Tape x1={x(hull.length / 2)} y1={z(0)} x2={x(hull.length / 2)} y2={z(hull.depth)} letter="C" p={p} />
      </Svg>
    </View>
  );
}

function Tape({
  x1,
  y1,
  x2,
  y2,
  letter,
  p,
}: {
  x1: number;
  y1: number;
  x2: number;
  y2: number;
  letter: string;
  p: Palette;
}) {
  const upright = x1 === x2;
  return (
    <G>
      <Line x1={x1} y1={y1} x2={x2} y2={y2} stroke={p.ink} strokeWidth={1} strokeDasharray="5 3" />
      {[
        [x1, y1],
        [x2, y2],
      ].map(([x, y]) => (
        <Line
          key={`${x} ${y}`}
          x1={upright ? x - 5 : x}
          x2={upright ? x + 5 : x}
          y1={upright ? y : y - 5}
          y2={upright ? y : y + 5}
          stroke={p.ink}
          strokeWidth={1.6}
        />
      ))}
      <SvgText
        x={upright ? x1 + 8 : (x1 + x2) / 2}
        y={upright ? (y1 + y2) / 2 + 4 : y1 - 4}
        fontFamily={FONT.narrow}
        fontSize={SIZE.body}
        fontWeight="600"
        fill={p.ink}
      >
        {letter}
      </SvgText>
    </G>
  );
}
