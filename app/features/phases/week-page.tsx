import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { civilDate, plusDays, wallToInstant } from '@escale/core/earth';
import { bestWindows, WINDOW_STEP, type LeavingWindow, type Week as Found } from '@escale/core/trip/windows';
import { MS } from '@escale/core/units';
import { countLevels, worstLevel } from '@escale/core/verdict';
import { conditionsFor } from '@escale/core/water';
import { Button, Row } from '../../ui/button';
import { Fold } from '../../ui/fold';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { run, useJob } from '../../data/jobs';
import { useDaysAhead, useNow } from '../../data/hooks';
import { plainly } from '../../data/settings';
import { useTrip } from '../trip/use-trip';
import { TripScroll, useLeaveAt } from './day';
import { WeekRows } from './week-rows';
import { TRIP } from '../trip/words';
import { WEEK } from './words';

const DAYS = 7,
  BEST = 3;
const PADDED = { padding: 14, gap: 14, maxWidth: 760, width: '100%', alignSelf: 'center' } as const;

/** The hours of the next days in which a trip works: the best of them in words, all of them in rows. */
export function WeekPage() {
  const { trip, reader, input } = useTrip();
  const now = useNow(WINDOW_STEP);
  const today = civilDate(now, reader.zone);
  const ahead = useDaysAhead(trip.id, today, DAYS + 1);
  // Without a signal the device may have the weather of the trip’s own day and of no other.
  const conditions = ahead && !ahead.forecast ? input.conditions : ahead;
  const [stopped, setStopped] = useState(false);
  return (
    <TripScroll style={PADDED}>
      <View style={{ gap: 2 }}>
        <T as="title" heading={1}>
          {WEEK.title}
        </T>
        <T as="soft">{plainly(WEEK.lead, { days: DAYS })}</T>
      </View>
      {trip.water === undefined ? (
        <T role="status">{WEEK.noHour}</T>
      ) : conditions === undefined ? (
        <T role="status">{WEEK.asking}</T>
      ) : (
        <Week
          conditions={conditions}
          from={Math.ceil(now / WINDOW_STEP) * WINDOW_STEP}
          stopped={stopped}
          onStop={setStopped}
        />
      )}
    </TripScroll>
  );
}

function Week({
  conditions,
  from,
  stopped,
  onStop,
}: {
  conditions: ReturnType<typeof useDaysAhead> & object;
  from: number;
  stopped: boolean;
  onStop: (stopped: boolean) => void;
}) {
  const { input, reader, assessment, says } = useTrip();
  const { trip, shed } = input;
  // The span stands still while one reads: it begins where the page was opened.
  const [begins] = useState(from);
  const until = useMemo(() => {
    const last = wallToInstant(plusDays(civilDate(begins, reader.zone), DAYS), '00:00', reader.zone);
    return 'gap' in last ? begins + DAYS * MS.day : last.at - WINDOW_STEP;
  }, [begins, reader.zone]);
  const job = useMemo(
    () => ({
      input: { trip, shed, conditions: conditionsFor(trip, conditions), now: begins },
      from: begins,
      until,
      step: WINDOW_STEP,
    }),
    [trip, shed, conditions, begins, until],
  );
  const { parts, done, of, failed } = useJob('windows', stopped ? undefined : job);
  const [held, setHeld] = useState<{ week: Found; done: number; of: number }>();
  const week = parts.at(-1) ?? held?.week ?? NOTHING;
  const { windows } = week;
  const whole = done > 0 && done === of;
  const { leave } = assessment;
  const own =
    leave === undefined ? undefined : windows.find((w) => w.from <= leave && leave < w.until + WINDOW_STEP);
  return (
    <>
      {failed ? <T role="alert">{WEEK.failed}</T> : null}
      {stopped ? (
        <Row>
          <T role="status">{says(WEEK.stopped, { done: held?.done ?? 0, of: held?.of ?? 0 })}</T>
          <Button onPress={() => onStop(false)}>{WEEK.again}</Button>
        </Row>
      ) : whole || failed ? null : (
        <Row>
          <T role="status">{says(WEEK.looking, { done, of })}</T>
          <Button
            onPress={() => {
              setHeld({ week, done, of });
              // A newer one of no hours takes its place, so that the worker is free.
              void run('windows', { ...job, until: job.from - 1 }, () => undefined);
              onStop(true);
            }}
          >
            {WEEK.stop}
          </Button>
        </Row>
      )}
      <Whichever {...week} />
      <Best week={week} whole={whole} />
      {leave !== undefined && own ? (
        <View style={{ gap: 4 }}>
          <T as="section" heading={2}>
            {says(WEEK.now, { at: leave, day: leave })}
          </T>
          <T>{own.limits ? says(WEEK.nowIs, { what: own.limits }) : WEEK.nowClear}</T>
        </View>
      ) : null}
      {windows.length > 0 ? <WeekRows windows={windows} zone={reader.zone} /> : null}
      {whole ? <List week={week} /> : null}
    </>
  );
}

