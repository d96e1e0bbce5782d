import beachLaunch from '../../data/procedure/beach-launch.json';
import beachRetrieve from '../../data/procedure/beach-retrieve.json';
import capsizeSitOnTop from '../../data/procedure/capsize-sit-on-top.json';
import catamaranLand from '../../data/procedure/catamaran-land.json';
import catamaranLaunch from '../../data/procedure/catamaran-launch.json';
import handLand from '../../data/procedure/hand-land.json';
import handLaunch from '../../data/procedure/hand-launch.json';
import jettyCome from '../../data/procedure/jetty-come.json';
import jettyLeave from '../../data/procedure/jetty-leave.json';
import raftLand from '../../data/procedure/raft-land.json';
import raftLaunch from '../../data/procedure/raft-launch.json';
import rampLaunch from '../../data/procedure/ramp-launch.json';
import rampRetrieve from '../../data/procedure/ramp-retrieve.json';
import type { ProcedureRow } from '../model';

/** The procedures that ship with Escale, one file each in `core/data/procedure`, in the order in which they are offered. */
export const PROCEDURES = [
  handLaunch,
  rampLaunch,
  beachLaunch,
  jettyLeave,
  catamaranLaunch,
  raftLaunch,
  capsizeSitOnTop,
  handLand,
  rampRetrieve,
  beachRetrieve,
  jettyCome,
  catamaranLand,
  raftLand,
] as unknown as ProcedureRow[];
