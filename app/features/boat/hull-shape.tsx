import { memo } from 'react';
import { G, Line, Path, Rect } from 'react-native-svg';
import { breadthFor, type Hull } from '@escale/core/boat';
import type { Palette } from '../../ui/tokens';
import { inner, plans, type Scale } from './outline';

/** A boat from above: hulls, what lies between two of them, tubes or deck edge, and where people sit. */
export const HullShape = memo(function HullShape({
  hull,
  scale,
  p,
  seats,
}: {
  hull: Hull;
  scale: Scale;
  p: Palette;
  seats?: boolean;
}) {
  const { form, length, beam, depth } = hull;
  const tubes = form.deck === 'open' && form.section.power <= TUBE;
  const deck = tubes ? depth * 0.8 : beam * (form.deck === 'open' ? 0.06 : 0.16);
  return (
    <G>
      {form.hulls ? (
        <Rect
          x={scale.x(length * 0.22)}
          y={scale.y(beam / 2)}
          width={scale.x(length * 0.72) - scale.x(length * 0.22)}
          height={scale.y(-beam / 2) - scale.y(beam / 2)}
          fill={p.water3}
          stroke={p.line}
        />
      ) : null}
      {plans(hull, scale).map((d) => (
        <Path key={d} d={d} fill={p.raised} stroke={p.ink} strokeWidth={1.6} />
      ))}
      {form.hulls ? null : (
        <Path d={inner(hull, scale, deck)} fill="none" stroke={p.line} strokeWidth={1.2} />
      )}
      <Line
        x1={scale.x(0)}
        x2={scale.x(length)}
        y1={scale.y(0)}
        y2={scale.y(0)}
        stroke={p.line}
        strokeWidth={1}
        strokeDasharray="4 4"
      />
      {seats
        ? form.seats.map((s) => (
            <Rect
              key={s.name}
              x={scale.x(s.x * length) - 7}
              y={scale.y((s.y * breadthFor(hull, s.x)) / 2) - 10}
              width={14}
              height={20}
              fill="none"
              stroke={p.line}
            />
          ))
        : null}
    </G>
  );
});

/** Sections rounder than this are tubes. */
const TUBE = 0.3;
