import incidents from '../../data/whatif/incidents.json';
import { drives } from '../boat';
import type { IncidentKind } from '../model/lists';
import type { IncidentData, IncidentRow, MeasureRow } from '../model';
import type { Context } from '../trip/context';

const DATA = incidents as unknown as IncidentData;
export const INCIDENTS: readonly IncidentRow[] = DATA.rows;
export const MEASURES: readonly MeasureRow[] = DATA.measures;

/** What goes wrong, with what has to be said of it. */
export interface Incident {
  id: IncidentKind;
  /** Through which of her openings, by its place in her list; absent: through the worst of them. */
  opening?: number;
}

/** What decides which of them a trip can meet. */
type Asked = Pick<Context, 'boat' | 'trip'>;
type Asks = Record<IncidentRow['needs'], (asked: Asked) => boolean>;

const powered = ({ boat }: Asked): boolean => boat !== undefined && drives(boat).motor === true;
const together = ({ trip }: Asked): number =>
  (trip.company ?? []).reduce((sum, { people }) => sum + people.length, trip.crew.length);

/** Of whom an incident can be asked. */
const ASKS: Asks = {
  any: () => true,
  motor: powered,
  arms: (asked) => asked.boat !== undefined && !powered(asked),
  opening: ({ boat }) => (boat?.openings.length ?? 0) > 0,
  crew: ({ trip }) => trip.crew.length > 1,
  // In a boat that a motor drives nobody has to go on by their own strength.
  company: (asked) => together(asked) > (powered(asked) ? asked.trip.crew.length : 1),
};

/** The incidents that this boat and crew can meet. */
export const incidentsFor = (asked: Asked): IncidentRow[] =>
  INCIDENTS.filter(({ needs }) => ASKS[needs](asked));

/** @throws RangeError for one that nobody knows */
export function incidentRow(id: IncidentKind): IncidentRow {
  const row = INCIDENTS.find((each) => each.id === id);
  if (!row) throw new RangeError(`no incident is called ${id}`);
  return row;
}
