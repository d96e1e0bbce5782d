import { createContext, useCallback, useContext, useMemo, useState, type ReactNode } from 'react';
import { ScrollView, View, type ViewStyle } from 'react-native';
import { civilDate, wallTime } from '@escale/core/earth';
import { saysTo } from '@escale/core/say';
import { stripOf, type Departure } from '@escale/core/trip';
import { MS } from '@escale/core/units';
import { Button } from '../../ui/button';
import { T } from '../../ui/text';
import { change } from '../../data/outbox';
import { useNow } from '../../data/hooks';
import { useJob } from '../../data/jobs';
import { plainly } from '../../data/settings';
import { DayStrip } from '../strip/day-strip';
import { DayTable } from '../strip/day-table';
import { Legend, Why } from '../strip/why';
import { LEGEND, WHY } from '../strip/words';
import { byWhom } from '../trip/by-whom';
import type { TripView } from '../trip/use-trip';
import { TRIP } from '../trip/words';

/** What the pages of a trip share of its day: what each hour of leaving would give, and the way to another. */
interface Day {
  departures: Departure[];
  leaveAt: (leave: number) => void;
  /** The strip as it stands at the head of a page that has it. */
  strip: ReactNode;
}
const DayContext = createContext<Day>({ departures: [], leaveAt: () => undefined, strip: null });
export const DayProvider = DayContext.Provider;
export const useDay = () => useContext(DayContext);

/** The scrolling body of a trip's page; the strip goes with it, so that nothing of it stays when one reads on. */
export function TripScroll({
  first,
  children,
  style,
}: {
  /** What stands before the strip. */
  first?: ReactNode;
  children: ReactNode;
  style?: ViewStyle;
}) {
  const { strip } = useDay();
  return (
    <ScrollView role="main" style={{ flex: 1 }} contentContainerStyle={[{ paddingBottom: 40 }, style]}>
      {first}
      {strip}
      {children}
    </ScrollView>
  );
}

/** Departures of the row stand so far apart. */
export const STEP = 10 * MS.minute;
/** How long an edit must rest before its day is swept, ms. */
const REST = 250;
const NONE: Departure[] = [];

/** What each departure of the day would give, swept in the worker. */
export function useDepartures({ input }: TripView, axis: TripView['axis']): Departure[] {
  const { trip, shed, conditions } = input;
  // Core's own time stands still while nothing changes; which departures are past does not.
  const now = useNow(STEP);
  const job = useMemo(
    () => axis && { input: { trip, shed, conditions, now }, from: axis.from, until: axis.until, step: STEP },
    [trip, shed, conditions, now, axis],
  );
  return useJob('sweep', job, REST).parts.at(-1) ?? NONE;
}

/** Another hour of leaving, kept. */
export function useLeaveAt({ held, reader }: Pick<TripView, 'held' | 'reader'>): (leave: number) => void {
  return useCallback(
    (leave: number) => {
      const next = { date: civilDate(leave, reader.zone), time: wallTime(leave, reader.zone) };
      if (next.date !== held.doc.leave.date || next.time !== held.doc.leave.time)
        void change(
          held,
          [{ op: 'set', pointer: '/leave', value: next }],
          plainly(TRIP.leaveAt, { time: next.time }),
        );
    },
    [held, reader.zone],
  );
}

/** The departure of a row that lies nearest to an instant. */
export const nearest = (list: Departure[], at: number) =>
  list.reduce((near, d) => (Math.abs(d.leave - at) < Math.abs(near.leave - at) ? d : near));

/** The day strip with its buttons and its table. */
export function Strip({
  view: { input, reader, shed, assessment },
  axis,
  departures,
  onMove,
  leaveAt,
}: {
  view: TripView;
  axis: { from: number; until: number };
  departures: Departure[];
  onMove: (leave: number | undefined) => void;
  leaveAt: (leave: number) => void;
}) {
  const [table, setTable] = useState(false);
  const [legend, setLegend] = useState(false);
  // Which hour is asked about: the planned one, or a column that was pressed.
  const [asked, setAsked] = useState<number | 'planned'>();
  const { trip, conditions } = input;
  const says = saysTo(reader);
  const strip = useMemo(() => stripOf({ trip, shed, conditions }, axis), [trip, shed, conditions, axis]);
  const { schedule, leave } = assessment;
  const at = asked === 'planned' ? leave : asked;
  const about = at === undefined || departures.length === 0 ? undefined : nearest(departures, at);
  return (
    <View>
      <T as="label" style={{ paddingHorizontal: 12 }}>
        {byWhom(conditions.forecast, says)}
      </T>
      <DayStrip
        strip={strip}
        schedule={schedule}
        leave={leave}
        departures={departures}
        reader={reader}
        onMove={onMove}
        onLeave={leaveAt}
        onWhy={setAsked}
      />
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 14, paddingHorizontal: 8 }}>
        <Button
          kind="quiet"
          label="Leave ten minutes earlier"
          onPress={() => leave !== undefined && leaveAt(leave - 10 * MS.minute)}
        >
          − 10 min
        </Button>
        <Button
          kind="quiet"
          label="Leave ten minutes later"
          onPress={() => leave !== undefined && leaveAt(leave + 10 * MS.minute)}
        >
          + 10 min
        </Button>
        <Button kind="quiet" onPress={() => setAsked(asked === undefined ? 'planned' : undefined)}>
          {WHY.ask}
        </Button>
        <Button kind="quiet" onPress={() => setTable(!table)}>
          {table ? 'Close the table' : 'Read as a table'}
        </Button>
        <Button kind="quiet" onPress={() => setLegend(!legend)}>
          {legend ? LEGEND.close : LEGEND.open}
        </Button>
      </View>
      {about ? (
        <Why
          departure={about}
          reader={reader}
          here={leave !== undefined && Math.abs(about.leave - leave) <= STEP / 2}
          onLeave={leaveAt}
        />
      ) : null}
      {legend ? <Legend /> : null}
      {table ? (
        <View style={{ paddingHorizontal: 12, maxHeight: 320, overflow: 'scroll' as 'hidden' }}>
          <DayTable
            strip={strip}
            schedule={schedule}
            departures={departures}
            reader={reader}
            name={(id) => shed.places.find((pl) => pl.id === id)?.name ?? '?'}
          />
        </View>
      ) : null}
    </View>
  );
}
