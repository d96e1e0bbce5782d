import { memo, useEffect, useMemo, useRef, useState } from 'react';
import { View } from 'react-native';
import Svg, { Circle, G, Rect, Text as SvgText } from 'react-native-svg';
import { breadthFor, type Hull, type Placed } from '@escale/core/boat';
import type { Spot } from '@escale/core/model';
import type { Says } from '@escale/core/say';
import { usePalette } from '../../ui/theme';
import { FONT, SIZE, type Palette } from '../../ui/tokens';
import { HullShape } from '../boat/hull-shape';
import type { Scale } from '../boat/outline';
import type { Draft } from './use-lie';
import { LIE } from './words';

interface Props {
  hull: Hull;
  spots: Placed[];
  says: Says;
  draft: Draft | undefined;
  onDraft: (draft: Draft | undefined) => void;
  onPut: (draft: Draft) => void;
  /** Those for whom she has no place: marked so that it is seen without colour as well. */
  over?: ReadonlySet<string>;
}

const NOBODY: ReadonlySet<string> = new Set();

const MARGIN = 16,
  LEAST_HIGH = 116,
  MOST_HIGH = 230;
/** Arrow keys move by so much of the length or half breadth; with Shift by more. */
const STEP = 0.02,
  BIG_STEP = 0.1;
/** A finger hits what is nearest within so many pixels. */
const REACH = 34;
const inside = (v: number, low: number, high: number) => Math.min(high, Math.max(low, v));

/** The boat from above, drawn from her own numbers; people and things are dragged, or moved by arrow keys. */
export function PlanView({ hull, spots, says, draft, onDraft, onPut, over = NOBODY }: Props) {
  const p = usePalette();
  const [width, setWidth] = useState(358);
  const box = useRef<View>(null);
  const perMetre =
    Math.min(width - 2 * MARGIN, ((MOST_HIGH - 2 * MARGIN) * hull.length) / hull.beam) / hull.length;
  const high = Math.max(LEAST_HIGH, hull.beam * perMetre + 2 * MARGIN);
  const scale = useMemo<Scale>(
    () => ({ x: (m) => width / 2 + (m - hull.length / 2) * perMetre, y: (m) => high / 2 - m * perMetre }),
    [perMetre, high, width, hull.length],
  );
  useDrag(box, { hull, spots, scale, onDraft, onPut });
  return (
    <View
      ref={box}
      role="group"
      aria-label="Plan of the boat, bow to the right"
      onLayout={(e) => setWidth(e.nativeEvent.layout.width)}
      style={{ height: high, touchAction: 'pan-y', cursor: 'grab', userSelect: 'none' } as object}
    >
      <Svg width={width} height={high} aria-hidden>
        <HullShape hull={hull} scale={scale} p={p} seats />
        {spots.map((s) => (
          <Mark key={s.id} spot={s} scale={scale} p={p} lifted={draft?.id === s.id} over={over.has(s.id)} />
        ))}
        <SvgText
          x={width - 4}
          y={12}
          textAnchor="end"
          fontFamily={FONT.narrow}
          fontSize={SIZE.label}
          fill={p.soft}
        >
          bow
        </SvgText>
        <SvgText x={4} y={12} fontFamily={FONT.narrow} fontSize={SIZE.label} fill={p.soft}>
          port
        </SvgText>
      </Svg>
      {spots
        .filter((s) => s.id !== 'catch')
        .map((s) => (
          <Handle key={s.id} spot={s} scale={scale} says={says} onPut={onPut} />
        ))}
    </View>
  );
}

/** Spots are made anew with each move; only the one that moved is drawn anew. */
function same(
  a: {
    spot: Placed;
    scale: Scale;
    lifted?: boolean;
    over?: boolean;
    p?: Palette;
    onPut?: Props['onPut'];
  },
  b: typeof a,
): boolean {
  return (
    a.spot.x === b.spot.x &&
    a.spot.y === b.spot.y &&
    a.spot.mass === b.spot.mass &&
    a.spot.name === b.spot.name &&
    a.scale === b.scale &&
    a.lifted === b.lifted &&
    a.over === b.over &&
    a.p === b.p &&
    a.onPut === b.onPut
  );
}

/** A person is a filled round, a thing a square, as large as it weighs. */
const Mark = memo(function Mark({
  spot,
  scale,
  p,
  lifted,
  over,
}: {
  spot: Placed;
  scale: Scale;
  p: Palette;
  lifted: boolean;
  over: boolean;
}) {
  const r = inside(Math.sqrt(spot.mass) * 1.35, 6, 17),
    x = scale.x(spot.x),
    y = scale.y(spot.y);
  const initials = spot.name
    .split(/\s+/)
    .map((w) => w[0])
    .join('')
    .slice(0, 2)
    .toUpperCase();
  return (
    <G>
      {lifted ? (
        <Circle cx={x} cy={y} r={r + 5} fill="none" stroke={p.ink} strokeWidth={2} strokeDasharray="3 3" />
      ) : null}
      {spot.is === 'person' ? (
        <Circle
          cx={x}
          cy={y}
          r={r}
          {...(over
            ? { fill: p.call, stroke: p.ink, strokeWidth: 2, strokeDasharray: '3 2' }
            : { fill: p.ink })}
        />
      ) : (
        <Rect x={x - r} y={y - r} width={2 * r} height={2 * r} fill={p.water2} stroke={p.ink} />
      )}
      <SvgText
        x={x}
        y={y + 4}
        textAnchor="middle"
        fontFamily={FONT.narrow}
        fontSize={SIZE.label}
        fontWeight="600"
        fill={spot.is === 'person' ? (over ? p.onCall : p.paper) : p.ink}
      >
        {r > 8 ? initials : ''}
      </SvgText>
    </G>
  );
}, same);

