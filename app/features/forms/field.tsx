import { createContext, useContext } from 'react';
import { View } from 'react-native';
import { TextInput } from 'react-native-paper';
import { useController, useFieldArray, useFormContext } from 'react-hook-form';
import type { ThingType } from '@escale/core/model';
import { unitOf, type Quantity } from '@escale/core/units';
import { Button, Row } from '../../ui/button';
import { Choice } from '../../ui/choice';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { TOUCH } from '../../ui/tokens';
import { useKind } from '../../data/hooks';
import { useSettings, plainly } from '../../data/settings';
import { fieldId } from '../../data/where';
import { DateField } from './date-field';
import { Measure } from './measure';
import { PositionField } from './position-field';
import { Fault, pointerOf, type FieldProps, type Inner } from './parts';
import { blankOf, fieldsOf, shapeOf, type Shape } from './schema';
import { CATALOGUE } from '@escale/core/kit';
import { Check } from '../../ui/mark';
import { FORM } from './words';

/** Deeper parts of a form are told how to save by the outermost. */
const Basis = createContext<Record<string, string>>({});
/** Says that a guessed value is so. Absent where nothing can be said yet. */
export const SayingSo = createContext<((pointer: string) => void) | undefined>(undefined);

/** One field of a schema, whatever it is. */
export function Field({ basis, ...props }: FieldProps) {
  const outer = useContext(Basis);
  const shape = shapeOf(props.schema);
  return (
    <Basis.Provider value={basis ?? outer}>
      <Labelled shape={shape} {...props} />
    </Basis.Provider>
  );
}

function Labelled({ shape, ...props }: FieldProps & { shape: Shape }) {
  const basis = useContext(Basis);
  const { meta, kind } = shape;
  const pointer = pointerOf(props.name);
  const guessed = basis[pointer] === 'guessed';
  const sayIt = useContext(SayingSo);
  const title = meta.title ?? props.name.split('.').at(-1) ?? '';
  const { units } = useSettings();
  const { symbol } =
    kind === 'number' ? unitOf((meta.quantity ?? 'count') as Quantity, units) : { symbol: '' };
  const label = symbol ? plainly(FORM.inUnit, { label: title, unit: symbol }) : title;
  return (
    <View style={{ gap: 4 }}>
      <View style={{ flexDirection: 'row', alignItems: 'center', gap: 8 }}>
        <T as="label" style={{ fontSize: 14 }}>
          {guessed ? plainly(FORM.guess, { label }) : label}
        </T>
        {guessed && sayIt ? (
          <Button kind="quiet" label={plainly(FORM.itIsSo, { label: title })} onPress={() => sayIt(pointer)}>
            it is so
          </Button>
        ) : null}
      </View>
      {meta.position ? (
        <PositionField shape={shape} label={title} {...props} />
      ) : kind === 'group' ? (
        <Group shape={shape} label={title} {...props} />
      ) : kind === 'none-or-group' ? (
        <NoneOrGroup shape={shape} label={title} {...props} />
      ) : kind === 'list' ? (
        <List shape={shape} label={title} {...props} />
      ) : (
        <One shape={shape} label={title} {...props} />
      )}
      {meta.help ? <T as="small">{meta.help}</T> : null}
    </View>
  );
}

function One(props: Inner) {
  const { shape } = props;
  if (shape.meta.ref) return <Ref type={shape.meta.ref} {...props} />;
  if (shape.meta.catalogue)
    return <Choose options={CATALOGUE.kinds.map((k) => ({ value: k.id, label: k.title }))} {...props} />;
  if (shape.kind === 'choice')
    return (
      <Choose
        options={Object.entries(shape.meta.words ?? {}).map(([value, label]) => ({ value, label }))}
        {...props}
      />
    );
  if (shape.kind === 'yes-no') return <YesNo {...props} />;
  if (shape.kind === 'number') return <Measure {...props} />;
  if (shape.meta.picks) return <DateField {...props} />;
  return <Text {...props} />;
}

