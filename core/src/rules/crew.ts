import crew from '../../data/rules/crew.json';
import type { CrewRow } from '../model';

/** What practice asks of a crew: conditions as in packs. */
export const CREW = crew as unknown as CrewRow[];
