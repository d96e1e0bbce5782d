import { useEffect, useMemo, useRef } from 'react';
import { View } from 'react-native';
import { zodResolver } from '@hookform/resolvers/zod';
import { FormProvider, useForm, useWatch, type FieldErrors, type Resolver } from 'react-hook-form';
import type * as z from 'zod';
import { THINGS, type Patch, type ThingType } from '@escale/core/model';
import { Button, Row } from '../../ui/button';
import { Fold } from '../../ui/fold';
import { T } from '../../ui/text';
import { useToday } from '../../data/hooks';
import { plainly } from '../../data/settings';
import { afterTap } from './after-tap';
import { Field, SayingSo } from './field';
import { goTo, useGoTo } from './go-to';
import { groupsOf, saidOf, type Group } from './groups';
import { fieldsOf, shapeOf } from './schema';
import { FORM } from './words';

type Values = Record<string, unknown>;

interface Props {
  /** A thing, or the schema of what is kept within one. */
  type: ThingType | z.ZodObject;
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

/** A form made from the thing's own schema, grouped by what kind it is. One schema serves form, wire, row and file. */
export function ThingForm({ type, doc, only, onPatch, onCreate, createLabel = 'Add', at, basis }: Props) {
  const schema = (typeof type === 'string' ? THINGS[type] : type) as unknown as z.ZodType<Values, Values>;
  const fields = useMemo(() => new Map(fieldsOf(schema)), [schema]);
  const today = useToday();
  // Nothing is held against a field while a finger is on its way to a button: errors come when a field was left.
  const form = useForm<Values>({
    values: doc as Values,
    resolver: withToday(zodResolver(schema), fields, today),
    mode: 'onSubmit',
    reValidateMode: 'onChange',
    resetOptions: { keepDirtyValues: true },
  });
  const watched = useWatch({ control: form.control });
  const groups: Group[] =
    only || typeof type !== 'string'
      ? [{ fields: (only ?? [...fields.keys()]).filter((name) => fields.has(name)) }]
      : groupsOf(type, { ...(doc as Values), ...watched }, [...fields.keys()]);
  useGoTo(at);

  // A field is sent when it is left, and only if the whole holds good with it: nothing half said leaves the page.
  const sent = useRef(doc as Values);
  useEffect(() => {
    sent.current = doc as Values;
  }, [doc]);
  const save = async (name: string) => {
    const top = name.split('.')[0];
    await afterTap();
    if (!(await form.trigger(top)) || !onPatch) return;
    const value = form.getValues(top);
    const field = (schema as unknown as { shape: Record<string, z.ZodType> }).shape[top];
    const read = field.safeParse(value);
    // Both in the schema's own order of keys: a field that was only passed through has not changed.
    const before = field.safeParse(sent.current[top]);
    if (!read.success || JSON.stringify(read.data) === JSON.stringify(before.data)) return;
    sent.current = { ...sent.current, [top]: read.data };
    onPatch([
      read.data === undefined
        ? { op: 'unset', pointer: `/${top}` }
        : { op: 'set', pointer: `/${top}`, value: read.data },
    ]);
  };
  // Of a new thing nothing is asked for before it was begun: an empty field that is passed through is no fault yet.
  const left = (name: string) => {
    if (onPatch || form.getFieldState(name, form.formState).isDirty) return save(name);
  };

  const sayIt = useMemo(() => {
    if (!onPatch || !basis) return undefined;
    return (pointer: string) =>
      onPatch([{ op: 'set', pointer: '/basis', value: { ...basis, [pointer]: 'stated' } }]);
  }, [onPatch, basis]);

  // Reading `dirtyFields` makes the library keep account of them.
  const { errors, isSubmitting, submitCount, dirtyFields: _dirty } = form.formState;
  const one = (name: string) => {
    const field = fields.get(name);
    return field ? (
      <Field key={name} name={name} schema={field} onLeft={left} {...(basis ? { basis } : {})} />
    ) : null;
  };
  return (
    <SayingSo.Provider value={sayIt}>
      <FormProvider {...form}>
        <View style={{ gap: 14 }}>
          {groups.map(({ title, fields: names }) => {
            if (title === undefined) return names.map(one);
            const open = names.some((n) => at?.split('/')[1] === n || errors[n] !== undefined);
            const answered = saidOf({ ...(doc as Values), ...watched }, names);
            return (
              <Fold
                key={title}
                title={plainly(FORM.group, { title, said: answered, all: names.length })}
                begin={open}
              >
                <View style={{ gap: 14, paddingTop: 12 }}>{names.map(one)}</View>
              </Fold>
            );
          })}
          {onCreate ? (
            <>
              <Button
                kind="main"
                busy={isSubmitting}
                onPress={() => void form.handleSubmit((values) => onCreate(values))()}
              >
                {createLabel}
              </Button>
              {submitCount > 0 ? <Lacking errors={errors} fields={fields} /> : null}
            </>
          ) : null}
        </View>
      </FormProvider>
    </SayingSo.Provider>
  );
}

/** What the schema can't know: a day on which something was done or somebody was born does not lie ahead. */
function withToday(
  resolver: Resolver<Values>,
  fields: ReadonlyMap<string, z.ZodType>,
  today: string,
): Resolver<Values> {
  return async (values, context, options) => {
    const read = await resolver(values, context, options);
    const ahead = [...fields].flatMap(([name, field]) => {
      const { meta } = shapeOf(field);
      const value = values[name];
      if (!meta.past || read.errors[name as keyof typeof read.errors] !== undefined) return [];
      if (typeof value !== 'string' || value <= today) return [];
      return [[name, { type: 'past', message: FORM.future }] as const];
    });
    return ahead.length === 0
      ? read
      : { values: {}, errors: { ...read.errors, ...Object.fromEntries(ahead) } };
  };
}

/** What keeps a new thing from being added, below the button, each a way to its field, where it says what is wrong. */
function Lacking({ errors, fields }: { errors: FieldErrors; fields: ReadonlyMap<string, z.ZodType> }) {
  const found = Object.keys(errors);
  if (found.length === 0) return null;
  return (
    <View role="alert">
      <T as="strong">{FORM.notYet}</T>
      <Row style={{ columnGap: 16 }}>
        {found.map((name) => {
          const schema = fields.get(name);
          const label = (schema && shapeOf(schema).meta.title) ?? name;
          return (
            <Button
              key={name}
              kind="quiet"
              label={plainly(FORM.look, { label })}
              onPress={() => goTo(`/${name}`)}
            >
              {label}
            </Button>
          );
        })}
      </Row>
    </View>
  );
}
