import { View } from 'react-native';
import { civilDate, plusDays, wallTime, wallToInstant } from '@escale/core/earth';
import { MS } from '@escale/core/units';
import { Button, Row } from '../../ui/button';
import { Fold } from '../../ui/fold';
import { Moment } from '../../ui/moment';
import { T } from '../../ui/text';
import { useTrip } from '../trip/use-trip';
import { keep, leftAt, set, type OfDebrief } from './keep';
import { DEBRIEF } from './words';

/** The instant at which a clock there shows a time, nearest to another; undefined where no day near by has it. */
export function nearest(time: string, near: number, zone: string): number | undefined {
  const day = civilDate(near, zone);
  const found = [-1, 0, 1].flatMap((by) => {
    const wall = wallToInstant(plusDays(day, by), time, zone);
    return 'gap' in wall ? [] : [wall.at];
  });
  const off = (at: number) => Math.abs(at - near);
  return found.reduce<number | undefined>(
    (best, at) => (best === undefined || off(at) < off(best) ? at : best),
    undefined,
  );
}

/** When one really left and was ashore, against the plan. */
export function Times({ held, begin }: OfDebrief & { begin: boolean }) {
  const { assessment, says } = useTrip();
  const { left, home } = held.doc;
  const [from, until] = [left, home].map((at) => (at === undefined ? undefined : Date.parse(at)));
  const both = from !== undefined && until !== undefined;
  const note = both ? says(DEBRIEF.timesSaid, { left: from, home: until }) : DEBRIEF.unsaid;
  const { schedule, leave } = assessment;
  return (
    <Fold title={DEBRIEF.times} note={note} begin={begin}>
      <View style={{ gap: 12, paddingTop: 10 }}>
        <One held={held} name="left" label={DEBRIEF.left} at={from} planned={leave} near={leave} />
        <One
          held={held}
          name="home"
          label={DEBRIEF.home}
          at={until}
          planned={schedule?.home}
          near={schedule?.home ?? from ?? leave}
        />
        {both ? (
          <T as={until <= from ? 'strong' : 'soft'} {...(until <= from ? { role: 'alert' } : {})}>
            {until <= from ? DEBRIEF.backwards : says(DEBRIEF.long, { out: (until - from) / MS.second })}
          </T>
        ) : null}
      </View>
    </Fold>
  );
}

function One({
  held,
  name,
  label,
  at,
  planned,
  near,
}: OfDebrief & {
  name: 'left' | 'home';
  label: string;
  at: number | undefined;
  planned: number | undefined;
  near: number | undefined;
}) {
  const { reader, says } = useTrip();
  const { zone } = reader;
  const put = (instant: number | undefined) => {
    if (instant === undefined) return;
    if (name === 'left') keep(held, ...leftAt(instant, zone));
    else keep(held, set('/home', new Date(instant).toISOString()));
  };
  const unsay = () => keep(held, set(`/${name}`, undefined));
  const by = at === undefined || planned === undefined ? undefined : (at - planned) / MS.second;
  const off = by === undefined ? undefined : Math.abs(by);
  return (
    <View role="group" aria-label={label} style={{ gap: 4 }}>
      <T as="label">{label}</T>
      <Row>
        <Moment
          kind="time"
          label={label}
          value={at === undefined ? '' : wallTime(at, zone)}
          onChange={(time) => (time === '' ? unsay() : put(nearest(time, at ?? near ?? Date.now(), zone)))}
        />
        {at === undefined && planned !== undefined ? (
          <Button label={says(DEBRIEF.wasSoOf, { label })} onPress={() => put(planned)}>
            {DEBRIEF.wasSo}
          </Button>
        ) : null}
      </Row>
      {planned === undefined ? null : (
        <T as="soft">
          {says(DEBRIEF.planned, { at: planned })}{' '}
          {by === undefined || off === undefined
            ? ''
            : off < MS.minute / MS.second
              ? DEBRIEF.onTime
              : says(by > 0 ? DEBRIEF.late : DEBRIEF.early, { by: off })}
        </T>
      )}
    </View>
  );
}
