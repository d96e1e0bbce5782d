import * as z from 'zod';
import { Bundle, Conditions, FileRequest, Photo, PlanDeed, RulePack, THINGS } from '@escale/core/model';
import { Command } from '../things/command';
import { Tick } from '../things/tick';

/** JSON Schema 2020-12, which OpenAPI 3.1 takes as it is. What comes in is described, so defaults are not asked for. */
const schemaOf = (schema: z.ZodType) => {
  const { $schema: _dialect, ...rest } = z.toJSONSchema(schema, {
    io: 'input',
    unrepresentable: 'any',
  }) as Record<string, unknown>;
  return rest;
};

const COMPONENTS = {
  ...Object.fromEntries(
    Object.entries(THINGS).map(([type, schema]) => [`${type[0].toUpperCase()}${type.slice(1)}`, schema]),
  ),
  Bundle,
  Command,
  Conditions,
  FileRequest,
  Photo,
  PlanDeed,
  RulePack,
  Tick,
  Problem: z.strictObject({
    type: z.string(),
    title: z.string(),
    status: z.number().int(),
    faults: z.array(z.string()).optional(),
  }),
} satisfies Record<string, z.ZodType>;

const json = (name: keyof typeof COMPONENTS | string) => ({
  'application/json': {
    schema: name in COMPONENTS ? { $ref: `#/components/schemas/${name}` } : { type: 'object' },
  },
});
const problem = {
  description: 'It can’t be done; `faults` says what a person can act on.',
  content: { 'application/problem+json': { schema: { $ref: '#/components/schemas/Problem' } } },
};
const answer = (description: string, body = 'object') => ({
  responses: { '200': { description, content: json(body) }, default: problem },
});
const takes = (body: string) => ({ requestBody: { required: true, content: json(body) } });
const path = (...names: string[]) => ({
  parameters: names.map((name) => ({ name, in: 'path', required: true, schema: { type: 'string' } })),
});
const query = (...names: string[]) => ({
  parameters: names.map((name) => ({ name, in: 'query', required: false, schema: { type: 'string' } })),
});

