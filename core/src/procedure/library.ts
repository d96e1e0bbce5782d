import abandon from '../../data/procedure/abandon.json';
import aground from '../../data/procedure/aground.json';
import anchorBack from '../../data/procedure/anchor-back.json';
import anchorDrop from '../../data/procedure/anchor-drop.json';
import anchorFoul from '../../data/procedure/anchor-foul.json';
import anchorLetGo from '../../data/procedure/anchor-let-go.json';
import anchorSetSmall from '../../data/procedure/anchor-set-small.json';
import anchorSet from '../../data/procedure/anchor-set.json';
import anchorWeigh from '../../data/procedure/anchor-weigh.json';
import beachLaunch from '../../data/procedure/beach-launch.json';
import beachRetrieve from '../../data/procedure/beach-retrieve.json';
import bleeding from '../../data/procedure/bleeding.json';
import capsizeCanoe from '../../data/procedure/capsize-canoe.json';
import capsizeCatamaran from '../../data/procedure/capsize-catamaran.json';
import capsizePaddleboard from '../../data/procedure/capsize-paddleboard.json';
import capsizeRaft from '../../data/procedure/capsize-raft.json';
import capsizeSitInside from '../../data/procedure/capsize-sit-inside.json';
import capsizeSitOnTop from '../../data/procedure/capsize-sit-on-top.json';
import capsizeWatercraft from '../../data/procedure/capsize-watercraft.json';
import carbonMonoxide from '../../data/procedure/carbon-monoxide.json';
import catamaranLand from '../../data/procedure/catamaran-land.json';
import catamaranLaunch from '../../data/procedure/catamaran-launch.json';
import cold from '../../data/procedure/cold.json';
import driverGone from '../../data/procedure/driver-gone.json';
import drowning from '../../data/procedure/drowning.json';
import engineDead from '../../data/procedure/engine-dead.json';
import exhausted from '../../data/procedure/exhausted.json';
import fire from '../../data/procedure/fire.json';
import fishLand from '../../data/procedure/fish-land.json';
import fishPlay from '../../data/procedure/fish-play.json';
import fog from '../../data/procedure/fog.json';
import haltArrive from '../../data/procedure/halt-arrive.json';
import haltLeave from '../../data/procedure/halt-leave.json';
import handLand from '../../data/procedure/hand-land.json';
import handLaunch from '../../data/procedure/hand-launch.json';
import hookInHand from '../../data/procedure/hook-in-hand.json';
import jettyCome from '../../data/procedure/jetty-come.json';
import jettyLeave from '../../data/procedure/jetty-leave.json';
import lightning from '../../data/procedure/lightning.json';
import lost from '../../data/procedure/lost.json';
import mastDown from '../../data/procedure/mast-down.json';
import noWind from '../../data/procedure/no-wind.json';
import overboard from '../../data/procedure/overboard.json';
import paddleLost from '../../data/procedure/paddle-lost.json';
import poleOut from '../../data/procedure/pole-out.json';
import raftLand from '../../data/procedure/raft-land.json';
import raftLaunch from '../../data/procedure/raft-launch.json';
import rampLaunch from '../../data/procedure/ramp-launch.json';
import rampRetrieve from '../../data/procedure/ramp-retrieve.json';
import riverRising from '../../data/procedure/river-rising.json';
import seaAnchor from '../../data/procedure/sea-anchor.json';
import somebodyElse from '../../data/procedure/somebody-else.json';
import strainer from '../../data/procedure/strainer.json';
import swamped from '../../data/procedure/swamped.json';
import swimmerRaft from '../../data/procedure/swimmer-raft.json';
import takingOnWater from '../../data/procedure/taking-on-water.json';
import towGive from '../../data/procedure/tow-give.json';
import towTake from '../../data/procedure/tow-take.json';
import weir from '../../data/procedure/weir.json';
import type { ProcedureRow } from '../model';

/** The procedures that ship with Escale, one file each in `core/data/procedure`, in the order in which they are offered. */
export const PROCEDURES = [
  // Into the water.
  handLaunch,
  rampLaunch,
  beachLaunch,
  jettyLeave,
  catamaranLaunch,
  raftLaunch,
  // Held in a place.
  anchorSet,
  anchorSetSmall,
  anchorLetGo,
  anchorBack,
  anchorWeigh,
  anchorFoul,
  anchorDrop,
  poleOut,
  seaAnchor,
  // Over, full or in the water: whichever craft.
  capsizeSitOnTop,
  capsizeSitInside,
  capsizeCanoe,
  capsizePaddleboard,
  capsizeCatamaran,
  capsizeRaft,
  swimmerRaft,
  capsizeWatercraft,
  swamped,
  overboard,
  driverGone,
  abandon,
  // What else goes wrong: the worst first.
  takingOnWater,
  engineDead,
  fire,
  carbonMonoxide,
  cold,
  drowning,
  somebodyElse,
  lightning,
  fog,
  lost,
  hookInHand,
  bleeding,
  exhausted,
  paddleLost,
  mastDown,
  noWind,
  towTake,
  towGive,
  weir,
  strainer,
  aground,
  riverRising,
  // Fish.
  fishPlay,
  fishLand,
  // Out of the water.
  handLand,
  rampRetrieve,
  beachRetrieve,
  jettyCome,
  catamaranLand,
  raftLand,
  // Twenty seconds at each halt.
  haltArrive,
  haltLeave,
] as unknown as ProcedureRow[];
