import { useId } from 'react';
import { View } from 'react-native';
import { T } from './text';
import { usePalette } from './theme';
import { TOUCH } from './tokens';

/** A figure that is drawn along a scale: the browser's own, so that arrows, Home and End move it as a finger does. */
export function Slider({
  label,
  said,
  value,
  from,
  until,
  step,
  onChange,
  onLeave,
}: {
  label: string;
  /** What it says now, in the reader's units. */
  said: string;
  value: number;
  from: number;
  until: number;
  step: number;
  onChange: (value: number) => void;
  /** The finger was lifted, the key let go: what it says now is meant. */
  onLeave?: () => void;
}) {
  const p = usePalette();
  const id = useId();
  return (
    <View style={{ minHeight: TOUCH }}>
      <View style={{ flexDirection: 'row', justifyContent: 'space-between', gap: 8 }}>
        <label htmlFor={id}>
          <T as="label">{label}</T>
        </label>
        <T as="strong">{said}</T>
      </View>
      <input
        id={id}
        type="range"
        min={from}
        max={until}
        step={step}
        value={value}
        aria-valuetext={said}
        onChange={(event) => onChange(Number(event.currentTarget.value))}
        {...(onLeave ? { onPointerUp: onLeave, onKeyUp: onLeave, onBlur: onLeave } : {})}
        style={{ width: '100%', height: TOUCH, margin: 0, accentColor: p.ink, touchAction: 'pan-y' }}
      />
    </View>
  );
}
