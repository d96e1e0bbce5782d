import { useEffect, useMemo, useRef, useState } from 'react';
import { View } from 'react-native';
import { INCIDENT_KINDS, type IncidentKind } from '@escale/core/model/lists';
import Svg, { G, Line, Rect, Text as SvgText } from 'react-native-svg';
import { scaleLinear } from 'd3-scale';
import type { Cell, Column } from '@escale/core/whatif';
import { MS } from '@escale/core/units';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { FONT, SIZE, type Palette } from '../../ui/tokens';
import { useTrip } from '../trip/use-trip';
import { GLANCE, GRADE } from './words';

/** Room for the name of a row, its height, and the foot with the hours, px. */
const NAME = 128,
  ROW = 26,
  FOOT = 24,
  BASE = 3;
/** How tall a grade stands in its row. */
const TALL = [0.08, 0.36, 0.68, 1] as const;
/** A mark so near the end leans on it. */
const LAST = 20 * MS.minute;
/** Hours between the marks, and how much room one needs, px. */
const EVERY = [1, 2, 3, 6, 12, 24],
  HOUR_ROOM = 34;

interface Props {
  columns: readonly Column[];
  rows: readonly IncidentKind[];
  from: number;
  until: number;
  at: number;
  incident: IncidentKind;
  onPick: (at: number, incident: IncidentKind | undefined) => void;
}

/** Columns of one kind that stand side by side. */
interface Run extends Pick<Cell, 'grade' | 'open'> {
  from: number;
  until: number;
}

/** How bad each incident is at each point of the day: a row each, the taller the worse, and above them the worst of all. */
export function GlanceView({ columns, rows, from, until, at, incident, onPick }: Props) {
  const p = usePalette();
  const { says } = useTrip();
  const [width, setWidth] = useState(0);
  const box = useRef<View>(null);
  const x = useMemo(
    () =>
      scaleLinear()
        .domain([from, until])
        .range([NAME, Math.max(NAME + 1, width)]),
    [from, until, width],
  );
  const all = useMemo(
    () => [undefined, ...rows].map((row) => ({ row, runs: runsOf(columns, row, until) })),
    [columns, rows, until],
  );
  useTap(box, (left, top) => {
    if (left < NAME && top < ROW) return;
    const row = rows[Math.floor(top / ROW) - 1];
    onPick(Math.min(until, Math.max(from, left < NAME ? at : x.invert(left))), row);
  });
  const height = all.length * ROW + FOOT;
  return (
    <View
      ref={box}
      role="img"
      aria-label={says(GLANCE.is, { from, until })}
      onLayout={(e) => setWidth(Math.round(e.nativeEvent.layout.width))}
      style={{ height, cursor: 'pointer' } as object}
      testID="glance"
    >
      {width > 0 ? (
        <Svg width={width} height={height} aria-hidden>
          {all.map(({ row, runs }, i) => (
            <G key={row ?? 'all'}>
              {row === incident ? (
                <Rect x={0} y={i * ROW} width={width} height={ROW} fill={p.water3} />
              ) : null}
              <SvgText
                x={4}
                y={i * ROW + ROW - 8}
                fontFamily={FONT.narrow}
                fontSize={SIZE.label}
                fontWeight={row === undefined || row === incident ? '700' : '500'}
                fill={p.ink}
              >
                {row === undefined ? GLANCE.all : INCIDENT_KINDS[row]}
              </SvgText>
              {runs.map((run) => (
                <Bar key={run.from} run={run} x={x} base={(i + 1) * ROW - BASE} p={p} />
              ))}
              <Line
                x1={NAME}
                x2={width}
                y1={(i + 1) * ROW}
                y2={(i + 1) * ROW}
                stroke={p.line}
                strokeWidth={1}
              />
            </G>
          ))}
          <Line x1={x(at)} x2={x(at)} y1={0} y2={all.length * ROW + 4} stroke={p.ink} strokeWidth={2} />
          <Hours from={from} until={until} x={x} top={all.length * ROW} />
        </Svg>
      ) : null}
    </View>
  );
}

