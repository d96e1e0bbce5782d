import { useState } from 'react';
import { View } from 'react-native';
import type { PlanView } from '@escale/core/model';
import { askFile } from '../../data/api';
import { Button, Row } from '../../ui/button';
import { save } from '../../ui/save';
import { T } from '../../ui/text';
import { CALENDAR, PAPERS } from './words';

const KINDS = ['pdf', 'txt', 'gpx', 'geojson'] as const;
const TYPES = {
  pdf: 'application/pdf',
  txt: 'text/plain',
  gpx: 'application/gpx+xml',
  geojson: 'application/geo+json',
} as const;

/** The plan as files, for whoever is rung. The calendar is made here; the others by the server, of what was filed. */
export function Papers({ plan, now }: { plan: PlanView; now: number }) {
  const [said, setSaid] = useState<string>();
  const take = async (kind: (typeof KINDS)[number]) => {
    try {
      save(`float-plan.${kind}`, TYPES[kind], await askFile(`/api/plans/${plan.id}/paper/${kind}`));
      setSaid(undefined);
    } catch {
      setSaid(PAPERS.failed);
    }
  };
  return (
    <View style={{ gap: 4 }}>
      <T as="section" heading={2}>
        {PAPERS.title}
      </T>
      <Row>
        {KINDS.map((kind) => (
          <Button key={kind} onPress={() => void take(kind)}>
            {PAPERS[kind]}
          </Button>
        ))}
        <Button onPress={() => void calendarOf(plan, now)}>{CALENDAR.button}</Button>
      </Row>
      <T as="small">{CALENDAR.why}</T>
      {said ? <T role="status">{said}</T> : null}
    </View>
  );
}

/** The calendar's writer is loaded when it is asked for. */
async function calendarOf(plan: PlanView, now: number): Promise<void> {
  const { planCalendar } = await import('@escale/core/formats/calendar');
  save('escale-plan.ics', 'text/calendar', planCalendar(plan, now));
}
