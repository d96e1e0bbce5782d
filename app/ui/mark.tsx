import type { CSSProperties, ReactNode } from 'react';
import { usePalette } from './theme';
import { TOUCH } from './tokens';

interface Mark {
  label: string;
  on: boolean;
  children: ReactNode;
  id?: string;
  style?: CSSProperties;
}

/** What surrounds a native mark: all of it can be pressed. */
const around = (style: CSSProperties | undefined): CSSProperties => ({
  display: 'flex',
  alignItems: 'center',
  gap: 10,
  minHeight: TOUCH,
  boxSizing: 'border-box',
  cursor: 'pointer',
  ...style,
});
const mark = (ink: string): CSSProperties => ({
  width: 20,
  height: 20,
  margin: 0,
  flexShrink: 0,
  accentColor: ink,
});

/**
 * One of several, as the browser has it: Tab comes to the chosen one, arrows choose, a second press on the chosen takes it
 * back where that is offered.
 * @param group one name for all that stand together
 * @param onPick by a press, or as arrows pass over it
 */
export function Radio({
  group,
  label,
  on,
  id,
  style,
  onPick,
  onAgain,
  onPress,
  children,
}: Mark & { group: string; onPick: () => void; onAgain?: () => void; onPress?: () => void }) {
  const p = usePalette();
  return (
    <label style={around(style)}>
      <input
        type="radio"
        name={group}
        aria-label={label}
        checked={on}
        {...(id ? { id } : {})}
        onChange={onPick}
        onClick={({ detail }) => {
          if (on) onAgain?.();
          // Arrow keys click as well, with a count of none.
          if (detail > 0) onPress?.();
        }}
        style={mark(p.ink)}
      />
      {children}
    </label>
  );
}

/** On or off, as the browser has it. */
export function Check({
  label,
  on,
  id,
  style,
  onChange,
  children,
}: Mark & { onChange: (on: boolean) => void }) {
  const p = usePalette();
  return (
    <label style={around(style)}>
      <input
        type="checkbox"
        aria-label={label}
        checked={on}
        {...(id ? { id } : {})}
        onChange={(event) => onChange(event.currentTarget.checked)}
        style={{ ...mark(p.ink), width: 24, height: 24 }}
      />
      {children}
    </label>
  );
}
