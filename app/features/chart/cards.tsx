import { useEffect, useRef, useState, type ReactNode } from 'react';
import { View } from 'react-native';
import { TextInput } from 'react-native-paper';
import { depthsOf, shoreOf } from '@escale/core/chart';
import { distance, onward, type LatLon } from '@escale/core/earth';
import type { Place, Water } from '@escale/core/model';
import { PLACE_KINDS } from '@escale/core/model/lists';
import type { Landing } from '@escale/core/passage';
import type { Says } from '@escale/core/say';
import { Button, Row } from '../../ui/button';
import { Choice, optionsOf } from '../../ui/choice';
import { TextLink } from '../../ui/press';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { plainly } from '../../data/settings';
import { thingHref } from '../../data/where';
import { positionText } from '../where/position-text';
import { CHART } from './words';

function Card({ title, onClose, children }: { title: string; onClose: () => void; children: ReactNode }) {
  const p = usePalette();
  const node = useRef<View>(null);
  // On a phone it opens below the map: brought into view, no further than needed.
  useEffect(() => {
    const element = node.current as unknown as Element | null;
    element?.scrollIntoView?.({ block: 'nearest' });
  }, []);
  return (
    <View
      ref={node}
      role="group"
      aria-label={title}
      style={{ borderWidth: 2, borderColor: p.ink, backgroundColor: p.raised, padding: 12, gap: 8 }}
    >
      <View style={{ flexDirection: 'row', justifyContent: 'space-between', gap: 8 }}>
        <T as="section" heading={2} style={{ flexShrink: 1 }}>
          {title}
        </T>
        <Button kind="quiet" onPress={onClose}>
          {CHART.close}
        </Button>
      </View>
      {children}
    </View>
  );
}

/** Where one would land from here, in a sentence. */
export const landingText = (says: Says, landing: Landing | undefined): string => {
  if (!landing) return CHART.noLanding;
  const { place, metres, bearing, seconds } = landing;
  const values = { name: place.name, far: metres, bearing };
  return seconds === undefined ? says(CHART.landing, values) : says(CHART.landingIn, { ...values, seconds });
};

/** What is known of a spot of the chart. */
function spotLines(says: Says, at: LatLon, water: Water | undefined): string[] {
  const shore = shoreOf(water?.chart),
    depth = depthsOf(water?.chart)?.at(at);
  const ground = shore?.groundAt(at);
  const near = shore?.nearest(at);
  return [
    ground === 'land'
      ? CHART.land
      : depth === undefined
        ? CHART.undrawn
        : depth < 0
          ? says(CHART.dries, { height: -depth })
          : says(CHART.charted, { depth }),
    ...(near && ground !== 'land' ? [says(CHART.shore, { far: near.metres, bearing: near.bearing })] : []),
  ];
}

/** A tapped spot: what is there, and what can be made of it. */
export function SpotCard({
  at,
  water,
  says,
  landing,
  onClose,
  onGo,
  goes,
  cant,
  onMake,
}: {
  at: LatLon;
  water: Water | undefined;
  says: Says;
  landing: Landing | undefined;
  onClose: () => void;
  /** Only where there is a way. */
  onGo?: (() => void) | undefined;
  goes: string;
  /** Why one can't now. */
  cant: string | false;
  onMake: (name: string, kind: Place['kind']) => void;
}) {
  const [making, setMaking] = useState(false);
  return (
    <Card title={CHART.spot} onClose={onClose}>
      <T as="strong">{positionText(at)}</T>
      {[...spotLines(says, at, water), landingText(says, landing)].map((line) => (
        <T key={line}>{line}</T>
      ))}
      <Row>
        {onGo ? (
          <Button kind="main" cant={cant} onPress={onGo}>
            {goes}
          </Button>
        ) : null}
        {making ? null : <Button onPress={() => setMaking(true)}>{CHART.make}</Button>}
      </Row>
      {making ? <Make onMake={onMake} /> : null}
    </Card>
  );
}

function Make({ onMake }: { onMake: (name: string, kind: Place['kind']) => void }) {
  const [kind, setKind] = useState<Place['kind']>('waypoint');
  const [name, setName] = useState('');
  const called = name.trim();
  return (
    <View style={{ gap: 8 }}>
      <Choice
        label={CHART.kind}
        options={optionsOf(PLACE_KINDS)}
        value={kind}
        onChange={(next) => next && setKind(next as Place['kind'])}
      />
      <TextInput
        mode="outlined"
        label={CHART.name}
        accessibilityLabel={CHART.name}
        value={name}
        onChangeText={setName}
        maxLength={120}
      />
      <Row>
        <Button
          kind="main"
          once
          cant={called === '' ? CHART.unnamed : false}
          onPress={() => onMake(called, kind)}
        >
          {CHART.makeIt}
        </Button>
      </Row>
    </View>
  );
}

/** Each tap moves a place so far, m. */
const NUDGE = 50;
const WAYS = [
  [CHART.north, 0],
  [CHART.east, 90],
  [CHART.south, 180],
  [CHART.west, 270],
] as const;

/** A chosen place: what it is, where from the launch, and what can be done with it. */
export function PlaceCard({
  place,
  launch,
  says,
  back,
  onClose,
  onMove,
  children,
}: {
  place: Place;
  launch: Place | undefined;
  says: Says;
  /** Where one comes back to from its own page. */
  back: string;
  onClose: () => void;
  onMove: (to: LatLon) => void;
  /** What can be done with it on the way. */
  children?: ReactNode;
}) {
  const [moving, setMoving] = useState(false);
  const from = launch && launch.id !== place.id ? distance(launch.position, place.position) : undefined;
  return (
    <Card title={place.name} onClose={onClose}>
      <T as="soft">{[PLACE_KINDS[place.kind], positionText(place.position)].join(' · ')}</T>
      {launch && from ? (
        <T>{says(CHART.from, { launch: launch.name, far: from.metres, bearing: from.bearing })}</T>
      ) : null}
      {place.rules ? <T>{place.rules}</T> : null}
      {children}
      <TextLink href={`${thingHref('place', place.id)}?back=${encodeURIComponent(back)}`}>
        {plainly(CHART.about, { name: place.name })}
      </TextLink>
      {moving ? (
        <View role="group" aria-label={plainly(CHART.move, { name: place.name })} style={{ gap: 4 }}>
          <Row>
            {WAYS.map(([word, bearing]) => (
              <Button key={word} onPress={() => onMove(onward(place.position, bearing, NUDGE))}>
                {word}
              </Button>
            ))}
          </Row>
          <T as="small">{plainly(CHART.moveBy, { metres: NUDGE })}</T>
        </View>
      ) : (
        <Row>
          <Button onPress={() => setMoving(true)}>{plainly(CHART.move, { name: place.name })}</Button>
        </Row>
      )}
    </Card>
  );
}
