import { useState } from 'react';
import { View } from 'react-native';
import Svg from 'react-native-svg';
import { TextInput } from 'react-native-paper';
import { hullOf, HULLS } from '@escale/core/boat';
import type { Boat, StartingPoint } from '@escale/core/model';
import { CRAFT, type Craft } from '@escale/core/model/lists';
import { saysTo } from '@escale/core/say';
import { Button, Row } from '../../ui/button';
import { Choice, optionsOf } from '../../ui/choice';
import { Radio } from '../../ui/mark';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { plainly, useReader } from '../../data/settings';
import { newId } from '../../data/outbox';
import { HullShape } from './hull-shape';
import { startBoat, STARTING_POINTS } from '@escale/core/boat/start';
import { BOAT } from './words';

const KINDS = optionsOf(CRAFT);

/** A boat in two minutes: her kind, the one she is most like, her name. Everything else is a guess until it is said. */
export function NewBoat({ add: keep, blank }: { add: (boat: Boat) => void; blank: () => void }) {
  const [kind, setKind] = useState<Craft>();
  const [point, setPoint] = useState<StartingPoint>();
  const [name, setName] = useState('');
  const [id] = useState(newId);
  const add = () => {
    if (!point || name.trim() === '') return;
    keep(startBoat(point, id, name.trim()));
  };
  return (
    <View style={{ gap: 14 }}>
      <T as="section" heading={2}>
        What is she?
      </T>
      <Choice
        label="Kind"
        unfolded
        options={KINDS}
        value={kind}
        onChange={(k) => {
          setKind(k as Craft | undefined);
          setPoint(undefined);
        }}
      />
      {kind ? (
        <View role="radiogroup" aria-label="Most like" style={{ gap: 8 }}>
          <T as="section" heading={2}>
            Most like
          </T>
          {STARTING_POINTS.filter((s) => s.kind === kind).map((s) => (
            <PointCard key={s.id} point={s} on={s === point} onPress={() => setPoint(s)} />
          ))}
        </View>
      ) : null}
      {point ? (
        <TextInput
          mode="outlined"
          label="Her name"
          accessibilityLabel="Her name"
          value={name}
          onChangeText={setName}
          maxLength={120}
          onSubmitEditing={add}
        />
      ) : null}
      <Row>
        <Button
          kind="main"
          cant={!point ? BOAT.kindFirst : name.trim() === '' && BOAT.nameFirst}
          onPress={add}
        >
          Add her
        </Button>
        <Button kind="quiet" onPress={blank}>
          Start from nothing
        </Button>
      </Row>
      <T as="small">
        Every figure she starts with is a guess and is marked so. What the law turns on is not guessed: it is
        asked.
      </T>
    </View>
  );
}

const WIDE = 128,
  HIGH = 56;

export function PointCard({
  point,
  on,
  onPress,
}: {
  point: StartingPoint;
  on: boolean;
  onPress: () => void;
}) {
  const p = usePalette();
  const reader = useReader('UTC');
  const hull = hullOf({ kind: point.kind, ...point.boat }, HULLS);
  const per = hull ? Math.min((WIDE - 8) / hull.length, (HIGH - 4) / hull.beam) : 1;
  return (
    <Radio
      group="most-like"
      label={plainly(BOAT.like, { title: point.title, note: point.note })}
      on={on}
      onPick={onPress}
      style={{
        gap: 12,
        borderStyle: 'solid',
        borderWidth: on ? 3 : 1,
        borderColor: on ? p.ink : p.soft,
        background: p.raised,
        padding: on ? 8 : 10,
      }}
    >
      {hull ? (
        <Svg width={WIDE} height={HIGH} aria-hidden>
          <HullShape hull={hull} scale={{ x: (m) => 4 + m * per, y: (m) => HIGH / 2 - m * per }} p={p} />
        </Svg>
      ) : null}
      <View style={{ flex: 1 }}>
        <T as="strong">{point.title}</T>
        <T as="small">{point.note}</T>
        {hull ? (
          <T as="label">{saysTo(reader)(BOAT.size, { length: hull.length, beam: hull.beam })}</T>
        ) : null}
      </View>
    </Radio>
  );
}
