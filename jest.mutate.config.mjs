// The tests of rules and kit alone, for the mutation run: nothing that opens a database.
import base from './jest.node.config.mjs';

const { globalSetup: _database, ...rest } = base;
export default { ...rest, roots: ['<rootDir>/core/src/rules', '<rootDir>/core/src/kit'], maxWorkers: 1 };
