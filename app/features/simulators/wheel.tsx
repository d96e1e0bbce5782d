import { useId, useMemo, useRef, type KeyboardEvent, type PointerEvent, type RefObject } from 'react';
import { View } from 'react-native';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { TOUCH, type Palette } from '../../ui/tokens';
import { plainly } from '../../data/settings';
import { DRIVE } from './drive-words';
import { Picture, type Easel, type Paint } from './easel';

/** A wheel turns so far for its whole way, rad; a finger that far from where it began moves the hand all the way, px. */
const TURNS = 2.2 * Math.PI,
  REACH = 110;

/** What one hand does: −1 to 1, to the right above 0. The wheel itself turns the other way, because the hand is at its bottom. */
export type Hand = RefObject<number>;

/** The wheel as it really stands, and the hand at its bottom. */
export function paintWheel(p: Palette, hand: Hand, turned: () => number): Paint {
  return (g, width, height) => {
    const radius = Math.min(width, height) / 2 - 18;
    g.translate(width / 2, height / 2);
    g.save();
    g.rotate(turned() * TURNS);
    g.strokeStyle = p.ink;
    g.lineWidth = 9;
    g.beginPath();
    g.arc(0, 0, radius, 0, 2 * Math.PI);
    g.stroke();
    g.lineWidth = 6;
    g.beginPath();
    for (const angle of [-0.35, Math.PI + 0.35, Math.PI / 2]) {
      g.moveTo(0, 0);
      g.lineTo(radius * Math.cos(angle), radius * Math.sin(angle));
    }
    g.stroke();
    g.restore();
    // The hand stays at the bottom; the arrow says where the tail goes.
    const x = hand.current * radius * 0.6;
    g.fillStyle = p.paper;
    g.strokeStyle = p.ink;
    g.lineWidth = 3;
    g.beginPath();
    g.roundRect(x - 19, radius - 13, 38, 26, 11);
    g.fill();
    g.stroke();
    if (Math.abs(hand.current) < 0.02) return;
    const way = Math.sign(hand.current);
    g.fillStyle = p.ink;
    g.beginPath();
    g.moveTo(x + way * 12, radius);
    g.lineTo(x - way * 4, radius - 7);
    g.lineTo(x - way * 4, radius + 7);
    g.fill();
  };
}

export const handSaid = (hand: number): string =>
  Math.abs(hand) < 0.005
    ? DRIVE.straightHand
    : plainly(hand < 0 ? DRIVE.leftHand : DRIVE.rightHand, { share: Math.abs(hand) });

/** The wheel to drag, and the same hand as a slider that arrows move. Its keys drive as well. */
export function Wheel({
  hand,
  input,
  easel,
  onKey,
}: {
  hand: Hand;
  /** The slider itself: whatever else moves the hand moves it too. */
  input: RefObject<HTMLInputElement | null>;
  easel: Easel;
  /** Up, down and space: they are the car’s. */
  onKey: (event: KeyboardEvent) => void;
}) {
  const p = usePalette();
  const id = useId();
  const begun = useRef<{ x: number; hand: number } | undefined>(undefined);
  const drag = useMemo(() => {
    const end = () => (begun.current = undefined);
    return {
      onPointerDown: (event: PointerEvent<HTMLDivElement>) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        begun.current = { x: event.clientX, hand: hand.current };
      },
      onPointerMove: ({ clientX }: PointerEvent) => {
        if (!begun.current) return;
        put(hand, input.current, begun.current.hand + (clientX - begun.current.x) / REACH);
        easel.draw();
      },
      onPointerUp: end,
      onPointerCancel: end,
    };
  }, [hand, input, easel]);
  return (
    <View style={{ gap: 2 }}>
      <label htmlFor={id}>
        <T as="label">{DRIVE.wheel}</T>
      </label>
      <div {...drag} style={{ touchAction: 'none', cursor: 'grab' }}>
        <Picture easel={easel} label={DRIVE.wheel} height={126} />
      </div>
      <input
        ref={input}
        id={id}
        type="range"
        min={-1}
        max={1}
        step={0.05}
        defaultValue={0}
        aria-valuetext={handSaid(0)}
        onKeyDown={onKey}
        onInput={(event) => {
          put(hand, event.currentTarget, Number(event.currentTarget.value));
          easel.draw();
        }}
        style={{ width: '100%', height: TOUCH, margin: 0, accentColor: p.ink, touchAction: 'none' }}
      />
    </View>
  );
}

/** The hand is where it was moved to; the slider follows, however it was moved. */
export function put(hand: Hand, input: HTMLInputElement | null, to: number): void {
  hand.current = Math.max(-1, Math.min(1, to));
  if (!input) return;
  input.value = String(hand.current);
  input.setAttribute('aria-valuetext', handSaid(hand.current));
}
