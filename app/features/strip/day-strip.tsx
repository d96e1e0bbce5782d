import { useEffect, useMemo, useRef, useState } from 'react';
import { View } from 'react-native';
import Svg, { Circle, G, Line, Path, Polygon, Rect, Text as SvgText } from 'react-native-svg';
import type { Level, Schedule } from '@escale/core/model';
import { clock, saysTo, type Reader } from '@escale/core/say';
import type { Departure, Strip } from '@escale/core/trip';
import { MS } from '@escale/core/units';
import { usePalette } from '../../ui/theme';
import { FONT, SIZE, type Palette } from '../../ui/tokens';
import { BAND, spread, streamStrokes, tidePaths, windPaths, windStrokes, xOf, type X } from './draw';
import { Hours, Staff, WindFigures } from './scales';
import { STRIP } from './words';
import { plainly } from '../../data/settings';

const STEP = 10 * MS.minute,
  BIG_STEP = MS.hour;
/** Share of the row's height for the worst level of a departure: low is good, and it reads without colour. */
const TALL: Record<Level, number> = { stop: 1, fix: 0.6, know: 0.25, ready: 0.08 };

interface Props {
  strip: Strip;
  schedule: Schedule | undefined;
  leave: number | undefined;
  departures: Departure[];
  reader: Reader;
  /** While it moves, and when it has been let go. */
  onMove?: (leave: number) => void;
  onLeave?: (leave: number) => void;
  /** A column of the row was pressed: which hour of leaving. */
  onWhy?: (leave: number) => void;
  /** Without the row of departures: a day at a glance. */
  small?: boolean;
}

/** One axis of the day: light, tide, wind, legs, flags, and how every departure would do. Drag it, or use the arrow keys. */
export function DayStrip({
  strip,
  schedule,
  leave,
  departures,
  reader,
  onMove,
  onLeave,
  onWhy,
  small = false,
}: Props) {
  const height = small ? BAND.departures : BAND.height;
  const p = usePalette();
  const [width, setWidth] = useState(0);
  const x = useMemo(() => xOf(strip, Math.max(width, 1)), [strip, width]);
  const tide = useMemo(() => tidePaths(strip.tide, x), [strip, x]);
  const wind = useMemo(() => windPaths(strip.wind, x), [strip, x]);
  const strokes = useMemo(() => windStrokes(strip.wind, x), [strip, x]);
  const stream = useMemo(() => streamStrokes(strip.stream, x), [strip, x]);
  const box = useRef<View>(null);
  useHandle(box, { x, leave, strip, onMove, onLeave, onWhy });

  const says = saysTo(reader);
  const text =
    leave === undefined
      ? STRIP.noTime
      : schedule?.home
        ? says(STRIP.leaveHome, { leave, home: schedule.home })
        : says(STRIP.leave, { leave });
  return (
    <View
      ref={box}
      {...(onLeave
        ? {
            role: 'slider',
            tabIndex: 0,
            'aria-label': 'Departure. Left and right arrows move it ten minutes, with Shift an hour.',
            'aria-valuemin': strip.from,
            'aria-valuemax': strip.until,
            'aria-valuenow': leave ?? strip.from,
            'aria-valuetext': text,
          }
        : { role: 'img', 'aria-label': says(STRIP.is, { what: text }) })}
      onLayout={(e) => setWidth(Math.round(e.nativeEvent.layout.width))}
      style={{ height, touchAction: 'pan-y', cursor: onLeave ? 'grab' : 'auto' } as object}
      testID="day-strip"
    >
      {width > 0 ? (
        <Svg width={width} height={height} aria-hidden>
          {strip.sky.map((s) => (
            <Rect
              key={s.from}
              x={x(s.from)}
              y={BAND.sky}
              width={Math.max(0, x(s.until) - x(s.from))}
              height={BAND.skyHeight}
              fill={{ night: p.skyNight, twilight: p.skyDusk, day: p.skyDay }[s.sky]}
            />
          ))}
          {tide ? (
            <>
              <Path d={tide.fill} fill={p.water2} opacity={0.85} />
              <Path d={tide.edge} stroke={p.water1} strokeWidth={2} fill="none" />
            </>
          ) : null}
          {strip.works.map((w) => (
            <Hatch key={w.from} x1={x(w.from)} x2={x(w.until)} color={p.water1} />
          ))}
          {stream.map((s) => (
            <G key={s.key}>
              <Circle cx={s.x1} cy={s.y1} r={2.2} fill={p.ink} />
              <Line x1={s.x1} y1={s.y1} x2={s.x2} y2={s.y2} stroke={p.ink} strokeWidth={1.8} />
            </G>
          ))}
          {wind ? (
            <>
              <Path d={wind.ribbon} fill={p.ink} opacity={0.78} />
              <Path d={wind.gust} stroke={p.ink} strokeWidth={1.2} strokeDasharray="1.5 2.5" fill="none" />
            </>
          ) : null}
          {strokes.map((s) => (
            <Line key={s.key} x1={s.x1} y1={s.y1} x2={s.x2} y2={s.y2} stroke={p.paper} strokeWidth={1.6} />
          ))}
          <Line x1={0} x2={width} y1={BAND.axis} y2={BAND.axis} stroke={p.ink} strokeWidth={1} />
          {wind ? <WindFigures wind={strip.wind} x={x} width={width} p={p} reader={reader} /> : null}
          {tide ? <Staff scale={tide.scale} p={p} /> : null}
          <Hours strip={strip} x={x} p={p} reader={reader} />
          {schedule ? <Legs schedule={schedule} x={x} p={p} /> : null}
          <Flags leave={leave} schedule={schedule} x={x} width={width} p={p} reader={reader} />
          {small ? null : <Departures departures={departures} x={x} p={p} />}
        </Svg>
      ) : null}
    </View>
  );
}

