import { useMemo } from 'react';
import { View } from 'react-native';
import Svg, { Path, Rect } from 'react-native-svg';
import { create } from 'qrcode';
import { T } from './text';

/** White about the code, in its own squares, as phones need it. */
const QUIET = 4;

/** A text as a code that another phone reads off the screen: black on white in every theme. */
export function Code({
  text,
  label,
  note,
}: {
  text: string;
  /** What it is a code of, and what one does with it. */
  label: string;
  note: string;
}) {
  const drawn = useMemo(() => {
    const { size, data } = create(text, { errorCorrectionLevel: 'L' }).modules;
    const squares = Array.from({ length: size * size }, (_, i) =>
      data[i] ? `M${(i % size) + QUIET} ${Math.floor(i / size) + QUIET}h1v1h-1z` : '',
    );
    return { side: size + 2 * QUIET, path: squares.join('') };
  }, [text]);
  return (
    <View style={{ gap: 4 }}>
      <View role="img" aria-label={label} style={{ width: '100%', maxWidth: 420, aspectRatio: 1 }}>
        <Svg width="100%" height="100%" viewBox={`0 0 ${drawn.side} ${drawn.side}`} aria-hidden>
          <Rect width={drawn.side} height={drawn.side} fill="#FFFFFF" />
          <Path d={drawn.path} fill="#000000" />
        </Svg>
      </View>
      <T as="small">{note}</T>
    </View>
  );
}
