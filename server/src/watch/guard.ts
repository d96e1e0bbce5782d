import type { ClockStanding } from '@escale/core/model';
import { MS } from '@escale/core/units';
import type { Clock } from '../clock';

/** What a clock is read from. `mono` counts while the process runs, whatever the wall clock is set to. */
export interface Hands {
  wall(): number;
  mono(): number;
}

export const machineHands: Hands = { wall: () => Date.now(), mono: () => performance.now() };

/** Class *common practice*: what a time service puts right in one step is less than this, a clock set wrong is off by more. */
export const LEAP = 20 * MS.second;
/** So long an alarm is held at most while the clocks of devices are asked. */
export const HOLD = 2 * MS.minute;
/** A device’s own clock is good to this; so much is told to a person as well. */
export const NEAR = 2 * MS.minute;

/** A time service has put a clock right by then: what nobody contradicted for so long is no longer in doubt. */
const SETTLED = MS.day;

/** So many devices are known by their habit. */
const DEVICES = 200;
/** What came due in the span that was leapt over has gone out by then. */
const AGREED = 10 * MS.minute;

/**
 * How our clock stands: as ever; it leapt ahead and devices are asked whether that is so; nobody could say, and we go along; a device
 * says the same; a device says otherwise, and we go on as if it had not leapt; it went back, and we go on as if it had not.
 */
export type Standing = ClockStanding;

/** What a restart has to know of before. */
export interface Remembered {
  /** The latest instant that was trusted, epoch ms. */
  seenAt: number;
  /** A leap that was gone along with unconfirmed, ms; 0 for none. */
  leap: number;
}

/**
 * A clock that does not believe every leap. A machine that was put right by a day, one that woke from sleep and one that was started
 * again after a power cut look the same from inside: the wall clock is ahead of what has been counted. So a leap ahead holds
 * time for two minutes at most while devices are asked, and then time goes on with it, so that no alarm is missed; what a
 * device contradicts is not believed, and that is loud. A leap back is not followed: counted time goes on, unless a device, or the
 * leap ahead that it takes back, speaks for it.
 */
export interface GuardedClock extends Clock {
  standing(): Standing;
  /** How far the wall clock is from the time we go by, ms; 0 when steady. */
  off(): number;
  /**
   * A device tells what its clock shows. One on this machine shows our own clock: that it agrees says nothing.
   * @param sameMachine it asks from this machine
   */
  heard(device: string, shows: number, sameMachine: boolean): void;
  remember(): Remembered;
}

interface Leap {
  /** Counted time at which it was seen. */
  since: number;
  /** What devices said of it: for the wall clock, or for the time that was counted. */
  wall: boolean;
  counted: boolean;
}

/**
 * @param before what was remembered when the process before ended; its gap counts as a leap
 * @param atStake is anything due in that gap? Where nothing is, there is nothing to ask about
 */
export function guardedClock(hands: Hands, before?: Remembered, atStake = true): GuardedClock {
  const start = hands.mono();
  let base = { wall: before?.seenAt ?? hands.wall(), mono: start };
  /** How far the time we go by may be ahead of the true one: a leap that nobody confirmed. */
  let gone = before?.leap ?? 0;
  let goneSince = start;
  let leap: Leap | undefined;
  let agreed = false;
  /** What each device's clock shows beyond ours, while ours was steady. */
  const usual = new Map<string, number>();

  // A gap without anything in it, or no longer than a restart takes, is no leap.
  const gap = hands.wall() - base.wall;
  if (gap > 0 && (gap <= HOLD || !atStake)) base = { wall: hands.wall(), mono: start };

  const accept = (wall: number, mono: number) => {
    base = { wall, mono };
    leap = undefined;
  };

  /** Looks at the hands, and settles what can be settled. */
  const look = (): number => {
    const wall = hands.wall(),
      mono = hands.mono();
    // Whole milliseconds: what is counted is written down as such.
    const counted = Math.round(base.wall + (mono - base.mono));
    const off = wall - counted;
    if (gone > 0 && mono - goneSince > SETTLED) gone = 0;
    if (Math.abs(off) <= LEAP) {
      accept(wall, mono);
      return wall;
    }
    leap ??= { since: mono, wall: false, counted: false };
    // It went back by just what it had leapt ahead unconfirmed: that leap was wrong.
    const takenBack = off < 0 && gone > 0 && Math.abs(off + gone) <= NEAR;
    const silence = !leap.wall && !leap.counted && mono - leap.since >= HOLD;
    if (leap.wall || takenBack || (off > 0 && silence)) {
      agreed = leap.wall;
      gone = off > 0 && !leap.wall ? off : 0;
      goneSince = mono;
      accept(wall, mono);
      return wall;
    }
    return counted;
  };

  return {
    now: look,
    standing: () => {
      look();
      if (leap) {
        if (hands.wall() < base.wall + (hands.mono() - base.mono)) return 'behind';
        return leap.counted ? 'contradicted' : 'asking';
      }
      if (gone > 0) return 'unconfirmed';
      return agreed && hands.mono() - goneSince <= AGREED ? 'agreed' : 'steady';
    },
    off: () => {
      const now = look();
      return leap ? hands.wall() - now : gone;
    },
    heard: (device, shows, sameMachine) => {
      const now = look();
      const wall = hands.wall();
      const habit = usual.get(device) ?? 0;
      const from = (time: number) => Math.abs(shows - time - habit);
      if (leap) {
        const says = from(wall) <= from(now) ? 'wall' : 'counted';
        if (from(says === 'wall' ? wall : now) > NEAR) return;
        if (says === 'wall' && sameMachine) return;
        leap[says] = true;
        look();
        return;
      }
      if (gone > 0 && from(now - gone) < from(now) && from(now - gone) <= NEAR) {
        // What we went along with was wrong after all: back to what had been counted.
        base = { wall: now - gone, mono: hands.mono() };
        gone = 0;
        leap = { since: hands.mono(), wall: false, counted: true };
        return;
      }
      if (sameMachine || from(now) > NEAR) return;
      if (gone > 0) {
        agreed = true;
        goneSince = hands.mono();
      }
      gone = 0;
      usual.delete(device);
      usual.set(device, shows - now);
      // The one that was heard longest ago goes: names cost nothing to make up.
      if (usual.size > DEVICES) usual.delete(usual.keys().next().value!);
    },
    remember: () => ({ seenAt: look(), leap: gone }),
  };
}
