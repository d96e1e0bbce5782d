import capsizeSitOnTop from '../../data/procedure/capsize-sit-on-top.json';
import handLand from '../../data/procedure/hand-land.json';
import handLaunch from '../../data/procedure/hand-launch.json';
import type { ProcedureRow } from '../model';

/** The procedures that ship with Escale, one file each in `core/data/procedure`. */
export const PROCEDURES = [handLaunch, capsizeSitOnTop, handLand] as unknown as ProcedureRow[];
