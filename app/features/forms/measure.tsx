import { useState } from 'react';
import { TextInput } from 'react-native-paper';
import { useController } from 'react-hook-form';
import type * as z from 'zod';
import { format, fromSI, unitOf, type Quantity, type UnitSystem } from '@escale/core/units';
import { readMeasure, typedMeasure } from '@escale/core/units/read';
import { TOUCH } from '../../ui/tokens';
import { plainly, useSettings } from '../../data/settings';
import { fieldId } from '../../data/where';
import { Fault, pointerOf, type Inner } from './parts';
import type { Shape } from './schema';
import { FORM } from './words';

/** What is wrong with a number, in the person's own unit; undefined where it lies within its limits. */
function beyond(
  { schema }: Shape,
  label: string,
  value: number,
  quantity: Quantity,
  units: UnitSystem,
): string | undefined {
  const { minValue: least, maxValue: most } = schema as z.ZodNumber;
  const say = (limit: number) =>
    format(limit, quantity, units, Number.isInteger(fromSI(limit, unitOf(quantity, units))) ? 0 : undefined);
  if (least !== null && value < least) return plainly(FORM.least, { label, limit: say(least) });
  return most !== null && value > most ? plainly(FORM.most, { label, limit: say(most) }) : undefined;
}

/** A number in the person's own unit, or with the unit that is written behind it; SI inside. */
export function Measure({ name, shape, label, onLeft }: Inner) {
  const { field, fieldState } = useController({ name });
  const quantity = (shape.meta.quantity ?? 'count') as Quantity;
  const { units } = useSettings();
  const { symbol } = unitOf(quantity, units);
  const value: unknown = field.value;
  // What can't be read stays as it was typed, and is no answer.
  const shown =
    typeof value === 'number' ? typedMeasure(value, quantity, units) : typeof value === 'string' ? value : '';
  const [typed, setTyped] = useState<string>();
  const leave = () => {
    if (typed !== undefined) {
      const text = typed.trim();
      field.onChange(text === '' ? undefined : (readMeasure(text, quantity, units) ?? text));
      setTyped(undefined);
    }
    void onLeft(name);
  };
  const wrong = fieldState.error !== undefined;
  const unread = symbol ? plainly(FORM.numberIn, { label, unit: symbol }) : plainly(FORM.number, { label });
  const own = typeof value === 'number' ? beyond(shape, label, value, quantity, units) : unread;
  return (
    <>
      <TextInput
        mode="outlined"
        dense
        inputMode="decimal"
        accessibilityLabel={symbol ? plainly(FORM.inUnit, { label, unit: symbol }) : label}
        id={fieldId(pointerOf(name))}
        error={wrong}
        value={typed ?? shown}
        onChangeText={setTyped}
        onBlur={leave}
        style={{ minHeight: TOUCH, maxWidth: 240 }}
      />
      <Fault name={name} label={label} {...(wrong && value !== undefined ? { own } : {})} />
    </>
  );
}
