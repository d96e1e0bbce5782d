// The tests of procedures as one file.
import '../../src/procedure/procedure.test';