function Text({ name, shape, label, onLeft }: Inner) {
  const { field, fieldState } = useController({ name });
  const long = shape.meta.long === true;
  return (
    <>
      <TextInput
        mode="outlined"
        dense={!long}
        multiline={long}
        {...(long ? { numberOfLines: 3 } : {})}
        accessibilityLabel={label}
        id={fieldId(pointerOf(name))}
        error={fieldState.error !== undefined}
        value={typeof field.value === 'string' ? field.value : ''}
        onChangeText={(text) => field.onChange(text === '' && shape.optional ? undefined : text)}
        onBlur={() => {
          void onLeft(name);
        }}
        style={long ? {} : { minHeight: TOUCH }}
      />
      <Fault name={name} label={label} />
    </>
  );
}

function Choose({
  name,
  shape,
  label,
  options,
  onLeft,
}: Inner & { options: { value: string; label: string }[] }) {
  const { field } = useController({ name });
  return (
    <>
      <Choice
        label={label}
        id={fieldId(pointerOf(name))}
        options={options}
        value={field.value as string | undefined}
        clearable={shape.optional}
        onChange={(value) => {
          field.onChange(value);
          void onLeft(name);
        }}
      />
      <Fault name={name} label={label} />
    </>
  );
}

function YesNo({ name, label, shape, onLeft }: Inner) {
  const { field } = useController({ name });
  const value = field.value === true ? 'yes' : field.value === false ? 'no' : undefined;
  return (
    <Choice
      label={label}
      id={fieldId(pointerOf(name))}
      options={[
        { value: 'yes', label: 'Yes' },
        { value: 'no', label: 'No' },
      ]}
      value={value}
      clearable={shape.optional}
      onChange={(v) => {
        field.onChange(v === undefined ? undefined : v === 'yes');
        void onLeft(name);
      }}
    />
  );
}

const nameOf = (doc: object) => ('name' in doc ? String(doc.name) : 'title' in doc ? String(doc.title) : '?');

function Ref({ type, ...props }: Inner & { type: ThingType }) {
  const { field } = useController({ name: props.name });
  const { without } = props.shape.meta;
  // What was chosen before stays to be seen.
  const things = useKind(type).filter(
    (h) => h.id === field.value || !without?.includes(String((h.doc as { kind?: unknown }).kind)),
  );
  return <Choose {...props} options={things.map((h) => ({ value: h.id, label: nameOf(h.doc) }))} />;
}

/** Fields that belong together; what is said about all of them leads here. */
function Group({ label, ...props }: Inner) {
  return (
    <View id={fieldId(pointerOf(props.name))} tabIndex={-1} role="group" aria-label={label}>
      <Within {...props} />
    </View>
  );
}

function Within({ name, shape, onLeft }: Omit<Inner, 'label'>) {
  const p = usePalette();
  return (
    <View style={{ borderLeftWidth: 2, borderColor: p.line, paddingLeft: 10, gap: 10 }}>
      {Object.entries(shape.fields ?? {}).map(([key, field]) =>
        shapeOf(field).meta.hidden ? null : (
          <Field key={key} name={`${name}.${key}`} schema={field} onLeft={onLeft} />
        ),
      )}
      <Fault name={name} />
    </View>
  );
}

/** "None" is said, not left out: a plate that is not there is a fact. */
function NoneOrGroup({ name, shape, label, onLeft }: Inner) {
  const { field } = useController({ name });
  const state = field.value === 'none' ? 'none' : field.value === undefined ? undefined : 'has';
  const take = (next: string | undefined) => {
    field.onChange(next === 'none' ? 'none' : next === 'has' ? {} : undefined);
    void onLeft(name);
  };
  return (
    <>
      <Choice
        label={label}
        id={fieldId(pointerOf(name))}
        options={[
          { value: 'has', label: 'Has one' },
          { value: 'none', label: 'None' },
        ]}
        value={state}
        clearable
        onChange={take}
      />
      {state === 'has' ? <Within name={name} shape={shape} schema={shape.schema} onLeft={onLeft} /> : null}
    </>
  );
}

