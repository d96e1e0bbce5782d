import { useState } from 'react';
import { Pressable, ScrollView, View } from 'react-native';
import { Modal, Portal, TextInput } from 'react-native-paper';
import { Button } from './button';
import { T } from './text';
import { usePalette } from './theme';
import { TOUCH } from './tokens';

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
  return (
    <View role="radiogroup" aria-label={label} style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 6 }}>
      {options.map((option, i) => {
        const on = option.value === value;
        return (
          <Pressable
            key={option.value}
            role="radio"
            aria-checked={on}
            aria-label={option.label}
            onPress={() => onChange(on && clearable ? undefined : option.value)}
            {...(i === 0 && id ? { nativeID: id } : {})}
            style={{
              minHeight: TOUCH,
              paddingHorizontal: 12,
              justifyContent: 'center',
              borderWidth: on ? 2 : 1,
              borderColor: on ? p.ink : p.soft,
              backgroundColor: on ? p.ink : 'transparent',
            }}
          >
            <T as={on ? 'strong' : 'body'} color={on ? p.paper : p.ink}>
              {option.label}
            </T>
          </Pressable>
        );
      })}
    </View>
  );
}

function Folded({ label, options, value, onChange, clearable, id }: Props) {
  const p = usePalette();
  const [open, setOpen] = useState(false);
  const [find, setFind] = useState('');
  const chosen = options.find((o) => o.value === value);
  const shown = options.filter((o) => o.label.toLowerCase().includes(find.trim().toLowerCase()));
  const take = (next: string | undefined) => {
    onChange(next);
    setOpen(false);
    setFind('');
  };
  return (
    <>
      <Pressable
        role="button"
        aria-label={`${label}: ${chosen?.label ?? 'not said'}`}
        aria-haspopup="dialog"
        aria-expanded={open}
        onPress={() => setOpen(true)}
        {...(id ? { nativeID: id } : {})}
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
        <T>{chosen?.label ?? 'Choose'}</T>
        <T as="small">change</T>
      </Pressable>
      <Portal>
        <Modal
          visible={open}
          onDismiss={() => setOpen(false)}
          contentContainerStyle={{
            backgroundColor: p.paper,
            margin: 16,
            maxHeight: '80%',
            maxWidth: 520,
            width: '92%',
            alignSelf: 'center',
            borderWidth: 2,
            borderColor: p.ink,
          }}
        >
          <View role="dialog" aria-label={label} aria-modal style={{ padding: 12, gap: 8, flexShrink: 1 }}>
            <T as="section" heading={2}>
              {label}
            </T>
            {options.length >= SEARCH_FROM ? (
              <TextInput
                mode="outlined"
                dense
                accessibilityLabel={`Find in ${label}`}
                placeholder="Find"
                value={find}
                onChangeText={setFind}
                autoFocus
              />
            ) : null}
            <ScrollView role="radiogroup" aria-label={label}>
              {shown.map((option) => (
                <Pressable
                  key={option.value}
                  role="radio"
                  aria-checked={option.value === value}
                  onPress={() => take(option.value)}
                  style={{
                    minHeight: TOUCH,
                    justifyContent: 'center',
                    paddingHorizontal: 8,
                    borderBottomWidth: 1,
                    borderColor: p.line,
                    backgroundColor: option.value === value ? p.water3 : 'transparent',
                  }}
                >
                  <T as={option.value === value ? 'strong' : 'body'}>{option.label}</T>
                  {option.note ? <T as="small">{option.note}</T> : null}
                </Pressable>
              ))}
              {shown.length === 0 ? (
                <T as="soft" style={{ padding: 8 }}>
                  Nothing of that name.
                </T>
              ) : null}
            </ScrollView>
            <View style={{ flexDirection: 'row', gap: 8 }}>
              {clearable && value !== undefined ? (
                <Button onPress={() => take(undefined)}>Not said</Button>
              ) : null}
              <Button onPress={() => setOpen(false)}>Close</Button>
            </View>
          </View>
        </Modal>
      </Portal>
    </>
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
  const p = usePalette();
  return (
    <Pressable
      role="checkbox"
      aria-checked={on}
      aria-label={label}
      onPress={() => onChange(!on)}
      style={{
        minHeight: wet ? 64 : TOUCH,
        flexDirection: 'row',
        alignItems: 'center',
        gap: 12,
        paddingVertical: 6,
      }}
    >
      <View
        style={{
          width: 26,
          height: 26,
          borderWidth: 2,
          borderColor: p.ink,
          backgroundColor: on ? p.ink : 'transparent',
          alignItems: 'center',
          justifyContent: 'center',
        }}
      >
        {on ? (
          <T as="strong" color={p.paper} style={{ lineHeight: 20 }}>
            ✓
          </T>
        ) : null}
      </View>
      <View style={{ flex: 1 }}>
        <T as={on ? 'soft' : 'body'}>{label}</T>
        {note ? <T as="small">{note}</T> : null}
      </View>
    </Pressable>
  );
}