function Hatch({ x1, x2, color }: { x1: number; x2: number; color: string }) {
  const strokes = Array.from({ length: Math.max(0, Math.floor((x2 - x1) / 5)) }, (_, i) => x1 + i * 5);
  return (
    <G>
      {strokes.map((at) => (
        <Line
          key={at}
          x1={at}
          y1={BAND.axis - 1}
          x2={at + 4}
          y2={BAND.axis - 6}
          stroke={color}
          strokeWidth={1.6}
        />
      ))}
    </G>
  );
}

/** Room a letter takes in the narrow face, for words that must fit their bar, px. */
const LETTER = SIZE.label * 0.51;

function Legs({ schedule, x, p }: { schedule: Schedule; x: X; p: Palette }) {
  const legs = schedule.legs.map((leg, i) => ({
    key: `leg-${leg.departs}`,
    from: leg.departs,
    until: leg.arrives,
    going: true,
    words: plainly(i === 0 ? STRIP.out : i === schedule.legs.length - 1 ? STRIP.back : STRIP.leg, {
      far: leg.metres,
    }),
  }));
  const halts = schedule.halts.map((h) => ({
    key: `halt-${h.from}`,
    from: h.from,
    until: h.until,
    going: false,
    words: h.doing ?? '',
  }));
  return (
    <G>
      {[...legs, ...halts].map((bar) => {
        const left = x(bar.from),
          wide = Math.max(1, x(bar.until) - left);
        // As much of it as the bar holds: "out 3.1 nm", "out 3.1", "3.1".
        const words =
          [bar.words, bar.words.replace(/ nm$/, ''), bar.words.replace(/[^\d.]/g, '')].find(
            (w) => w.length * LETTER < wide,
          ) ?? '';
        return (
          <G key={bar.key}>
            <Rect
              x={left}
              y={BAND.legs}
              width={wide}
              height={BAND.legsHeight}
              fill={bar.going ? p.water1 : p.water3}
            />
            <SvgText
              x={left + 3}
              y={BAND.legs + 14.5}
              fontFamily={FONT.narrow}
              fontSize={SIZE.label}
              fontWeight="600"
              fill={bar.going ? p.paper : p.ink}
            >
              {words}
            </SvgText>
          </G>
        );
      })}
    </G>
  );
}

