import type { ReactNode } from 'react';
import { Text, type TextProps, type TextStyle } from 'react-native';
import { usePalette } from './theme';
import { FONT, SIZE, type Palette } from './tokens';

export type Voice =
  'title' | 'section' | 'body' | 'strong' | 'soft' | 'small' | 'label' | 'caps' | 'figure' | 'giant';

const STYLE: Record<Voice, (p: Palette) => TextStyle> = {
  title: (p) => ({ fontSize: SIZE.title, fontWeight: '800', lineHeight: 28, color: p.ink }),
  section: (p) => ({ fontSize: SIZE.section, fontWeight: '800', lineHeight: 24, color: p.ink }),
  body: (p) => ({ fontSize: SIZE.body, lineHeight: 22, color: p.ink }),
  strong: (p) => ({ fontSize: SIZE.body, fontWeight: '600', lineHeight: 22, color: p.ink }),
  soft: (p) => ({ fontSize: SIZE.body, lineHeight: 22, color: p.soft }),
  small: (p) => ({ fontSize: SIZE.small, lineHeight: 19, color: p.soft }),
  label: (p) => ({
    fontFamily: FONT.narrow,
    fontSize: SIZE.label,
    fontWeight: '500',
    lineHeight: 18,
    color: p.soft,
  }),
  caps: (p) => ({
    fontFamily: FONT.narrow,
    fontSize: SIZE.label,
    fontWeight: '500',
    lineHeight: 18,
    color: p.soft,
    textTransform: 'uppercase',
    letterSpacing: 0.4,
  }),
  figure: (p) => ({ fontSize: SIZE.figure, fontWeight: '800', lineHeight: 38, color: p.ink }),
  giant: (p) => ({ fontSize: SIZE.giant, fontWeight: '800', lineHeight: 94, color: p.ink }),
};

interface Props extends TextProps {
  as?: Voice;
  color?: string;
  heading?: 1 | 2 | 3;
  children: ReactNode;
}

/** All text of the application. `heading` gives readers its rank. */
export function T({ as = 'body', color, heading, style, children, ...rest }: Props) {
  const palette = usePalette();
  return (
    <Text
      {...(heading ? { role: 'heading', 'aria-level': heading } : {})}
      style={[{ fontFamily: FONT.read }, STYLE[as](palette), color ? { color } : null, style]}
      {...rest}
    >
      {children}
    </Text>
  );
}
