import { CATALOGUE } from '@escale/core/kit';
import type { GearKind, ThingType } from '@escale/core/model';

/** Some fields of a form that belong together. */
export interface Group {
  /** Absent for what is asked first, in sight; the others are a row that opens. */
  title?: string;
  fields: readonly string[];
}

/** What a form knows of its thing when it decides what to ask. */
export type Doc = Readonly<Record<string, unknown>>;

const MOTORED: ReadonlySet<unknown> = new Set(['inflatable', 'skiff', 'trailer-boat', 'personal-watercraft']);
const MOTORS: ReadonlySet<unknown> = new Set(['outboard', 'inboard', 'electric']);
/** Craft that travel on a trailer. */
const TRAILED: ReadonlySet<unknown> = new Set([
  'inflatable',
  'skiff',
  'trailer-boat',
  'personal-watercraft',
  'catamaran',
  'raft',
]);

/** Craft that air holds up. */
const BLOWN_UP: ReadonlySet<unknown> = new Set(['inflatable', 'raft', 'paddleboard']);

const driven = ({ kind, propulsion }: Doc) =>
  MOTORED.has(kind) ||
  (Array.isArray(propulsion) && propulsion.some((p: { kind?: unknown }) => MOTORS.has(p.kind)));

/** Is she driven by this? */
const moves = ({ propulsion }: Doc, by: string) =>
  Array.isArray(propulsion) && propulsion.some((p: { kind?: unknown }) => p.kind === by);
const pedalled = (doc: Doc) => moves(doc, 'pedals');

const sailed = (doc: Doc) => doc.kind === 'catamaran' || moves(doc, 'sail');

function boatGroups(doc: Doc): Group[] {
  const motor = driven(doc);
  return [
    {
      fields: [
        'name',
        'kind',
        'length',
        'beam',
        'mass',
        'seats',
        ...(motor ? ['plate'] : ['advisedLoad']),
        'propulsion',
      ],
    },
    {
      title: 'Her hull, and what keeps her up',
      fields: [
        'depth',
        'draught',
        'freeboard',
        'bottom',
        'material',
        'cabin',
        'flotation',
        'reserve',
        'openings',
        'foreDry',
        'headSea',
        'rudder',
        ...(pedalled(doc) ? ['driveOut'] : []),
      ],
    },
    ...(BLOWN_UP.has(doc.kind) ? [{ title: 'Her tubes', fields: ['airTest'] }] : []),
    ...(motor
      ? [
          {
            title: 'Motor and fuel',
            fields: [
              'fuelTank',
              'closedSpaces',
              'appliance',
              'cutOffSwitch',
              'controls',
              'maxSpeed',
              'meter',
              'transom',
              'transomWidth',
            ],
          },
        ]
      : []),
    ...(sailed(doc) ? [{ title: 'Rig', fields: ['rig', 'trapeze'] }] : []),
    ...(TRAILED.has(doc.kind) ? [{ title: 'On the road', fields: ['trailer'] }] : []),
    { title: 'Papers', fields: ['papers'] },
    {
      title: 'How she is known',
      fields: ['hullColour', 'deckColour', 'marks', 'modelYear', ...(motor ? ['advisedLoad'] : []), 'damage'],
    },
  ];
}

/** What of a thing decides whether it counts, by what its kind says of itself. */
const DECIDES: { says: (kind: GearKind) => boolean; fields: string[] }[] = [
  { says: (k) => k.sized === true, fields: ['minMass', 'maxMass', 'minAge', 'approval'] },
  { says: (k) => k.cylinder === true, fields: ['cylinder', 'trigger', 'rearmBy', 'wornToCount'] },
  { says: (k) => k.dated === true, fields: ['expires'] },
  { says: (k) => k.lastsMonths !== undefined, fields: ['made'] },
  { says: (k) => k.charged !== undefined, fields: ['charge', 'lasts'] },
  {
    says: (k) => k.grounds === true,
    fields: ['anchor', 'weighs', 'line', 'lineOf', 'chain', 'release', 'float'],
  },
  { says: (k) => k.poled === true, fields: ['long', 'thick', 'poleOf', 'release'] },
  { says: (k) => k.drags === true, fields: ['across'] },
  { says: (k) => k.lined === true, fields: ['line'] },
  { says: (k) => k.registered === true, fields: ['registered'] },
  { says: (k) => k.numbered !== undefined, fields: ['identity'] },
  { says: (k) => k.marked === true, fields: ['marks'] },
  { says: (k) => k.cased === true, fields: ['cased'] },
  { says: (k) => k.filled === true, fields: ['holds', 'filledOn'] },
];
const LABEL = ['approval', 'made', 'expires', 'inspected', 'everyMonths'];
const JACKET = ['colour', 'buoyancy', 'crotch', 'headUp', 'paddleCut', 'floatedIn', 'hardUse', 'wornToCount'];
const GROUND = ['lineThick', 'chainThick'];
const BELONGS = ['on', 'fittedTo', 'owner', 'tether', 'lentTo', 'lentOn', 'backBy', 'borrowedFrom'];

