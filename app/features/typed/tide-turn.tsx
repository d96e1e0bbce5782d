import { useState } from 'react';
import { View } from 'react-native';
import { MS } from '@escale/core/units';
import { momentsOf, readHeight, saysTide, type Days, type TideRow } from '@escale/core/water/typed';
import { heightBy, tideSoFar, turnLater, withTurn } from '@escale/core/water/typed-rows';
import type { Water } from '@escale/core/model';
import { Button, Row } from '../../ui/button';
import { Stepper } from '../../ui/stepper';
import { T } from '../../ui/text';
import { useTrip } from '../trip/use-trip';
import { StripHours } from './strip-hours';
import { FORECAST, ON_STRIP, TIDE } from './words';

const STEP = 15 * MS.minute;
/** A press this near to a turn means that turn. */
const NEAR = 90 * MS.minute;
/** What one press of a button changes: metres and ms, as fine as tables are printed. */
const BY_HEIGHT = 0.1,
  BY_TIME = 5 * MS.minute;

/** The turns of a tide table on the hours of the strip: choose one there, and change its height and time by steps. */
export function TideTurn({
  rows,
  days,
  water,
  onRows,
}: {
  rows: readonly TideRow[];
  days: Days;
  water: Water;
  onRows: (rows: TideRow[]) => void;
}) {
  const { trip, shed, axis, assessment, says } = useTrip();
  const [at, setAt] = useState(() => Math.floor((assessment.leave ?? axis?.from ?? 0) / STEP) * STEP);
  if (!axis) return null;
  const { tide: _kept, ...bare } = water;
  const tide = tideSoFar(rows, days);
  const drawn = { ...bare, ...(tide ? { tide } : {}) };
  const moments = momentsOf(rows, days, saysTide);
  const away = (i: number) => Math.abs((moments[i] ?? Infinity) - at);
  const place = rows.map((_, i) => i).sort((a, b) => away(a) - away(b))[0] ?? -1;
  const when = place >= 0 && away(place) <= NEAR ? moments[place] : undefined;
  const row = rows[place];
  const height = row && readHeight(row.height);
  const tall = height === undefined ? row?.height || ON_STRIP.unsaid : says(ON_STRIP.turnHeight, { height });
  const put = (next: TideRow) => onRows(rows.map((other, i) => (i === place ? next : other)));
  const move = (by: number) => {
    if (when === undefined) return;
    onRows(turnLater(rows, days, place, by));
    setAt(when + by);
  };
  const turn =
    when === undefined
      ? says(ON_STRIP.noTurn, { at })
      : says(ON_STRIP.turn, { turn: TIDE[row.turn], at: when, height: tall });
  return (
    <View role="group" aria-label={ON_STRIP.title} style={{ gap: 8 }}>
      <T as="small">{ON_STRIP.turnLead}</T>
      <StripHours
        over={{
          trip,
          shed: { ...shed, waters: shed.waters.map((other) => (other.id === water.id ? drawn : other)) },
          conditions: {},
        }}
        rows={moments.filter((moment) => moment !== undefined)}
        at={at}
        step={STEP}
        label={ON_STRIP.pickTurn}
        said={turn}
        onAt={setAt}
      />
      {when === undefined ? (
        <Row>
          <Button onPress={() => onRows(withTurn(rows, days, at))}>{says(ON_STRIP.add, { at })}</Button>
        </Row>
      ) : (
        <>
          <T as="strong">{turn}</T>
          <Stepper
            what={TIDE.height}
            said={tall}
            less={ON_STRIP.lower}
            more={ON_STRIP.higher}
            onLess={() => put(heightBy(row, -BY_HEIGHT))}
            onMore={() => put(heightBy(row, BY_HEIGHT))}
          />
          <Stepper
            what={FORECAST.time}
            said={says(ON_STRIP.clock, { at: when })}
            less={ON_STRIP.earlier}
            more={ON_STRIP.later}
            onLess={() => move(-BY_TIME)}
            onMore={() => move(BY_TIME)}
          />
        </>
      )}
    </View>
  );
}
