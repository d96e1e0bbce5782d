import { View } from 'react-native';
import { civilDate, plusDays } from '@escale/core/earth';
import { Choice } from '../../ui/choice';
import { Moment } from '../../ui/moment';
import { T } from '../../ui/text';
import { useNow } from '../../data/hooks';
import { plainly } from '../../data/settings';
import type { Asking } from './ask';
import { ASK_WHEN } from './words';

const HOURS = [1, 2, 3, 4, 6, 8];
const MINUTE = 60_000;

/** The day, the hour and how long. */
export function AskWhen({ draft, put }: Asking) {
  const now = useNow(MINUTE);
  const { when } = draft;
  const set = (next: Partial<typeof when>) => put({ ...draft, when: { ...when, ...next } });
  const today = civilDate(now, Intl.DateTimeFormat().resolvedOptions().timeZone);
  const tomorrow = plusDays(today, 1);
  const near = when.date === today || when.date === tomorrow;
  return (
    <View style={{ gap: 14 }}>
      <Choice
        label={ASK_WHEN.day}
        options={[
          { value: today, label: ASK_WHEN.today },
          { value: tomorrow, label: ASK_WHEN.tomorrow },
          { value: 'other', label: ASK_WHEN.other },
        ]}
        value={when.date === undefined ? undefined : near ? when.date : 'other'}
        onChange={(date) => set({ date: date === 'other' ? plusDays(today, 2) : date })}
      />
      {when.date !== undefined && !near ? (
        <Moment kind="date" label={ASK_WHEN.date} value={when.date} onChange={(date) => set({ date })} />
      ) : null}
      <View style={{ gap: 4 }}>
        <T as="label">{ASK_WHEN.time}</T>
        <Moment kind="time" label={ASK_WHEN.time} value={when.time} onChange={(time) => set({ time })} />
      </View>
      <View style={{ gap: 4 }}>
        <T as="label">{ASK_WHEN.hours}</T>
        <Choice
          label={ASK_WHEN.hours}
          options={HOURS.map((n) => ({ value: String(n), label: plainly(ASK_WHEN.hour, { n }) }))}
          value={when.hours === undefined ? undefined : String(when.hours)}
          onChange={(hours) => hours && set({ hours: Number(hours) })}
        />
        <T as="small">{ASK_WHEN.about}</T>
      </View>
    </View>
  );
}
