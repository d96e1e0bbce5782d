// The tests of a trip that read what a boat finds, as one file.
import '../../src/trip/afloat.test';
import '../../src/trip/people.test';
