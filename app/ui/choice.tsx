import { useId, useState } from 'react';
import { View } from 'react-native';
import { TextInput } from 'react-native-paper';
import { Button } from './button';
import { Check, Radio } from './mark';
import { Press } from './press';
import { Sheet } from './sheet';
import { T } from './text';
import { usePalette } from './theme';
import { TOUCH, TOUCH_WET } from './tokens';
import { plainly } from '../data/settings';

export interface Option {
  value: string;
  label: string;
  note?: string;
}

/** Options out of a list of words: each label stands once, in core. */
export const optionsOf = (words: Readonly<Record<string, string>>): Option[] =>
  Object.entries(words).map(([value, label]) => ({ value, label }));
interface Props {
  label: string;
  options: Option[];
  value: string | undefined;
  onChange: (value: string | undefined) => void;
  /** Offer "not said" as an answer. */
  clearable?: boolean;
  /** All in sight, however many. */
  unfolded?: boolean;
  id?: string;
}

/** Up to this many options stand open side by side; more are a list that opens. */
const OPEN_AT_MOST = 6;
const SEARCH_FROM = 12;

/** One of several: all in sight when few, a list with a search when many. */
export function Choice(props: Props) {
  return props.unfolded || props.options.length <= OPEN_AT_MOST ? <Open {...props} /> : <Folded {...props} />;
}

function Open({ label, options, value, onChange, clearable, id }: Props) {
  const p = usePalette();
  const group = useId();
  return (
    <View role="radiogroup" aria-label={label} style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 6 }}>
      {options.map((option, i) => {
        const on = option.value === value;
        return (
          <Radio
            key={option.value}
            group={group}
            label={option.label}
            on={on}
            onPick={() => onChange(option.value)}
            {...(clearable ? { onAgain: () => onChange(undefined) } : {})}
            {...(i === 0 && id ? { id } : {})}
            style={{
              padding: on ? '0 11px' : '0 12px',
              borderStyle: 'solid',
              borderWidth: on ? 2 : 1,
              borderColor: on ? p.ink : p.soft,
              background: on ? p.raised : 'transparent',
            }}
          >
            <T as={on ? 'strong' : 'body'}>{option.label}</T>
          </Radio>
        );
      })}
    </View>
  );
}

function Folded(props: Props) {
  const { label, options, value, id } = props;
  const p = usePalette();
  const [open, setOpen] = useState(false);
  const said = options.find((o) => o.value === value)?.label;
  return (
    <>
      <Press
        label={plainly('{label}: {said}', { label, said: said ?? 'not said' })}
        opens="dialog"
        expanded={open}
        onPress={() => setOpen(true)}
        {...(id ? { id } : {})}
        style={{
          minHeight: TOUCH,
          borderWidth: 1,
          borderColor: p.soft,
          paddingHorizontal: 12,
          flexDirection: 'row',
          alignItems: 'center',
          justifyContent: 'space-between',
        }}
      >
        <T>{said ?? 'Choose'}</T>
        <T as="small">change</T>
      </Press>
      {open ? <Pick {...props} close={() => setOpen(false)} /> : null}
    </>
  );
}

/** The list of a long choice. A press takes an answer and closes; arrows only move, and what they came to counts on closing. */
function Pick({ label, options, value, onChange, clearable, close }: Props & { close: () => void }) {
  const p = usePalette();
  const group = useId();
  const [find, setFind] = useState('');
  const [draft, setDraft] = useState(value);
  const shown = options.filter((o) => o.label.toLowerCase().includes(find.trim().toLowerCase()));
  const take = (next: string | undefined) => {
    if (next !== value) onChange(next);
    close();
  };
  return (
    <Sheet title={label} onClose={() => take(draft)}>
      {options.length >= SEARCH_FROM ? (
        <TextInput
          mode="outlined"
          dense
          accessibilityLabel={plainly('Find in {label}', { label })}
          placeholder="Find"
          value={find}
          onChangeText={setFind}
          autoFocus
        />
      ) : null}
      <View role="radiogroup" aria-label={label}>
        {shown.map((option) => (
          <Radio
            key={option.value}
            group={group}
            label={option.label}
            on={option.value === draft}
            onPick={() => setDraft(option.value)}
            onPress={() => take(option.value)}
            style={{ padding: '4px 8px', borderStyle: 'solid', borderWidth: '0 0 1px', borderColor: p.line }}
          >
            <View style={{ flex: 1 }}>
              <T as={option.value === draft ? 'strong' : 'body'}>{option.label}</T>
              {option.note ? <T as="small">{option.note}</T> : null}
            </View>
          </Radio>
        ))}
        {shown.length === 0 ? (
          <T as="soft" style={{ padding: 8 }}>
            Nothing of that name.
          </T>
        ) : null}
      </View>
      <View style={{ flexDirection: 'row', gap: 8 }}>
        {clearable && value !== undefined ? <Button onPress={() => take(undefined)}>Not said</Button> : null}
        <Button onPress={() => take(draft)}>Close</Button>
      </View>
    </Sheet>
  );
}

/** A thing that is on or off: jackets, ticks. */
export function Tick({
  label,
  note,
  on,
  onChange,
  wet,
}: {
  label: string;
  note?: string;
  on: boolean;
  onChange: (on: boolean) => void;
  wet?: boolean;
}) {
  return (
    <Check
      label={label}
      on={on}
      onChange={onChange}
      style={{ minHeight: wet ? TOUCH_WET : TOUCH, padding: '6px 0' }}
    >
      <View style={{ flex: 1 }}>
        <T as={on ? 'soft' : 'body'}>{label}</T>
        {note ? <T as="small">{note}</T> : null}
      </View>
    </Check>
  );
}
