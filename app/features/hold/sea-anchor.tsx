import { View } from 'react-native';
import { blowOf, blowWithin, seaAnchorFor, type OnHold } from '@escale/core/hold';
import { MS } from '@escale/core/units';
import { guessed } from '@escale/core/verdict';
import { T } from '../../ui/text';
import { useTrip } from '../trip/use-trip';
import { SEA_ANCHOR } from './words';

/** A blow after one is home counts as well: one may be late. */
const LATE = 6 * MS.hour;
const KINDS: ReadonlySet<string> = new Set(['sea-anchor', 'drift-sock']);

/** A sea anchor or a sock: how large, on how long a line, when it has to be out, and what it can’t promise. */
export function SeaAnchor({ on }: { on: OnHold }) {
  const { assessment, says } = useTrip();
  const { boat, forecast } = on;
  const { schedule } = assessment;
  const size = boat && seaAnchorFor(boat);
  const wind = boat && blowOf(boat);
  const end = schedule && (schedule.home ?? schedule.leave) + LATE;
  // What a forecast does not reach to it does not know.
  const whole =
    forecast !== undefined &&
    schedule !== undefined &&
    end !== undefined &&
    forecast.from <= schedule.leave &&
    forecast.until >= end;
  const blow =
    forecast && schedule && wind !== undefined
      ? blowWithin(forecast, wind, schedule.leave, (schedule.home ?? schedule.leave) + LATE)
      : undefined;
  const owned = on.gear.filter(
    ({ kind, fittedTo }) => KINDS.has(kind) && (fittedTo === undefined || fittedTo === boat?.id),
  );
  return (
    <View style={{ gap: 8, padding: 12 }}>
      <T as="strong">
        {!forecast || wind === undefined
          ? SEA_ANCHOR.noForecast
          : blow
            ? says(SEA_ANCHOR.before, { at: blow.from, wind: blow.most })
            : whole
              ? says(SEA_ANCHOR.none, { wind })
              : SEA_ANCHOR.part}
      </T>
      {forecast?.invented ? <T>{SEA_ANCHOR.invented}</T> : null}
      {blow ? (
        <T>{blow.until === undefined ? SEA_ANCHOR.endless : says(SEA_ANCHOR.until, { at: blow.until })}</T>
      ) : null}
      {size ? (
        <T>
          {says(SEA_ANCHOR.size, {
            least: size.across.low,
            most: size.across.high,
            short: size.line.low,
            long: size.line.high,
          })}
        </T>
      ) : (
        <T>{SEA_ANCHOR.noSize}</T>
      )}
      {owned.map((item) => {
        const across = guessed(item, '/across') ? undefined : item.across;
        if (across === undefined || !size)
          return <T key={item.id}>{says(SEA_ANCHOR.unsaid, { name: item.name })}</T>;
        const as = across < size.across.low ? 'small' : across > size.across.high ? 'large' : 'fits';
        return <T key={item.id}>{says(SEA_ANCHOR[as], { name: item.name, across })}</T>;
      })}
      {owned.length === 0 ? <T as="soft">{SEA_ANCHOR.noneAboard}</T> : null}
      <View role="list">
        {SEA_ANCHOR.parts.map((part) => (
          <T role="listitem" key={part}>
            {part}
          </T>
        ))}
      </View>
      <T>{SEA_ANCHOR.does}</T>
    </View>
  );
}
