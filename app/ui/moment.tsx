import { usePalette } from './theme';
import { FONT, SIZE, TOUCH } from './tokens';

/** A day or an hour, as the browser takes it: typed, turned or picked, and never a day that does not exist. */
export function Moment({
  kind,
  label,
  value,
  onChange,
  onLeave,
  id,
}: {
  kind: 'date' | 'time';
  label: string;
  value: string;
  onChange: (value: string) => void;
  onLeave?: () => void;
  id?: string;
}) {
  const p = usePalette();
  return (
    <input
      type={kind}
      aria-label={label}
      {...(id ? { id } : {})}
      {...(onLeave ? { onBlur: onLeave } : {})}
      value={value}
      onChange={(event) => onChange(event.currentTarget.value)}
      style={{
        minHeight: TOUCH,
        boxSizing: 'border-box',
        padding: '0 12px',
        borderStyle: 'solid',
        borderWidth: 1,
        borderColor: p.soft,
        background: p.raised,
        color: p.ink,
        colorScheme: 'light dark',
        fontFamily: FONT.read,
        fontSize: SIZE.body,
        maxWidth: 220,
      }}
    />
  );
}