function gearGroups({ kind: id }: Doc): Group[] {
  const kind = CATALOGUE.kinds.find((k) => k.id === id);
  const first = [
    'kind',
    'name',
    'count',
    'stowage',
    'state',
    ...(kind ? DECIDES.filter((d) => d.says(kind)).flatMap((d) => d.fields) : []),
  ];
  const rest = (fields: string[]) => fields.filter((f) => !first.includes(f));
  return [
    { fields: [...new Set(first)] },
    {
      title: 'Label and tests',
      fields: rest([...LABEL, ...(kind?.sized ? JACKET : []), ...(kind?.grounds ? GROUND : [])]),
    },
    { title: 'Where it belongs', fields: BELONGS },
  ];
}

/** What is asked of a place, by what it is. */
const PLACE: Readonly<Record<string, readonly string[]>> = {
  launch: ['launchFrom', 'shore', 'works', 'jetty', 'surface'],
  haven: ['shore', 'works'],
  hazard: ['hazard', 'reach'],
  ground: ['seabed', 'depth'],
};
/** Of a hazard that one passes under. */
const OVERHEAD: ReadonlySet<unknown> = new Set(['overhead-line', 'bridge']);

const GROUPS: Partial<Record<ThingType, (doc: Doc) => Group[]>> = {
  boat: boatGroups,
  gear: gearGroups,
  person: () => [
    { fields: ['name', 'born', 'mass', 'swimming', 'phone'] },
    { title: 'On the water', fields: ['inWater', 'height', 'drives', 'weakArm', 'skills'] },
    { title: 'For whoever helps', fields: ['medical', 'medicalFor'] },
    { title: 'On their screen', fields: ['units'] },
  ],
  place: ({ kind, hazard }) => [
    {
      fields: [
        'name',
        'kind',
        'position',
        'water',
        ...(PLACE[String(kind)] ?? []),
        ...(OVERHEAD.has(hazard) ? ['clearance'] : []),
      ],
    },
    ...(kind === 'launch' ? [{ title: 'How it falls', fields: ['slope', 'foot', 'faces'] }] : []),
    { title: 'Rules of the place', fields: ['byLaws', 'rules', 'confirmed'] },
  ],
  water: ({ class: kind, rapids }) => [
    {
      fields: [
        'name',
        'class',
        'zone',
        'rescueNumber',
        'rescueName',
        'rescueConfirmed',
        'help',
        'numbers',
        ...(kind === 'river' ? ['rapids', ...(rapids === true ? ['grade'] : []), 'stage'] : []),
      ],
    },
    { title: 'Fishing', fields: ['catchLimits'] },
  ],
};

const said = (value: unknown) =>
  value !== undefined && value !== '' && !(Array.isArray(value) && value.length === 0);

/**
 * The fields of a form in the order in which they are asked, by what kind of thing it is. What its kind has no use for is left
 * out, unless something was said there: nothing that was said is ever out of reach.
 * @param all every field the form could show
 */
export function groupsOf(type: ThingType, doc: Doc, all: readonly string[]): Group[] {
  const groups = GROUPS[type]?.(doc) ?? [{ fields: all }];
  const placed = new Set(groups.flatMap((g) => g.fields));
  const besides = all.filter((f) => !placed.has(f) && said(doc[f]));
  return [
    ...groups.map((g) => ({ ...g, fields: g.fields.filter((f) => all.includes(f)) })),
    { title: 'Said besides', fields: besides },
  ].filter((g) => g.fields.length > 0);
}

/** How many of some fields were answered. */
export const saidOf = (doc: Doc, fields: readonly string[]): number =>
  fields.filter((f) => said(doc[f])).length;
