import { useState } from 'react';
import { View } from 'react-native';
import { TextInput } from 'react-native-paper';
import { onHatchOf } from '@escale/core/boat';
import type { Boat } from '@escale/core/model';
import { Button, Row } from '../../ui/button';
import { Choice, Tick } from '../../ui/choice';
import { T } from '../../ui/text';
import { TOUCH } from '../../ui/tokens';
import { fieldId } from '../../data/where';
import { useTripChange } from '../trip/trip-form';
import { useTrip } from '../trip/use-trip';
import { ON_HATCH } from './words';

/** What lies on or against a hatch or its latch, asked of every trip in a boat that has one. */
export function OnHatch({ boat }: { boat: Boat }) {
  const { trip, says } = useTrip();
  const put = useTripChange();
  const [some, setSome] = useState(false);
  const [other, setOther] = useState('');
  const hatches = boat.openings.filter(({ kind }) => kind === 'hatch');
  if (hatches.length === 0) return null;
  const on = onHatchOf(trip, boat);
  const lies = some || (on !== undefined && on.length > 0);
  const names = [...new Set([...trip.load.map(({ name }) => name), ...(on ?? [])])];
  const say = (lies: string[] | undefined) =>
    put('/onHatch', lies && { boat: boat.id, lies }, ON_HATCH.title);
  const answer = lies ? 'some' : on === undefined ? undefined : 'none';
  return (
    <View id={fieldId('/onHatch')} style={{ gap: 6 }}>
      <T as="section" heading={3}>
        {ON_HATCH.title}
      </T>
      <T as="soft">{says(ON_HATCH.why, { hatches: hatches.map(({ name }) => name) })}</T>
      <Choice
        label={ON_HATCH.title}
        options={[
          { value: 'none', label: ON_HATCH.none },
          { value: 'some', label: ON_HATCH.some },
        ]}
        value={answer}
        onChange={(v) => {
          setSome(v === 'some');
          if (v !== 'some') say(v === 'none' ? [] : undefined);
          else if (on?.length === 0) say(undefined);
        }}
        clearable
      />
      {lies
        ? names.map((name) => (
            <Tick
              key={name}
              label={name}
              on={on?.includes(name) === true}
              onChange={(yes) => {
                const next = yes ? [...(on ?? []), name] : (on ?? []).filter((n) => n !== name);
                // Nothing is left of what lay there: whether nothing lies there is for its crew to say.
                say(next.length > 0 ? next : undefined);
              }}
            />
          ))
        : null}
      {lies ? (
        <Row>
          <TextInput
            mode="outlined"
            dense
            accessibilityLabel={ON_HATCH.other}
            placeholder={ON_HATCH.other}
            value={other}
            onChangeText={setOther}
            maxLength={120}
            style={{ minHeight: TOUCH, flex: 1 }}
          />
          <Button
            cant={other.trim() === '' && ON_HATCH.otherFirst}
            onPress={() => {
              say([...new Set([...(on ?? []), other.trim()])]);
              setOther('');
            }}
          >
            {ON_HATCH.add}
          </Button>
        </Row>
      ) : null}
    </View>
  );
}
