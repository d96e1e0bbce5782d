import { useEffect, useMemo, useRef } from 'react';
import { View } from 'react-native';
import { zodResolver } from '@hookform/resolvers/zod';
import { FormProvider, useForm } from 'react-hook-form';
import type * as z from 'zod';
import { THINGS, type Patch, type ThingType } from '@escale/core/model';
import { Button } from '../../ui/button';
import { Field, SayingSo } from './field';
import { useGoTo } from './go-to';
import { fieldsOf } from './schema';

type Values = Record<string, unknown>;

interface Props {
  type: ThingType;
  doc: object;
  /** Only these fields, in this order. */
  only?: readonly string[];
  /** Saves by itself: every field that holds good is sent as it is left. */
  onPatch?: (patch: Patch[]) => void;
  /** A new thing is sent whole, by a button. */
  onCreate?: (doc: Values) => void;
  createLabel?: string;
  /** JSON pointer of the field to go to. */
  at?: string | undefined;
  /** Guessed values by pointer. */
  basis?: Record<string, string> | undefined;
}

/** A form made from the thing's own schema. One schema serves form, wire, row and file. */
export function ThingForm({ type, doc, only, onPatch, onCreate, createLabel = 'Add', at, basis }: Props) {
  const schema = THINGS[type] as unknown as z.ZodType<Values, Values>;
  const form = useForm<Values>({
    values: doc as Values,
    resolver: zodResolver(schema),
    mode: 'onBlur',
    reValidateMode: 'onChange',
    resetOptions: { keepDirtyValues: true },
  });
  const fields = useMemo(() => {
    const all = fieldsOf(schema);
    return only ? only.flatMap((name) => all.filter(([key]) => key === name)) : all;
  }, [schema, only]);
  useGoTo(at);

  // A field is sent when it is left, and only if the whole holds good with it: nothing half said leaves the page.
  const sent = useRef(doc as Values);
  useEffect(() => {
    sent.current = doc as Values;
  }, [doc]);
  const save = async (name: string) => {
    if (!onPatch) return;
    const top = name.split('.')[0];
    if (!(await form.trigger(top))) return;
    const value = form.getValues(top);
    const read = (schema as unknown as { shape: Record<string, z.ZodType> }).shape[top].safeParse(value);
    if (!read.success || JSON.stringify(read.data) === JSON.stringify(sent.current[top])) return;
    sent.current = { ...sent.current, [top]: read.data };
    onPatch([
      read.data === undefined
        ? { op: 'unset', pointer: `/${top}` }
        : { op: 'set', pointer: `/${top}`, value: read.data },
    ]);
  };

  const sayIt = useMemo(() => {
    if (!onPatch || !basis) return undefined;
    return (pointer: string) =>
      onPatch([{ op: 'set', pointer: '/basis', value: { ...basis, [pointer]: 'stated' } }]);
  }, [onPatch, basis]);

  return (
    <SayingSo.Provider value={sayIt}>
      <FormProvider {...form}>
        <View style={{ gap: 14 }}>
          {fields.map(([key, field]) => (
            <Field key={key} name={key} schema={field} onLeft={save} {...(basis ? { basis } : {})} />
          ))}
          {onCreate ? (
            <Button
              kind="main"
              busy={form.formState.isSubmitting}
              onPress={() => void form.handleSubmit((values) => onCreate(values))()}
            >
              {createLabel}
            </Button>
          ) : null}
        </View>
      </FormProvider>
    </SayingSo.Provider>
  );
}
