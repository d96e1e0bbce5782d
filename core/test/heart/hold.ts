// The tests of what pulls on a boat that is held, and what holds her, as one file.
import '../../src/hold/anchor.test';
import '../../src/hold/drift.test';
import '../../src/hold/find-pole.test';
import '../../src/hold/findings.test';
import '../../src/hold/line.test';
import '../../src/hold/pole.test';
import '../../src/hold/pull.test';
import '../../src/hold/rig.test';
import '../../src/hold/side.test';
