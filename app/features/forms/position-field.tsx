import { useState } from 'react';
import { useController } from 'react-hook-form';
import { readPosition } from '@escale/core/earth/read-position';
import { fieldId } from '../../data/where';
import { positionText } from '../where/position-text';
import { WhereField } from '../where/where-field';
import { Fault, pointerOf, type Inner } from './parts';

type At = { lat: number; lon: number };

/** A position of a thing. What can't be read is none, and is said to be so: the one of before is not kept behind it. */
export function PositionField({ name, label, onLeft }: Inner) {
  const { field, fieldState } = useController({ name });
  const value = field.value as At | undefined;
  // As it was typed while it can't be read or is being typed; else as it is kept.
  const [typed, setTyped] = useState<string>();
  return (
    <>
      <WhereField
        label={label}
        labelled
        id={fieldId(pointerOf(name))}
        text={typed ?? (value ? positionText(value) : '')}
        wrong={fieldState.error !== undefined}
        onText={(text) => {
          setTyped(text);
          field.onChange(readPosition(text));
        }}
        onLeave={() => {
          if (typed !== undefined && readPosition(typed)) setTyped(undefined);
          void onLeft(name);
        }}
      />
      <Fault name={name} label={label} />
    </>
  );
}
