// The floors of core, from the ground up, and the doors between the rooms. A room imports only from rooms that stand earlier in the list.
const FLOORS = [
  'numeric',
  'units',
  'model',
  'sources',
  'say',
  'verdict',
  'earth',
  'water',
  'boat',
  'body',
  'passage',
  'signals',
  'rules',
  'kit',
  'hold',
  'recover',
  'ramp',
  'procedure',
  'floatplan',
  'formats',
  'logbook',
  'trip',
  'whatif',
];
const source = '(?<!\\.test)\\.tsx?$';

const floors = FLOORS.map((room, i) => ({
  name: `floor-${room}`,
  severity: 'error',
  comment: `${room} may lean only on what stands below it.`,
  from: { path: `^core/src/${room}/.*${source}`, pathNot: '\\.test\\.ts$' },
  to: {
    path: '^core/src/',
    pathNot: `^core/src/(${FLOORS.slice(0, i + 1).join('|')})/`,
    dependencyTypesNot: ['type-only'],
  },
}));

// The floors of the server, from the ground up. Only `api` knows HTTP; what starts a process stands on top of all.
const SERVER = [
  '(clock|principal|refusal|services|stable-json)\\.ts$',
  'db/',
  '(once|log|tries)\\.ts$',
  'door/',
  'standins/',
  'reckon/',
  'things/',
  'messages/',
  'plans/',
  'erase/',
  'exchange/',
  'backup/',
  'watch/',
  'demo/',
  'api/',
  'cli/',
  'main\\.ts$',
];
const serverFloors = SERVER.map((room, i) => ({
  name: `server-floor-${room.replace(/\W/g, '')}`,
  severity: 'error',
  comment: `${room} may lean only on what stands below it.`,
  from: { path: `^server/src/${room}`, pathNot: '\\.test\\.ts$' },
  to: {
    path: '^server/src/',
    pathNot: `^server/src/(${SERVER.slice(0, i + 1).join('|')})`,
    dependencyTypesNot: ['type-only'],
  },
}));

module.exports = {
  forbidden: [
    ...floors,
    ...serverFloors,
    {
      name: 'http-stays-in-api',
      severity: 'error',
      comment: 'What the server does, it does without HTTP.',
      from: { path: '^server/src/(?!api/|main\\.ts)', pathNot: '\\.test\\.ts$' },
      to: { path: 'node_modules/(express|helmet|compression|cookie-parser|pino-http|express-rate-limit)/' },
    },
    {
      name: 'no-circles',
      severity: 'error',
      from: { pathNot: '\\.test\\.tsx?$' },
      to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } },
    },
    {
      name: 'core-stands-alone',
      severity: 'error',
      from: { path: '^core/src', pathNot: '\\.test\\.ts$' },
      to: { path: '^(app|server|e2e)/' },
    },
    {
      name: 'core-does-no-io',
      severity: 'error',
      from: { path: '^core/src', pathNot: '\\.test\\.ts$' },
      to: { dependencyTypes: ['core'] },
    },
    {
      name: 'rooms-take-types-only',
      severity: 'error',
      comment: 'Only edges import schemas, so that a worker carries no validator.',
      from: { path: '^core/src/(?!model|formats)', pathNot: '\\.test\\.ts$' },
      to: { path: '^core/src/model/(?!lists)', dependencyTypesNot: ['type-only'] },
    },
    {
      name: 'app-and-server-meet-in-core',
      severity: 'error',
      from: { path: '^app/' },
      to: { path: '^server/' },
    },
    { name: 'server-knows-no-app', severity: 'error', from: { path: '^server/' }, to: { path: '^app/' } },
    {
      name: 'routes-are-thin',
      severity: 'error',
      comment: 'A route takes its screen from features.',
      from: { path: '^app/app/' },
      to: { path: '^core/' },
    },
    {
      name: 'worker-is-light',
      severity: 'error',
      from: { path: '^app/workers/' },
      to: { path: '^app/(ui|features)/' },
    },
  ],
  options: {
    tsPreCompilationDeps: 'specify',
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(node_modules|dist|\\.expo)' },
    tsConfig: { fileName: 'tsconfig.cruise.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default', 'types'],
    },
    moduleSystems: ['es6', 'cjs'],
  },
};