const NOTHING: Found = { windows: [], always: [], kit: [] };

/** What is the same at every hour, and how much there is that no hour changes: it stands against each window alike. */
function Whichever({ always, kit }: Found) {
  const { assessment, says } = useTrip();
  const counts = countLevels([...assessment.findings.filter(({ varies }) => varies !== 'hour'), ...kit]);
  const fixed = (['stop', 'fix'] as const).filter((level) => counts[level] > 0);
  const told = always.filter(({ level }) => level !== 'know');
  if (told.length === 0 && fixed.length === 0) return null;
  return (
    <View style={{ gap: 4 }}>
      <T as="section" heading={2}>
        {WEEK.whichever}
      </T>
      {told.map(({ level, title }, i) => (
        <T key={i}>{says(WEEK.alike, { level: WEEK.level[level], what: title })}</T>
      ))}
      {fixed.length > 0 ? (
        <T as="soft">
          {says(WEEK.fixed, {
            what: fixed
              .map((level) => plainly(TRIP.count, { n: counts[level], level: WEEK.level[level] }))
              .join(' · '),
          })}
        </T>
      ) : null}
    </View>
  );
}

/** The level of a window, with what stands at every hour. */
const levelOf = ({ worst }: LeavingWindow, { always }: Found) =>
  WEEK.level[worstLevel([{ level: worst }, ...always])];

function Best({ week, whole }: { week: Found; whole: boolean }) {
  const p = usePalette();
  const view = useTrip();
  const { says } = view;
  const leaveAt = useLeaveAt(view);
  const best = bestWindows(week.windows, BEST);
  if (week.windows.length === 0) return null;
  return (
    <View style={{ gap: 10 }}>
      <T as="section" heading={2}>
        {WEEK.best}
      </T>
      {best.length === 0 && whole ? <T>{WEEK.none}</T> : null}
      {best.map((window) => (
        <View
          key={window.from}
          style={{ borderWidth: 1, borderColor: p.line, backgroundColor: p.raised, padding: 12, gap: 4 }}
        >
          <View style={{ flexDirection: 'row', justifyContent: 'space-between', gap: 8 }}>
            <T as="strong">
              {says(window.from === window.until ? WEEK.single : WEEK.span, {
                day: window.from,
                from: window.from,
                until: window.until,
              })}
            </T>
            <T as="strong">{levelOf(window, week)}</T>
          </View>
          <T>
            {window.limits
              ? says(window.open ? WEEK.needs : WEEK.stands, { what: window.limits })
              : WEEK.clear}
          </T>
          {window.opens ? <T as="soft">{says(WEEK.opens, { what: window.opens })}</T> : null}
          {window.closes ? <T as="soft">{says(WEEK.closes, { what: window.closes })}</T> : null}
          <Row>
            <Button onPress={() => leaveAt(window.from)}>
              {says(WEEK.leave, { day: window.from, from: window.from })}
            </Button>
          </Row>
        </View>
      ))}
    </View>
  );
}

/** All windows in words, for who reads and for a reader of the screen. */
function List({ week }: { week: Found }) {
  const { windows } = week;
  const { reader, says } = useTrip();
  const days = [...new Set(windows.map(({ from }) => civilDate(from, reader.zone)))];
  return (
    <Fold title={WEEK.list}>
      <View style={{ gap: 8, paddingVertical: 10 }}>
        {days.map((day) => {
          const its = windows.filter(({ from }) => civilDate(from, reader.zone) === day);
          return (
            <View key={day} style={{ gap: 2 }}>
              <T as="strong">{says('{at:day}', { at: its[0].from })}</T>
              {its.map((w) => (
                <T key={w.from} as="small">
                  {says(w.limits ? WEEK.line : WEEK.lineClear, {
                    from: w.from,
                    until: w.until,
                    level: levelOf(w, week),
                    what: w.limits ?? '',
                  })}
                </T>
              ))}
            </View>
          );
        })}
      </View>
    </Fold>
  );
}