/** As near to the middle as this, in shares of half the beam, a place has no side. */
const MIDDLE = 0.05;
function sideOf(y: number) {
  if (Math.abs(y) < MIDDLE) return 'spotMiddle';
  return y > 0 ? 'spotPort' : 'spotStarboard';
}

/** What keyboard and screen reader hold: a button over each mark that arrow keys move. */
const Handle = memo(function Handle({
  spot,
  scale,
  says,
  onPut,
}: {
  spot: Placed;
  scale: Scale;
  says: Says;
  onPut: (draft: Draft) => void;
}) {
  const ref = useRef<View>(null);
  const p = usePalette();
  // Keys that come quicker than the page is drawn anew still add up.
  const now = useRef(spot.spot);
  useEffect(() => {
    now.current = spot.spot;
    const element = ref.current as unknown as HTMLElement | null;
    if (!element?.addEventListener) return;
    const key = (event: KeyboardEvent) => {
      const by = event.shiftKey ? BIG_STEP : STEP;
      const way = { ArrowRight: [by, 0], ArrowLeft: [-by, 0], ArrowUp: [0, by * 4], ArrowDown: [0, -by * 4] }[
        event.key
      ];
      if (!way) return;
      event.preventDefault();
      event.stopPropagation();
      now.current = {
        x: round(inside(now.current.x + way[0], 0, 1)),
        y: round(inside(now.current.y + way[1], -1, 1)),
      };
      onPut({ id: spot.id, spot: now.current });
    };
    element.addEventListener('keydown', key);
    return () => element.removeEventListener('keydown', key);
  }, [spot, onPut]);
  return (
    <View
      ref={ref}
      tabIndex={0}
      role="button"
      aria-label={says(LIE[sideOf(spot.spot.y)], {
        name: spot.name,
        mass: spot.mass,
        along: spot.spot.x,
        off: Math.abs(spot.spot.y),
      })}
      style={
        {
          position: 'absolute',
          left: scale.x(spot.x) - 12,
          top: scale.y(spot.y) - 12,
          width: 24,
          height: 24,
          pointerEvents: 'none',
          outlineColor: p.ink,
        } as object
      }
    />
  );
}, same);

const round = (v: number) => Math.round(v * 1000) / 1000;

interface Dragging {
  hull: Hull;
  spots: Placed[];
  scale: Scale;
  onDraft: Props['onDraft'];
  onPut: Props['onPut'];
}

/** Drag by finger or mouse: what is nearest to the first touch goes with it. */
function useDrag(box: React.RefObject<View | null>, now: Dragging): void {
  const latest = useRef(now);
  useEffect(() => {
    latest.current = now;
  });
  useEffect(() => {
    const element = box.current as unknown as HTMLElement | null;
    if (!element?.addEventListener) return;
    let grab: { id: string; pointer: number; dx: number; dy: number; spot?: Spot } | undefined;
    const at = (event: PointerEvent) => {
      const { left, top } = element.getBoundingClientRect();
      return [event.clientX - left, event.clientY - top] as const;
    };
    const down = (event: PointerEvent) => {
      const { spots, scale } = latest.current,
        [x, y] = at(event);
      const [near] = spots
        .filter((s) => s.id !== 'catch')
        .map((s) => ({ s, far: Math.hypot(scale.x(s.x) - x, scale.y(s.y) - y) }))
        .sort((a, b) => a.far - b.far);
      if (!near || near.far > REACH || event.button !== 0) return;
      grab = {
        id: near.s.id,
        pointer: event.pointerId,
        dx: scale.x(near.s.x) - x,
        dy: scale.y(near.s.y) - y,
      };
      element.setPointerCapture(event.pointerId);
      event.preventDefault();
    };
    const move = (event: PointerEvent) => {
      if (!grab || event.pointerId !== grab.pointer) return;
      const { hull, scale, onDraft } = latest.current,
        [px, py] = at(event);
      const perMetre = scale.x(1) - scale.x(0);
      const x = inside((px + grab.dx - scale.x(0)) / perMetre / hull.length, 0, 1);
      grab.spot = {
        x: round(x),
        y: round(
          inside(((scale.y(0) - py - grab.dy) / perMetre) * (2 / Math.max(0.05, breadthFor(hull, x))), -1, 1),
        ),
      };
      onDraft({ id: grab.id, spot: grab.spot });
    };
    const up = (event: PointerEvent) => {
      if (!grab || event.pointerId !== grab.pointer) return;
      const { id, spot } = grab;
      grab = undefined;
      if (spot && event.type === 'pointerup') latest.current.onPut({ id, spot });
      latest.current.onDraft(undefined);
    };
    // A touch on a mark drags it; elsewhere the page scrolls.
    const touch = (event: TouchEvent) => grab && event.preventDefault();
    element.addEventListener('pointerdown', down);
    element.addEventListener('pointermove', move);
    element.addEventListener('pointerup', up);
    element.addEventListener('pointercancel', up);
    element.addEventListener('touchmove', touch, { passive: false });
    return () => {
      element.removeEventListener('pointerdown', down);
      element.removeEventListener('pointermove', move);
      element.removeEventListener('pointerup', up);
      element.removeEventListener('pointercancel', up);
      element.removeEventListener('touchmove', touch);
    };
  }, [box]);
}
