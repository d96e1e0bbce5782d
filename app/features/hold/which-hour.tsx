import type { Hour } from '@escale/core/hold';
import { clock } from '@escale/core/say';
import { Button, Row } from '../../ui/button';
import { Select } from '../../ui/select';
import { T } from '../../ui/text';
import { useTrip } from '../trip/use-trip';
import type { Trying } from './use-tried';
import { HOLD } from './words';

/** The hours of a stay, and the way back from what was moved by hand. */
export function WhichHour({
  hours,
  worst,
  trying: { hour, tried, choose, back },
}: {
  hours: readonly Hour[];
  worst: number | undefined;
  trying: Trying;
}) {
  const { reader, says } = useTrip();
  return (
    <Row>
      <T as="label">{HOLD.hour}</T>
      <Select
        label={HOLD.hour}
        options={hours.map(({ at }) => ({
          value: String(at),
          label: at === worst ? says(HOLD.worst, { at }) : clock(at, reader),
        }))}
        value={String(hour.at)}
        onChange={(value) => choose(Number(value))}
      />
      {Object.keys(tried).length > 0 ? (
        <Button kind="quiet" onPress={back}>
          {HOLD.asForecast}
        </Button>
      ) : null}
    </Row>
  );
}
