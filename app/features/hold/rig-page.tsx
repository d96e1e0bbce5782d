import { useMemo, useState } from 'react';
import { useLocalSearchParams, useRouter } from 'expo-router';
import {
  anchorLine,
  anchorsAboard,
  atStay,
  bestOf,
  isSmall,
  overStay,
  rigOn,
  runningRig,
  type Part,
} from '@escale/core/hold';
import { render } from '@escale/core/say';
import { plans } from '../boat/outline';
import { Button, Row } from '../../ui/button';
import { Choice } from '../../ui/choice';
import { usePalette } from '../../ui/theme';
import { plainly } from '../../data/settings';
import { useHolding } from './use-hold';
import { useTrip } from '../trip/use-trip';
import { SHEET } from '../../ui/paper-sheet';
import { RIG } from './words';

const SIDES = [
  { value: 'port', label: RIG.port },
  { value: 'starboard', label: RIG.starboard },
];
type Side = 'port' | 'starboard';

/** The anchor line and the running rig, part by part in order: to cut, to tie, to print. */
export function RigPage() {
  const router = useRouter();
  const p = usePalette();
  const { halt } = useLocalSearchParams<{ halt?: string }>();
  const { trip, says } = useTrip();
  const { on, stays, lying } = useHolding();
  const [side, setSide] = useState<Side>('port');
  const stay = stays.find(({ n }) => String(n) === halt) ?? stays[0];
  const at = useMemo(() => stay && atStay(on, stay, lying), [on, stay, lying]);
  const best = useMemo(
    () =>
      at &&
      bestOf(
        anchorsAboard(on).map((item) => overStay(at, item)),
        stay.halt.anchor,
      ),
    [on, at, stay],
  );
  const small = on.boat !== undefined && isSmall(on.boat);
  return (
    <main data-paper="seen" style={{ ...SHEET, background: p.paper, color: p.ink }}>
      <div data-screen>
        <Row>
          <Button kind="main" onPress={() => window.print()}>
            {RIG.print}
          </Button>
          <Button onPress={() => router.push(`/trips/${trip.id}/go/hold`)}>{RIG.back}</Button>
        </Row>
      </div>
      <h1 style={{ fontSize: 22, margin: '10px 0 4px' }}>
        {says(RIG.title, { boat: on.boat?.name ?? RIG.noBoat })}
      </h1>
      {at && stay ? (
        <>
          <h2 style={{ fontSize: 18 }}>{says(RIG.line, { place: stay.place.name })}</h2>
          <Parts parts={anchorLine(at, best?.item)} />
        </>
      ) : (
        <p>{RIG.noHalt}</p>
      )}
      {lying && small ? (
        <>
          <h2 style={{ fontSize: 18 }}>{RIG.rig}</h2>
          <div data-screen>
            <Choice
              label={RIG.side}
              options={SIDES}
              value={side}
              onChange={(value) => setSide(value === 'starboard' ? 'starboard' : 'port')}
            />
          </div>
          <p>{plainly(RIG.onSide, { side: side === 'port' ? RIG.port : RIG.starboard })}</p>
          <Plan side={side} />
          <Parts parts={runningRig(lying)} />
        </>
      ) : null}
      <p>{RIG.advises}</p>
    </main>
  );
}

/** An empty box to tick, a part, and how it is joined. */
function Parts({ parts }: { parts: Part[] }) {
  const { reader } = useTrip();
  return (
    <ol style={{ paddingLeft: 24, margin: '4px 0' }}>
      {parts.map(({ id, what, knot }) => (
        <li key={id} style={{ breakInside: 'avoid', margin: '6px 0' }}>
          <strong>{render(what, reader)}</strong>
          {knot ? <div>{render(knot, reader)}</div> : null}
        </li>
      ))}
    </ol>
  );
}

const WIDE = 640,
  HIGH = 150,
  MARGIN = 14;

/** Her hull from above with the points of the rig, her bow to the right, port up. */
function Plan({ side }: { side: Side }) {
  const { lying } = useHolding();
  if (!lying) return null;
  const { hull } = lying;
  const scale = Math.min((WIDE - 2 * MARGIN) / hull.length, (HIGH - 2 * MARGIN) / hull.beam);
  const x = (metres: number) => MARGIN + metres * scale,
    y = (metres: number) => HIGH / 2 - metres * scale;
  const way = side === 'port' ? 1 : -1;
  const points = rigOn(hull).points.map((point) => ({ x: x(point.x), y: y(way * point.y) }));
  return (
    <svg
      viewBox={`0 0 ${WIDE} ${HIGH}`}
      width="100%"
      style={{ maxWidth: WIDE }}
      role="img"
      aria-label={RIG.drawn}
    >
      {plans(hull, { x, y }).map((d) => (
        <path key={d} d={d} fill="none" stroke="currentColor" strokeWidth={1.5} />
      ))}
      <polyline
        points={points.map((point) => [point.x, point.y].join(',')).join(' ')}
        fill="none"
        stroke="currentColor"
        strokeWidth={1}
        strokeDasharray="4 3"
      />
      {points.map((point, i) => (
        <g key={i}>
          <circle cx={point.x} cy={point.y} r={4} fill="currentColor" />
          <text x={point.x + 6} y={point.y + (way > 0 ? -6 : 16)} fontSize={13} fill="currentColor">
            {i + 1}
          </text>
        </g>
      ))}
    </svg>
  );
}
