// The tests of rules as one file, with those of a trip that read what its crew is told.
import '../../src/rules/differential.test';
import '../../src/rules/edges.test';
import '../../src/rules/evaluate.test';
import '../../src/rules/library.test';
import '../../src/rules/packs.test';
import '../../src/rules/tables.test';
import '../../src/rules/titles.test';
import '../../src/rules/words.test';
import '../../src/trip/crew.test';
import '../../src/trip/people.test';
import '../../src/trip/trip.test';
import '../../src/rules/gate.test';
