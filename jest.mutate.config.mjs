// The tests of one room alone, for the mutation run: one file that imports them all, and nothing that opens a database.
import base from './jest.node.config.mjs';

const { globalSetup: _database, ...rest } = base;
const room = process.env.ROOM ?? '*';
export default { ...rest, roots: ['<rootDir>/core/test/heart'], testMatch: [`**/${room}.ts`], maxWorkers: 1 };
