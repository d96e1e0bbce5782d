import { useState } from 'react';
import { View } from 'react-native';
import { isMotor } from '@escale/core/boat';
import { format, type Quantity } from '@escale/core/units';
import { Button, Row } from '../../ui/button';
import { Fold } from '../../ui/fold';
import { Slider } from '../../ui/slider';
import { T } from '../../ui/text';
import { useTrip } from '../trip/use-trip';
import { keep, set, type OfDebrief } from './keep';
import { DEBRIEF } from './words';

/** What a tank holds that nobody measured, m³: the scale is drawn on where more was aboard. */
const SCALE = 0.04;

/** Fuel or battery used, where a motor drives her. */
export function Fuel({ held }: OfDebrief) {
  const { shed, trip } = useTrip();
  const boat = shed.boats.find(({ id }) => id === held.doc.boat);
  const motor = boat?.propulsion.find(({ kind }) => isMotor(kind));
  if (!motor) return null;
  if (motor.kind === 'electric')
    return <Used held={held} name="charge" title={DEBRIEF.battery} quantity="percent" most={1} step={0.05} />;
  const aboard = trip.fuel ?? motor.tank;
  return (
    <Used
      held={held}
      name="fuel"
      title={DEBRIEF.fuel}
      quantity="volume"
      most={aboard ?? SCALE}
      step={5e-4}
      aboard={aboard}
    />
  );
}

function Used({
  held,
  name,
  title,
  quantity,
  most,
  step,
  aboard,
}: OfDebrief & {
  name: 'fuel' | 'charge';
  title: string;
  quantity: Quantity;
  most: number;
  step: number;
  aboard?: number | undefined;
}) {
  const { reader, says } = useTrip();
  const value = held.doc[name];
  const [draft, setDraft] = useState<number>();
  const said = draft ?? value;
  const words = (of: number) => format(of, quantity, reader.units);
  const leave = () => {
    if (draft !== undefined && draft !== value) keep(held, set(`/${name}`, draft));
    setDraft(undefined);
  };
  return (
    <Fold title={title} note={value === undefined ? DEBRIEF.unsaid : words(value)}>
      <View style={{ gap: 6, paddingTop: 10 }}>
        <Slider
          label={title}
          said={said === undefined ? DEBRIEF.unsaid : words(said)}
          value={said ?? 0}
          from={0}
          until={Math.max(most, value ?? 0)}
          step={step}
          onChange={setDraft}
          onLeave={leave}
        />
        {aboard === undefined ? null : <T as="soft">{says(DEBRIEF.usedMost, { most: aboard })}</T>}
        {value === undefined ? null : (
          <Row>
            <Button
              kind="quiet"
              label={says(DEBRIEF.unsayOf, { label: title })}
              onPress={() => keep(held, set(`/${name}`, undefined))}
            >
              {DEBRIEF.unsay}
            </Button>
          </Row>
        )}
      </View>
    </Fold>
  );
}
