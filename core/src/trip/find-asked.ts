import { INCIDENT_KINDS, type IncidentKind } from '../model/lists';
import type { Finding, Trip } from '../model';
import { phrase } from '../say';
import { goTo } from '../verdict';
import { TRIP } from './limits';

/** What the crew itself found lacking when it was asked what if, before it left: open until it is answered again. */
export function askedFindings({ id, asked }: Pick<Trip, 'id' | 'asked'>): Finding[] {
  return Object.entries(asked ?? {}).flatMap(([incident, said]) => {
    if (said?.answer !== 'lacking') return [];
    const what = INCIDENT_KINDS[incident as IncidentKind];
    return [
      TRIP.finding('asked/lacking', 'lacking', `${id}.${incident}`, {
        title: phrase('asked.title', { what }),
        because: [said.lacks ? phrase('asked.lacks', { lacks: said.lacks }) : phrase('asked.why')],
        mend: { label: phrase('asked.mend'), ...goTo.trip(id, '/asked') },
      }),
    ];
  });
}
