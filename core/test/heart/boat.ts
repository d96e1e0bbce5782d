// The tests of boats as one file.
import '../../src/boat/boat.test';
import '../../src/boat/float.test';
import '../../src/boat/flood.test';
import '../../src/boat/swamp.test';
