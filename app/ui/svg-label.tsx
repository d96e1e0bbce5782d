import { Text as SvgText } from 'react-native-svg';
import { FONT, SIZE } from './tokens';

/** A few words in a drawing. */
export function SvgLabel({
  x,
  y,
  anchor,
  ink,
  children,
}: {
  x: number;
  y: number;
  anchor: 'start' | 'middle' | 'end';
  ink: string;
  children: string;
}) {
  return (
    <SvgText
      x={x}
      y={y}
      textAnchor={anchor}
      fontFamily={FONT.narrow}
      fontSize={SIZE.label}
      fontWeight="600"
      fill={ink}
    >
      {children}
    </SvgText>
  );
}