/** Every route of the API. A test walks the router and finds each of its routes here. */
const PATHS: Record<string, Record<string, object>> = {
  '/api/health': {
    get: {
      summary: 'How the watch is; 503 when something of it is red.',
      ...answer('Last sweep, oldest due and untold, set aside, clock, disk.'),
    },
  },
  '/api/watch': {
    get: { summary: 'The same, read as it is, with what was set aside.', ...answer('How the watch is.') },
  },
  '/api/watch/again': {
    post: { summary: 'Try what was set aside again, now.', ...takes('object'), ...answer('Done.') },
  },
  '/api/backup': {
    post: {
      summary: 'Copy the whole memory, among its rolling copies.',
      ...takes('object'),
      ...answer('What was copied.'),
    },
  },
  '/api/verify': {
    get: { summary: 'Does every record hold together?', ...answer('Counts, and what is broken.') },
  },
  '/api/clock': {
    post: {
      summary: 'Set a simulated clock; a server that keeps real time has none.',
      ...takes('object'),
      ...answer('The time now.'),
    },
  },
  '/api/door/address': {
    post: {
      summary: 'An address that lets one browser in, once.',
      ...takes('object'),
      ...answer('The address.'),
    },
  },
  '/api/door/lock': {
    post: { summary: 'Another key: every browser is put out.', ...takes('object'), ...answer('Done.') },
  },
  '/api/openapi.json': { get: { summary: 'This description.', ...answer('OpenAPI 3.1.') } },
  '/api/things': {
    get: {
      summary: 'Everything the household owns and plans.',
      ...query('device'),
      ...answer('Things with their versions, and which of the device’s commands they hold.'),
    },
  },
  '/api/commands': {
    post: {
      summary: 'Write: done once by its id.',
      ...takes('Command'),
      ...answer('The thing as it is now, and what other devices had changed in it meanwhile.'),
    },
  },
  '/api/photos': {
    post: {
      summary: 'Keep a photo by its hash; sent twice, kept once.',
      ...takes('Photo'),
      ...answer('Its hash.'),
    },
  },
  '/api/photos/{hash}': {
    get: { summary: 'A photo.', ...path('hash'), ...answer('The photo.', 'Photo') },
  },
  '/api/ticks/{list}': {
    get: {
      summary: 'What is ticked on a list.',
      ...path('list'),
      ...answer('Keys, and when each was ticked.'),
    },
  },
  '/api/ticks': {
    post: { summary: 'Tick or untick; the latest word holds.', ...takes('Tick'), ...answer('The tick.') },
  },
  '/api/export': { get: { summary: 'The whole memory as a bundle.', ...answer('A bundle.', 'Bundle') } },
  '/api/import/preview': {
    post: {
      summary: 'What taking in a bundle would add and change, before anything is.',
      ...takes('Bundle'),
      ...answer('The changes, contacts first.'),
    },
  },
  '/api/import': {
    post: { summary: 'Take a bundle in, whole or not at all.', ...takes('Bundle'), ...answer('Counts.') },
  },
  '/api/conditions/{trip}': {
    get: {
      summary: 'Weather for a trip’s day.',
      parameters: [...path('trip').parameters, ...query('date', 'days').parameters],
      ...answer('Conditions.', 'Conditions'),
    },
  },
  '/api/plans': {
    get: { summary: 'Float plans, open ones first.', ...answer('Plans.') },
    post: { summary: 'File a plan, or a change to one.', ...takes('FileRequest'), ...answer('The plan.') },
  },
  '/api/plans/{id}': { get: { summary: 'One plan.', ...path('id'), ...answer('The plan.') } },
  '/api/plans/{id}/deeds': {
    post: {
      summary: 'Under way, a check-in, home, not going: done once by its id.',
      ...path('id'),
      ...takes('PlanDeed'),
      ...answer('The plan.'),
    },
  },
  '/api/plans/{id}/withdraw': {
    post: { summary: 'End a contact’s links.', ...path('id'), ...takes('object'), ...answer('The plan.') },
  },
  '/api/plans/{id}/link': {
    post: {
      summary: 'A link of its own for a contact, to be handed over.',
      ...path('id'),
      ...takes('object'),
      ...answer('The address, and whether others reach it.'),
    },
  },
  '/api/plans/{id}/record': {
    get: { summary: 'Its events as they are chained, verified now.', ...path('id'), ...answer('Links.') },
  },
  '/api/plans/{id}/drift': {
    get: {
      summary:
        'Where they may have drifted from their last known position: an estimate, never a search area.',
      ...path('id'),
      ...answer('Pictures and what they say.'),
    },
  },
  '/api/plans/{id}/paper/{kind}': {
    get: {
      summary: 'The plan as pdf, txt, gpx, geojson or ics.',
      parameters: [...path('id').parameters, ...path('kind').parameters],
      ...answer('A file.'),
    },
  },
  '/api/guests': {
    post: {
      summary: 'A link by which one person says a few things of themselves.',
      ...takes('object'),
      ...answer('The address, and until when it is good.'),
    },
  },
  '/api/stream': {
    get: { summary: 'News as they happen: that plans or things changed.', ...answer('Server-sent events.') },
  },
  '/api/club': {
    get: { summary: 'The club that this household belongs to.', ...answer('Its name, or nothing.') },
  },
  '/api/club/word': {
    post: { summary: 'A word by which a household joins ours as its club, once.', ...answer('The word.') },
  },
  '/api/club/join': {
    post: { summary: 'Join a club by its word.', ...takes('object'), ...answer('Its name.') },
  },
  '/api/club/leave': { post: { summary: 'Leave it; nothing is shared any more.', ...answer('Done.') } },
  '/api/kept': {
    get: {
      summary: 'Open plans that others shared with this household.',
      ...answer('Plans, as a contact sees them.'),
    },
  },
  '/api/household': {
    get: { summary: 'Whose memory this is.', ...answer('Its name.') },
    post: { summary: 'Name it.', ...takes('object'), ...answer('Its name.') },
  },
  '/api/households': {
    get: { summary: 'All households of this server, for who holds its key.', ...answer('Households.') },
    post: {
      summary: 'Another household, for who holds the key.',
      ...takes('object'),
      ...answer('An address that lets one browser into it.'),
    },
  },
  '/api/door/devices': { get: { summary: 'Which browsers are in.', ...answer('Devices.') } },
  '/api/door/devices/{id}': {
    post: { summary: 'Name one.', ...path('id'), ...takes('object'), ...answer('Done.') },
  },
  '/api/door/devices/{id}/end': {
    post: { summary: 'Throw one out.', ...path('id'), ...takes('object'), ...answer('Done.') },
  },
  '/api/push': {
    get: { summary: 'The key by which a browser lets itself be told.', ...answer('A key, or none.') },
    post: { summary: 'A browser wants to be told.', ...takes('object'), ...answer('Done.') },
  },
  '/api/push/end': {
    post: { summary: 'A browser wants to be told no more.', ...takes('object'), ...answer('Done.') },
  },
  '/api/backdrop': {
    get: { summary: 'What charts are drawn over.', ...answer('None, tiles elsewhere, or a file here.') },
  },
  '/api/removed': {
    get: {
      summary: 'What was removed and can be put back.',
      ...answer('Things, those removed last first.'),
    },
  },
  '/api/erase': {
    post: {
      summary: 'Erase a removed thing for good, and what ended float plans hold of it.',
      ...takes('object'),
      ...answer('Done.'),
    },
  },
  '/api/messages': { get: { summary: 'Messages about plans, newest first.', ...answer('Messages.') } },
  '/api/standins/telephone': { get: { summary: 'What lies on the simulated phones.', ...answer('Calls.') } },
};

let made: object | undefined;
/** The description, made from the schemas that form, wire, row and file share. */
export function openApi(): object {
  made ??= {
    openapi: '3.1.0',
    info: {
      title: 'Escale',
      version: '0.1.0',
      description: 'Plan, check and keep watch over a day in a small boat. Escale advises; it never permits.',
    },
    paths: PATHS,
    components: {
      schemas: Object.fromEntries(
        Object.entries(COMPONENTS).map(([name, schema]) => [name, schemaOf(schema)]),
      ),
    },
  };
  return made;
}
