// The tests of kit as one file: what they all read is then loaded once a mutant, not eight times.
import '../../src/kit/count.test';
import '../../src/kit/cover.test';
import '../../src/kit/findings.test';
import '../../src/kit/jackets.test';
import '../../src/kit/kit.test';
import '../../src/kit/match.test';
import '../../src/kit/requirement.test';
import '../../src/kit/round.test';
