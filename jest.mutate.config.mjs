// The tests of rules and kit alone, for the mutation run: one file that imports them all, and nothing that opens a database.
import base from './jest.node.config.mjs';

const { globalSetup: _database, ...rest } = base;
export default { ...rest, roots: ['<rootDir>/core/test'], testMatch: ['**/heart.ts'], maxWorkers: 1 };
