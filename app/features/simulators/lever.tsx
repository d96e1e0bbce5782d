import { useId, useState } from 'react';
import { View } from 'react-native';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { TOUCH_WET } from '../../ui/tokens';

/** What a hand moves from nothing to all, by finger or arrows; it stays where it was put. */
export function Lever({
  label,
  said,
  onMove,
}: {
  label: string;
  said: (value: number) => string;
  onMove: (value: number) => void;
}) {
  const p = usePalette();
  const id = useId();
  const [value, setValue] = useState(0);
  return (
    <View>
      <View style={{ flexDirection: 'row', justifyContent: 'space-between', gap: 8 }}>
        <label htmlFor={id}>
          <T as="label">{label}</T>
        </label>
        <T as="strong">{said(value)}</T>
      </View>
      <input
        id={id}
        type="range"
        min={0}
        max={1}
        step={0.02}
        value={value}
        aria-valuetext={said(value)}
        onChange={(event) => {
          const next = Number(event.currentTarget.value);
          setValue(next);
          onMove(next);
        }}
        style={{ width: '100%', height: TOUCH_WET, margin: 0, accentColor: p.ink, touchAction: 'pan-y' }}
      />
    </View>
  );
}
