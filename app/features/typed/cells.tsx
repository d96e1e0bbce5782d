import { useState } from 'react';
import { View } from 'react-native';
import { TextInput } from 'react-native-paper';
import type { Faults } from '@escale/core/water/typed';
import { Button, Row } from '../../ui/button';
import { T } from '../../ui/text';
import { TOUCH } from '../../ui/tokens';
import { plainly } from '../../data/settings';
import { FORECAST } from './words';

/** One cell of a row: small, with its name for who does not see the column. */
export function Cell({
  what,
  n,
  value,
  onChange,
  wrong,
  width = 68,
}: {
  what: string;
  /** Of which row, from 1. */
  n: number;
  value: string;
  onChange: (value: string) => void;
  wrong: boolean;
  width?: number;
}) {
  return (
    <TextInput
      mode="outlined"
      dense
      label={what}
      accessibilityLabel={plainly(FORECAST.cell, { what, n })}
      value={value}
      onChangeText={onChange}
      error={wrong}
      maxLength={20}
      contentStyle={{ paddingHorizontal: 6 }}
      style={{ width, minHeight: TOUCH, fontSize: 15 }}
    />
  );
}

/** Text that is pasted, read into the rows above it when asked. */
export function Paste({ words, onRead }: { words: string; onRead: (text: string) => void }) {
  const [open, setOpen] = useState(false);
  const [text, setText] = useState('');
  if (!open)
    return (
      <Row>
        <Button kind="quiet" onPress={() => setOpen(true)}>
          {FORECAST.paste}
        </Button>
      </Row>
    );
  return (
    <View style={{ gap: 8 }}>
      <TextInput
        mode="outlined"
        multiline
        numberOfLines={4}
        accessibilityLabel={words}
        label={words}
        value={text}
        onChangeText={setText}
        maxLength={20_000}
      />
      <Row>
        <Button
          onPress={() => {
            onRead(text);
            setOpen(false);
          }}
        >
          {FORECAST.read}
        </Button>
      </Row>
    </View>
  );
}

/** What keeps it from being kept, in words, in the order of the fields. */
export function FaultLines({ faults, say }: { faults: Faults; say: (fault: Faults[string]) => string }) {
  const lines = [...new Set(Object.values(faults).map(say))];
  return lines.length === 0 ? null : (
    <View role="alert">
      {lines.map((line) => (
        <T key={line} as="strong">
          {plainly(FORECAST.fault, { what: line })}
        </T>
      ))}
    </View>
  );
}