/** A list: of plain words, of things, or of groups. */
function List({ name, shape, label, onLeft }: Inner) {
  const p = usePalette();
  const { control } = useFormContext();
  const { fields, append, remove } = useFieldArray({ control, name });
  const element = shape.element;
  if (!element) return null;
  const inner = shapeOf(element);
  if (inner.kind === 'choice')
    return <Several name={name} shape={shape} label={label} onLeft={onLeft} schema={shape.schema} />;
  if (inner.kind !== 'group')
    return <Words name={name} shape={shape} label={label} onLeft={onLeft} schema={shape.schema} />;
  const drop = (i: number) => {
    remove(i);
    void onLeft(name);
  };
  return (
    <View style={{ gap: 10 }} id={fieldId(pointerOf(name))} tabIndex={-1} aria-label={label} role="group">
      {fields.map((_row, i) => (
        <View
          // By its place: a row that was made anew when an answer came back would lose the focus.
          key={i}
          style={{ borderWidth: 1, borderColor: p.line, padding: 10, gap: 10, backgroundColor: p.raised }}
        >
          {fieldsOf(element).map(([key, field]) => (
            <Field key={key} name={`${name}.${i}.${key}`} schema={field} onLeft={onLeft} />
          ))}
          <Row>
            <Button kind="quiet" label={plainly(FORM.drop, { label, n: i + 1 })} onPress={() => drop(i)}>
              Remove
            </Button>
          </Row>
        </View>
      ))}
      <Row>
        <Button label={plainly(FORM.add, { label })} onPress={() => append(blankOf(element) as object)}>
          Add
        </Button>
      </Row>
      <Fault name={name} label={label} />
    </View>
  );
}

/** Any of a few known words. */
function Several({ name, shape, label, onLeft }: Inner) {
  const { field } = useController({ name });
  return (
    <Marks
      name={name}
      label={label}
      options={Object.entries(shape.meta.words ?? {})}
      value={(field.value as string[] | undefined) ?? []}
      put={(next) => {
        field.onChange(next.length === 0 && shape.optional ? undefined : next);
        void onLeft(name);
      }}
    />
  );
}

/** A list of which any may be marked. */
function Marks({
  name,
  label,
  options,
  value,
  put,
}: {
  name: string;
  label: string;
  options: [id: string, said: string][];
  value: string[];
  put: (next: string[]) => void;
}) {
  return (
    <View
      role="group"
      aria-label={label}
      id={fieldId(pointerOf(name))}
      tabIndex={-1}
      style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 6 }}
    >
      {options.map(([id, said]) => (
        <Check
          key={id}
          label={said}
          on={value.includes(id)}
          onChange={(on) => put(on ? [...value, id] : value.filter((one) => one !== id))}
          style={{ padding: '0 12px 0 0' }}
        >
          <T>{said}</T>
        </Check>
      ))}
    </View>
  );
}

/** A list of words, one a line; or of chosen things. */
function Words({ name, shape, label, onLeft }: Inner) {
  const { field } = useController({ name });
  const type = shape.meta.ref;
  const things = useKind(type ?? 'boat');
  const value = (field.value as string[] | undefined) ?? [];
  const put = (next: string[]) => {
    field.onChange(next);
    void onLeft(name);
  };
  if (type) {
    const options = things.map((h): [string, string] => [h.id, nameOf(h.doc)]);
    return (
      <>
        <Marks name={name} label={label} options={options} value={value} put={put} />
        <Fault name={name} label={label} />
      </>
    );
  }
  return (
    <>
      <TextInput
        mode="outlined"
        multiline
        numberOfLines={3}
        accessibilityLabel={plainly(FORM.oneALine, { label })}
        id={fieldId(pointerOf(name))}
        value={value.join('\n')}
        onChangeText={(text) => field.onChange(text.split('\n'))}
        onBlur={() => {
          put(value.map((w) => w.trim()).filter(Boolean));
        }}
      />
      <T as="small">One a line.</T>
      <Fault name={name} label={label} />
    </>
  );
}
