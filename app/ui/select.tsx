import type { Option } from './choice';
import { usePalette } from './theme';
import { FONT, SIZE, TOUCH } from './tokens';

/** One of a few where there is little room: the browser's own list. The first entry says that nothing was said. */
export function Select({
  label,
  unsaid,
  options,
  value,
  onChange,
}: {
  label: string;
  /** What the list says while nothing was said; absent where something always is. */
  unsaid?: string;
  options: Option[];
  value: string;
  onChange: (value: string) => void;
}) {
  const p = usePalette();
  return (
    <select
      aria-label={label}
      value={value}
      onChange={(event) => onChange(event.currentTarget.value)}
      style={{
        minHeight: TOUCH,
        padding: '0 8px',
        borderStyle: 'solid',
        borderWidth: 1,
        borderColor: p.soft,
        background: p.raised,
        color: p.ink,
        fontFamily: FONT.read,
        fontSize: SIZE.body,
      }}
    >
      {unsaid === undefined ? null : <option value="">{unsaid}</option>}
      {options.map((option) => (
        <option key={option.value} value={option.value}>
          {option.label}
        </option>
      ))}
    </select>
  );
}
