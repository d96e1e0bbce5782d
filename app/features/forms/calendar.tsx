import { useState } from 'react';
import { DatePickerModal, enGB, registerTranslation, TimePickerModal } from 'react-native-paper-dates';
import { Button } from '../../ui/button';
import { FORM } from './words';
import { plainly } from '../../data/settings';

registerTranslation('en-GB', enGB);

const two = (n: number) => String(n).padStart(2, '0');
const dayOf = (date: Date) => `${date.getFullYear()}-${two(date.getMonth() + 1)}-${two(date.getDate())}`;

/** The button that opens a calendar or a clock. A civil date has no zone: the picker's local midnight is only its carrier. */
export default function Calendar({
  label,
  time,
  value,
  onPick,
}: {
  label: string;
  time: boolean;
  value: string;
  onPick: (value: string) => void;
}) {
  const [open, setOpen] = useState(false);
  const close = () => setOpen(false);
  const [h, m] = /^\d\d:\d\d$/.test(value) ? value.split(':').map(Number) : [6, 0];
  const date = /^\d{4}-\d\d-\d\d$/.test(value) ? new Date(`${value}T00:00:00`) : undefined;
  return (
    <>
      <Button label={plainly(FORM.pick, { label })} onPress={() => setOpen(true)}>
        Pick
      </Button>
      {time ? (
        <TimePickerModal
          locale="en-GB"
          visible={open}
          use24HourClock
          onDismiss={close}
          hours={h}
          minutes={m}
          onConfirm={({ hours, minutes }) => {
            close();
            onPick(`${two(hours)}:${two(minutes)}`);
          }}
        />
      ) : (
        <DatePickerModal
          locale="en-GB"
          mode="single"
          visible={open}
          onDismiss={close}
          date={date}
          onConfirm={({ date: picked }) => {
            close();
            if (picked) onPick(dayOf(picked));
          }}
        />
      )}
    </>
  );
}
