import esc from 'escape-html';
import { Router, urlencoded, type RequestHandler, type Response } from 'express';
import { ipKeyGenerator, rateLimit } from 'express-rate-limit';
import * as z from 'zod';
import { Id, MEDICAL_FOR, SWIMMING } from '@escale/core/model';
import { POUND } from '@escale/core/units';
import { Refusal } from '../refusal';
import type { Services } from '../services';
import { guestLink, guestOf, guestSays, type GuestSays } from '../things/guest';
import { barePage } from './bare-page';
import { parse } from './problem';
import { whoOf } from './who';

/** A link for one person of the shed, made by who is in. */
export function guests(services: Services): Router {
  const routes = Router();
  routes.post('/guests', async (req, res) => {
    const { person } = parse(z.strictObject({ person: Id }), req.body);
    res.status(201).json(await guestLink(services, whoOf(req), person));
  });
  return routes;
}

const LIMIT = { windowMs: 60_000, limit: 60, standardHeaders: true, legacyHeaders: false } as const;

/** Kilograms or pounds, as the guest has it. */
const number = (most: number) =>
  z
    .string()
    .trim()
    .transform((text) => text.replace(',', '.'))
    .refine(
      (text) => text === '' || (/^\d{1,3}(\.\d{1,2})?$/.test(text) && Number(text) <= most),
      'is no weight',
    )
    .transform((text) => (text === '' ? undefined : Number(text)))
    .optional();
const oneOf = <const K extends string>(keys: readonly K[]) =>
  z
    .union([z.literal(''), z.enum(keys as unknown as [K, ...K[]])])
    .optional()
    .transform((value) => (value === '' ? undefined : (value as K | undefined)));
const keysOf = <const K extends string>(words: Record<K, string>) => Object.keys(words) as K[];

const JACKETS = {
  'foam-jacket': 'A foam jacket',
  'inflatable-jacket': 'One that is blown up',
} as const;
const UNITS = { kg: 'kilograms', lb: 'pounds' } as const;

const Form = z.object({
  mass: number(999),
  unit: oneOf(keysOf(UNITS)),
  swimming: oneOf(keysOf(SWIMMING)),
  weakArm: oneOf(['yes', 'no']),
  jacket: oneOf(keysOf(JACKETS)),
  medical: z.string().trim().max(2000).optional(),
  medicalFor: oneOf(keysOf(MEDICAL_FOR)),
});

function saidIn(form: z.infer<typeof Form>): GuestSays {
  const { mass, unit, swimming, weakArm, jacket, medical, medicalFor } = form;
  return {
    ...(mass === undefined ? {} : { mass: Math.round((unit === 'lb' ? mass * POUND : mass) * 10) / 10 }),
    ...(swimming ? { swimming } : {}),
    ...(weakArm ? { weakArm: weakArm === 'yes' } : {}),
    ...(medical ? { medical } : {}),
    ...(medicalFor ? { medicalFor } : {}),
    ...(jacket ? { jacket: { kind: jacket } } : {}),
  };
}

/** The page of a guest: it asks for a few things of themselves, and shows nothing of anybody. */
export function guestPage(services: Services): Router {
  const { db, clock } = services;
  const routes = Router();
  const limited: RequestHandler = rateLimit({
    ...LIMIT,
    keyGenerator: (req) => ipKeyGenerator(req.ip ?? ''),
  });
  const send = (res: Response, status: number, html: string) =>
    void res
      .status(status)
      .set({ 'Cache-Control': 'no-store', 'Referrer-Policy': 'same-origin', 'X-Robots-Tag': 'noindex' })
      .type('html')
      .send(html);

  routes.get('/g/:token', limited, async (req, res) => {
    const token = String(req.params.token);
    const found = await guestOf(db, token, clock.now());
    send(res, found ? 200 : 404, found ? pageOf(found.person.name, token) : GONE);
  });

  routes.post('/g/:token', limited, urlencoded({ extended: false, limit: '8kb' }), async (req, res) => {
    const token = String(req.params.token);
    const found = await guestOf(db, token, clock.now());
    if (!found) return send(res, 404, GONE);
    const { name } = found.person;
    const form = Form.safeParse(req.body ?? {});
    if (!form.success) return send(res, 400, pageOf(name, token, UNREAD));
    try {
      await guestSays(services, found, saidIn(form.data));
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      return send(res, 400, pageOf(name, token, [error.message, ...error.faults].join(' ')));
    }
    send(res, 200, THANKS);
  });

  return routes;
}

const UNREAD = 'That could not be read: a weight is a number such as 72 or 158.5.';

const choice = (name: string, title: string, words: Readonly<Record<string, string>>) =>
  `<label>${title}<select name="${name}"><option value="">not said</option>${Object.entries(words)
    .map(([value, label]) => `<option value="${value}">${esc(label)}</option>`)
    .join('')}</select></label>`;

const pageOf = (name: string, token: string, fault?: string) =>
  barePage(
    'A few things of yourself',
    `<h1>${esc(name)}, a few things of yourself</h1>
${fault ? `<p class="urgent" role="alert">${esc(fault)}</p>` : ''}
<p>You are asked so that the boat is loaded rightly and a jacket fits you. Who plans the trip reads it. What you leave empty stays as it is;
nothing that was said before is shown here.</p>
<form method="post" action="${encodeURIComponent(token)}">
<label>Your weight<input type="text" inputmode="decimal" name="mass" maxlength="6" autocomplete="off"></label>
${choice('unit', 'in', UNITS).replace('<option value="">not said</option>', '')}
${choice('swimming', 'Swimming', SWIMMING)}
${choice('weakArm', 'Bad shoulder, arm or back', { yes: 'Yes', no: 'No' })}
${choice('jacket', 'A life jacket of your own that you bring', JACKETS)}
<label>Medical notes, for whoever helps you<textarea name="medical" maxlength="2000" rows="4"></textarea></label>
${choice('medicalFor', 'They are told to', MEDICAL_FOR)}
<button>Send</button></form>
<p class="small">This link is yours alone and ends by itself.</p>`,
  );

const THANKS = barePage(
  'Thank you',
  '<h1>Thank you</h1><p>It was written down. You can close this page, or open the link again to change something.</p>',
);
const GONE = barePage(
  'This link has ended',
  '<h1>This link has ended</h1><p>Ask the person who sent it for another.</p>',
);
