// Clocks that leap: by a minute, an hour and a day, ahead and back, put right soon or contradicted by a phone. An alarm each ten minutes.
import { guardedClock, LEAP } from '../server/src/watch/guard';

const SECOND = 1000,
  MINUTE = 60 * SECOND,
  HOUR = 60 * MINUTE,
  DAY = 24 * HOUR;
/** An alarm may be as late as a leap is held, and as early as a step of the clock that is no leap. */
const LATE = 2 * MINUTE + SECOND;
let scenes = 0,
  early = 0,
  missed = 0;

/** Two days, second by second, with a leap after an hour; who hears the phone hears it each minute. */
function scene(by: number, lasts: number, phone: boolean): void {
  scenes += 1;
  let truth = Date.UTC(2026, 4, 12);
  let mono = 0,
    off = 0;
  const clock = guardedClock({ wall: () => truth + off, mono: () => mono });
  const start = truth;
  for (let next = start + 10 * MINUTE; truth < start + 2 * DAY;) {
    truth += SECOND;
    mono += SECOND;
    if (truth === start + HOUR) off = by;
    if (truth === start + HOUR + lasts) off = 0;
    if (phone && truth % MINUTE === 0) clock.heard('phone', truth + 3000, false);
    if (clock.now() >= next) {
      if (truth < next - LEAP) early += 1;
      next += 10 * MINUTE;
    } else if (truth > next + LATE) {
      missed += 1;
      next += 10 * MINUTE;
    }
  }
}

for (const by of [MINUTE, HOUR, DAY].flatMap((leap) => [leap, -leap])) {
  scene(by, 2 * SECOND, false);
  scene(by, MINUTE, false);
  scene(by, MINUTE, true);
  scene(by, DAY, true);
}
console.log(
  `${scenes} leaps of a clock by ±1 min, ±1 h and ±1 day, put right within a minute or contradicted ` +
    `by a phone: ${early} early, ${missed} missed of ${scenes * 287} alarms`,
);
if (early + missed > 0) process.exitCode = 1;
