import { useRef } from 'react';
import { Pressable, View, type GestureResponderEvent, type ViewStyle } from 'react-native';
import { T } from './text';
import { usePalette } from './theme';
import { TOUCH, TOUCH_WET } from './tokens';

interface Props {
  children: string;
  onPress: () => void;
  /** `main` is filled ink, `plain` outlined, `onCall` white on the call colour, `quiet` a word with a line under it. */
  kind?: 'main' | 'plain' | 'onCall' | 'quiet' | 'call';
  wet?: boolean;
  disabled?: boolean;
  busy?: boolean;
  /** Takes one press: no second one, nor the second half of a double press that was meant for what stood here before. */
  once?: boolean;
  label?: string;
  /** Colour of a quiet word on a block of colour. */
  ink?: string;
  style?: ViewStyle;
}

/** A button: 48 px, 64 on the water. While busy it can't be pressed twice. */
export function Button({
  children,
  onPress,
  kind = 'plain',
  wet,
  disabled,
  busy,
  once,
  label,
  ink,
  style,
}: Props) {
  const p = usePalette();
  const off = disabled === true || busy === true;
  const taken = useRef(false);
  const press = (event: GestureResponderEvent) => {
    if (once && (taken.current || repeats(event))) return;
    taken.current = true;
    onPress();
  };
  const look = {
    main: { fill: p.ink, text: p.paper, edge: p.ink },
    plain: { fill: 'transparent', text: p.ink, edge: p.ink },
    onCall: { fill: p.onCall, text: p.call, edge: p.onCall },
    call: { fill: p.call, text: p.onCall, edge: p.call },
    quiet: { fill: 'transparent', text: ink ?? p.ink, edge: 'transparent' },
  }[kind];
  // What can't be pressed now is an outline, never a filled block.
  const pale = kind === 'onCall' ? p.onCall : p.ink;
  return (
    <Pressable
      role="button"
      aria-label={label ?? children}
      aria-disabled={off}
      aria-busy={busy}
      disabled={off}
      onPress={press}
      style={({ pressed }) => [
        {
          maxWidth: '100%',
          minHeight: wet ? TOUCH_WET : TOUCH,
          paddingHorizontal: kind === 'quiet' ? 4 : 16,
          paddingVertical: 8,
          justifyContent: 'center',
          alignItems: 'center',
          backgroundColor: look.fill,
          borderColor: look.edge,
          borderWidth: kind === 'quiet' ? 0 : 2,
          opacity: pressed ? 0.7 : 1,
        },
        off ? { borderStyle: 'dashed', backgroundColor: 'transparent', borderColor: pale } : null,
        style,
      ]}
    >
      <T
        as="strong"
        color={off ? pale : look.text}
        style={{
          textAlign: 'center',
          ...(kind === 'quiet' ? { textDecorationLine: 'underline' as const } : {}),
          ...(wet ? { fontSize: 18 } : {}),
        }}
      >
        {busy ? `${children} …` : children}
      </T>
    </Pressable>
  );
}

/** The browser counts clicks that follow each other at one place. */
const repeats = ({ nativeEvent }: GestureResponderEvent) =>
  ((nativeEvent as unknown as Partial<MouseEvent>).detail ?? 0) > 1;

export function Row({ children, style }: { children: React.ReactNode; style?: ViewStyle }) {
  return (
    <View style={[{ flexDirection: 'row', flexWrap: 'wrap', gap: 8, alignItems: 'center' }, style]}>
      {children}
    </View>
  );
}
