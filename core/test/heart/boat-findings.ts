// The tests of a trip that read what a boat finds, as one file.
import '../../src/trip/boats.test';
import '../../src/trip/people.test';
import '../../src/trip/trip.test';
