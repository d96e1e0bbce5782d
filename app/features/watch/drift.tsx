import { useState } from 'react';
import { View } from 'react-native';
import Svg, { Circle, Path } from 'react-native-svg';
import useSWR from 'swr';
import type { PlanView } from '@escale/core/model';
import type { Dot, DriftPicture } from '@escale/core/trip/drift-picture';
import { ask } from '../../data/api';
import { Choice } from '../../ui/choice';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { DRIFT } from './words';

interface Drifts {
  says: string[];
  pictures: (Omit<DriftPicture, 'says'> & { says: string[] })[];
}

/** Where they may have drifted from their last known position: an estimate for who searches, never a search area. */
export function Drift({ plan }: { plan: PlanView }) {
  const [as, setAs] = useState<string>('afloat');
  const heard = plan.events.filter((e) => e.position).length;
  const path = `/api/plans/${plan.id}/drift`;
  const { data } = useSWR<Drifts, Error>(
    heard > 0 ? [path, heard] : null,
    () => ask(path) as Promise<Drifts>,
  );
  if (heard === 0) return <T as="small">{DRIFT.none}</T>;
  if (!data) return null;
  const picture = data.pictures.find((one) => one.as === as) ?? data.pictures[0];
  return (
    <View style={{ gap: 8 }} role="group" aria-label={DRIFT.title}>
      <T as="section" heading={2}>
        {DRIFT.title}
      </T>
      <T as="strong">{DRIFT.never}</T>
      {data.says.map((line) => (
        <T key={line}>{line}</T>
      ))}
      {picture ? (
        <>
          <Choice
            label={DRIFT.what}
            options={data.pictures.map((one) => ({
              value: one.as,
              label: DRIFT.as[one.as as keyof typeof DRIFT.as],
            }))}
            value={picture.as}
            onChange={(value) => value && setAs(value)}
          />
          <Picture picture={picture} />
          {picture.says.map((line) => (
            <T key={line}>{line}</T>
          ))}
        </>
      ) : null}
    </View>
  );
}

const path = (dots: readonly Dot[], close = false) =>
  dots.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${x.toFixed(1)} ${y.toFixed(1)}`).join('') +
  (close ? 'Z' : '');

function Picture({ picture: d }: { picture: Drifts['pictures'][number] }) {
  const p = usePalette();
  const line = { fill: 'none', stroke: p.ink } as const;
  return (
    <View
      role="img"
      aria-label={DRIFT.drawn}
      style={{
        width: '100%',
        maxWidth: 640,
        aspectRatio: d.width / d.height,
        borderWidth: 1,
        borderColor: p.line,
      }}
    >
      <Svg
        width="100%"
        height="100%"
        viewBox={`0 0 ${d.width} ${d.height}`}
        style={{ backgroundColor: p.water3 }}
        aria-hidden
      >
        {d.land.map((ring, i) => (
          <Path key={i} d={path(ring, true)} fill={p.land} stroke={p.ink} />
        ))}
        {d.shore.map((ring, i) => (
          <Path key={i} d={path(ring)} {...line} />
        ))}
        <Path d={path(d.fan, true)} fill={p.water2} fillOpacity={0.45} />
        <Path d={path(d.middle)} {...line} strokeWidth={2.5} />
        {d.rings.map(({ at: [x, y], radius }, i) => (
          <Circle key={i} cx={x} cy={y} r={radius} {...line} strokeWidth={0.8} />
        ))}
        <Circle cx={d.from[0]} cy={d.from[1]} r={5} fill={p.ink} />
        <Path d={`M12 ${d.height - 12}h${d.bar.length.toFixed(1)}`} {...line} strokeWidth={2} />
      </Svg>
    </View>
  );
}