function Bar({
  run: { from, until, grade, open },
  x,
  base,
  p,
}: {
  run: Run;
  x: (at: number) => number;
  base: number;
  p: Palette;
}) {
  const tall = (ROW - 2 * BASE) * TALL[grade];
  const wide = Math.max(1, x(until) - x(from));
  // What leans on something unknown is an outline: it reads without colour.
  if (open && grade > 0)
    return (
      <Rect
        x={x(from)}
        y={base - tall}
        width={wide}
        height={tall}
        fill={p.raised}
        stroke={p.ink}
        strokeWidth={1.4}
        strokeDasharray="3 2"
      />
    );
  const fill = [p.line, p.water2, p.water1, p.ink][grade];
  return <Rect x={x(from)} y={base - tall} width={wide} height={tall} fill={fill} />;
}

/** Between two that are known the earlier stands for what lies between, until that is looked at. */
function runsOf(columns: readonly Column[], row: IncidentKind | undefined, until: number): Run[] {
  const runs: Run[] = [];
  for (const [i, column] of columns.entries()) {
    const cell = cellOf(column, row);
    const ends = columns[i + 1]?.at ?? until;
    const last = runs.at(-1);
    if (last?.grade === cell.grade && last.open === cell.open) last.until = ends;
    else runs.push({ ...cell, from: column.at, until: ends });
  }
  return runs;
}

export function cellOf({ cells }: Column, row: IncidentKind | undefined): Pick<Cell, 'grade' | 'open'> {
  const of = row === undefined ? cells : cells.filter(({ incident }) => incident === row);
  return of.reduce<Pick<Cell, 'grade' | 'open'>>(
    (worst, { grade, open }) =>
      grade > worst.grade
        ? { grade, open }
        : grade === worst.grade
          ? { grade, open: worst.open && open }
          : worst,
    { grade: 0, open: true },
  );
}

function Hours({
  from,
  until,
  x,
  top,
}: {
  from: number;
  until: number;
  x: (at: number) => number;
  top: number;
}) {
  const p = usePalette();
  const { says } = useTrip();
  const wide = x(from + MS.hour) - x(from);
  const every = EVERY.find((hours) => hours * wide >= HOUR_ROOM) ?? EVERY[EVERY.length - 1];
  const first = Math.ceil(from / MS.hour) * MS.hour;
  const count = Math.max(0, Math.floor((until - first) / (every * MS.hour)) + 1);
  return (
    <G>
      {Array.from({ length: count }, (_, i) => first + i * every * MS.hour).map((hour) => (
        <G key={hour}>
          <Line x1={x(hour)} x2={x(hour)} y1={top} y2={top + 4} stroke={p.ink} />
          <SvgText
            x={x(hour)}
            y={top + 18}
            textAnchor={until - hour < LAST ? 'end' : 'middle'}
            fontFamily={FONT.narrow}
            fontSize={SIZE.label}
            fill={p.soft}
          >
            {says('{hour:clock}', { hour })}
          </SvgText>
        </G>
      ))}
    </G>
  );
}

/** A tap on a picture, in its own pixels; hours and incidents can be chosen beside it by keyboard as well. */
export function useTap(box: React.RefObject<View | null>, onTap: (left: number, top: number) => void): void {
  const tap = useRef(onTap);
  useEffect(() => {
    tap.current = onTap;
  });
  useEffect(() => {
    const element = box.current as unknown as HTMLElement | null;
    if (!element?.addEventListener) return;
    const click = (event: MouseEvent) => {
      const { left, top } = element.getBoundingClientRect();
      tap.current(event.clientX - left, event.clientY - top);
    };
    element.addEventListener('click', click);
    return () => element.removeEventListener('click', click);
  }, [box]);
}

/** The same as a list, for who reads rather than looks. */
export function GlanceList({ columns, rows }: Pick<Props, 'columns' | 'rows'>) {
  const { says } = useTrip();
  return (
    <View role="list" aria-label={GLANCE.title}>
      {rows.map((row) => {
        const what = INCIDENT_KINDS[row];
        const worst = columns
          .flatMap((column) => ({ at: column.at, ...cellOf(column, row) }))
          .reduce<{ at: number; grade: number; open: boolean } | undefined>(
            (most, each) => (most && most.grade >= each.grade ? most : each),
            undefined,
          );
        const words = !worst || worst.grade === 0 ? GLANCE.rowNone : worst.open ? GLANCE.rowOpen : GLANCE.row;
        return (
          <View key={row} role="listitem">
            <T as="small">{says(words, { what, grade: GRADE[worst?.grade ?? 0], at: worst?.at ?? 0 })}</T>
          </View>
        );
      })}
    </View>
  );
}