function Flags({
  leave,
  schedule,
  x,
  width,
  p,
  reader,
}: {
  leave: number | undefined;
  schedule: Schedule | undefined;
  x: X;
  width: number;
  p: Palette;
  reader: Reader;
}) {
  const flags = [
    { at: leave, word: 'leave', time: true },
    { at: schedule?.turnBack, word: 'turn', time: true },
    { at: schedule?.home, word: 'home', time: width > 600 },
    { at: schedule?.overdue, word: 'overdue', time: width > 600 },
  ].flatMap(({ at, word, time }) =>
    at === undefined ? [] : [{ at, words: time ? `${word} ${clock(at, reader)}` : word }],
  );
  const places = spread(
    flags.map((f) => x(f.at)),
    flags.map((f) => f.words.length * LETTER),
    width,
  );
  return (
    <G>
      {flags.map(({ at, words }, i) => (
        <G key={words}>
          <Line x1={x(at)} x2={x(at)} y1={2} y2={BAND.axis} stroke={p.ink} strokeWidth={1.6} />
          <Polygon
            points={`${x(at) - 4},${BAND.axis + 6} ${x(at) + 4},${BAND.axis + 6} ${x(at)},${BAND.axis}`}
            fill={p.ink}
          />
          <SvgText
            x={places[i]}
            y={BAND.flags}
            textAnchor="middle"
            fontFamily={FONT.narrow}
            fontSize={SIZE.label}
            fontWeight="600"
            fill={p.ink}
          >
            {words}
          </SvgText>
        </G>
      ))}
    </G>
  );
}

function Departures({ departures, x, p }: { departures: Departure[]; x: X; p: Palette }) {
  const base = BAND.departures + BAND.departuresHeight;
  const step = departures.length > 1 ? x(departures[1].leave) - x(departures[0].leave) : 0;
  return (
    <G>
      {departures.map((d) => {
        const tall = Math.max(1, BAND.departuresHeight * TALL[d.worst]);
        return (
          <Rect
            key={d.leave}
            x={x(d.leave) - step / 2 + 0.5}
            y={base - tall}
            width={Math.max(1, step - 1)}
            height={tall}
            fill={d.worst === 'stop' ? p.ink : p.soft}
          />
        );
      })}
    </G>
  );
}

interface Moving extends Pick<Props, 'leave' | 'onMove' | 'onLeave' | 'onWhy'> {
  strip: Strip;
  x: X;
}

const snapped = (at: number, { from, until }: Strip) =>
  Math.min(until, Math.max(from, Math.round(at / STEP) * STEP));
/** A finger that moves less than this has not begun to drag, px. */
const SLACK = 4;

/** Drag by finger or mouse, or move by arrow keys. */
function useHandle(
  box: React.RefObject<View | null>,
  { x, leave, strip, onMove, onLeave, onWhy }: Moving,
): void {
  const grab = useRef<{ pointer: number; at: number; leave: number; moved: boolean }>(undefined);
  useEffect(() => {
    const element = box.current as unknown as HTMLElement | null;
    if (!element?.addEventListener || !onLeave || leave === undefined) return;
    const aim = (event: PointerEvent, g: NonNullable<typeof grab.current>) =>
      snapped(x.invert(x(g.leave) + event.clientX - g.at), strip);
    const down = (event: PointerEvent) => {
      if (event.button === 0)
        grab.current = { pointer: event.pointerId, at: event.clientX, leave, moved: false };
    };
    const move = (event: PointerEvent) => {
      const g = grab.current;
      if (!g || g.pointer !== event.pointerId || (!g.moved && Math.abs(event.clientX - g.at) < SLACK)) return;
      if (!g.moved) element.setPointerCapture(event.pointerId);
      g.moved = true;
      onMove?.(aim(event, g));
    };
    const up = (event: PointerEvent) => {
      const g = grab.current;
      grab.current = undefined;
      if (g?.moved) return onLeave(event.type === 'pointerup' ? aim(event, g) : g.leave);
      const box = element.getBoundingClientRect();
      if (g && event.type === 'pointerup' && event.clientY - box.top >= BAND.hours)
        onWhy?.(x.invert(event.clientX - box.left));
    };
    const key = (event: KeyboardEvent) => {
      const by = event.shiftKey ? BIG_STEP : STEP;
      const to = {
        ArrowRight: leave + by,
        ArrowLeft: leave - by,
        Home: strip.from,
        End: strip.until,
      }[event.key];
      if (to === undefined) return;
      event.preventDefault();
      onLeave(snapped(to, strip));
    };
    const handlers = {
      pointerdown: down,
      pointermove: move,
      pointerup: up,
      pointercancel: up,
      keydown: key,
    } as Record<string, EventListener | ((e: never) => void)>;
    for (const [name, handler] of Object.entries(handlers))
      element.addEventListener(name, handler as EventListener);
    return () => {
      for (const [name, handler] of Object.entries(handlers))
        element.removeEventListener(name, handler as EventListener);
    };
  }, [box, x, leave, strip, onMove, onLeave, onWhy]);
}
