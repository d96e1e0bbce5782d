import { useEffect, useRef, useState } from 'react';
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
  /** Why it can't act now, said when it is pressed all the same; `false` where it can. */
  cant?: string | false;
  busy?: boolean;
  /** Takes one press: no second one, nor the second half of a double press that was meant for what stood here before. */
  once?: boolean;
  label?: string;
  /** Colour of a quiet word on a block of colour. */
  ink?: string;
  style?: ViewStyle;
}

/** A button: 48 px, 64 on the water. While busy it can't be pressed twice; where it can't act, a press says why. */
export function Button({
  children,
  onPress,
  kind = 'plain',
  wet,
  cant,
  busy,
  once,
  label,
  ink,
  style,
}: Props) {
  const p = usePalette();
  const no = typeof cant === 'string' ? cant : undefined;
  const off = no !== undefined || busy === true;
  const taken = useRef(false);
  const [told, setTold] = useState<string>();
  const node = useRef<View>(null);
  // Not the native attribute: what can't act is still come to by Tab, and answers.
  useEffect(() => {
    const element = node.current as unknown as Element | null;
    if (no !== undefined) element?.setAttribute('aria-disabled', 'true');
    else if (busy !== true) element?.removeAttribute('aria-disabled');
  }, [no, busy]);
  const press = (event: GestureResponderEvent) => {
    if (no !== undefined) return setTold(no);
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
  // Where it can't act for now, the reason comes under it; there the button's share of its row is its frame's.
  const { flex, ...own } = style ?? {};
  const wide = wet === true || flex !== undefined;
  const button = (
    <Pressable
      ref={node}
      role="button"
      aria-label={label ?? children}
      aria-busy={busy}
      disabled={busy === true}
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
        cant === undefined ? style : { alignSelf: wide ? 'stretch' : 'flex-start', ...own },
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
  if (cant === undefined) return button;
  return (
    <View style={[{ maxWidth: '100%', gap: 4 }, flex === undefined ? null : { flex }]}>
      {button}
      <View aria-live="polite">{no !== undefined && told === no ? <T as="soft">{no}</T> : null}</View>
    </View>
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
