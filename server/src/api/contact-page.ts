import { eq } from 'drizzle-orm';
import { Router, urlencoded, type RequestHandler, type Response } from 'express';
import { ipKeyGenerator, rateLimit } from 'express-rate-limit';
import * as z from 'zod';
import { plan } from '../db/schema';
import { answerAs, type Answer } from '../plans/answers';
import { Refusal } from '../refusal';
import { findLink } from '../messages/links';
import { viewPlan } from '../plans/view';
import type { Services } from '../services';
import { driftsOf } from '../papers/drift';
import { isPaper, paperOf } from '../papers/papers';
import { contactHtml, driftHtml, goneHtml } from './contact-html';
import { sendPaper } from './papers';

/** The contact's page: plain HTML without script, under 30 kB, readable on any phone. */
export function contactPage(services: Services, kick: () => Promise<void>): Router {
  const { db, clock: time } = services;
  const routes = Router();
  // A link can't be guessed (256 bits). Who tries is slowed by the address they try from; whoever has a link by that link alone,
  // so that a flood from the same network does not shut the true contact out.
  const guesses = rateLimit({ ...LIMIT, keyGenerator: (req) => ipKeyGenerator(req.ip ?? '') });
  const readers = rateLimit({ ...LIMIT, keyGenerator: (req) => String(req.params.token) });
  const limited: RequestHandler = async (req, res, next) => {
    const link = await findLink(db, String(req.params.token), time.now());
    res.locals.link = link;
    await (link ? readers : guesses)(req, res, next);
  };

  const open = async ({ locals }: Response) => {
    const { link } = locals as { link?: Awaited<ReturnType<typeof findLink>> };
    if (!link) return undefined;
    const [row] = await db.select().from(plan).where(eq(plan.id, link.plan));
    return row && { link, row, view: await viewPlan(db, row, time.now()) };
  };
  // `same-origin`, not `no-referrer`: under the latter a browser sends the form with the origin "null", which is refused.
  const send = (res: Response, status: number, html: string) =>
    res
      .status(status)
      .set({ 'Cache-Control': 'no-store', 'Referrer-Policy': 'same-origin', 'X-Robots-Tag': 'noindex' })
      .type('html')
      .send(html);

  /** What is wrong with an answer, or undefined where it stands. */
  const answered = async (link: { plan: string; contact: string }, kind: Answer, body: unknown) => {
    const form = Form.safeParse(body ?? {});
    if (!form.success) return UNREAD;
    const { home, note, ashore, self } = form.data;
    try {
      await answerAs(services, link, kind, {
        ...(home ? { home } : {}),
        ...(note ? { note } : {}),
        ashore: ashore !== undefined,
        self: self !== undefined,
      });
    } catch (error) {
      if (error instanceof Refusal) return error.message;
      throw error;
    }
    return undefined;
  };

  routes.get('/c/:token', limited, async (req, res) => {
    const token = String(req.params.token);
    const found = await open(res);
    send(
      res,
      found ? 200 : 404,
      found ? contactHtml(found.view, found.link.contact, time.now(), token) : goneHtml(),
    );
  });

  // What a contact may hand on, with what is sealed in it once it is open.
  routes.get('/c/:token/paper/:kind', limited, async (req, res) => {
    const kind = String(req.params.kind);
    const found = isPaper(kind) && (await open(res));
    if (!found || !isPaper(kind)) return void send(res, 404, goneHtml());
    const { row, view } = found;
    sendPaper(res, await paperOf(kind, { db, row, now: time.now(), whole: view.unsealed === true }));
  });

  routes.get('/c/:token/drift', limited, async (req, res) => {
    const found = await open(res);
    // Where they were last heard from is told to whoever may read what is sealed.
    if (!found?.view.unsealed) return void send(res, 404, goneHtml());
    send(res, 200, driftHtml(await driftsOf(db, found.row), found.view.title, String(req.params.token)));
  });

  routes.post(
    '/c/:token/:answer',
    limited,
    urlencoded({ extended: false, limit: '2kb' }),
    async (req, res) => {
      const token = String(req.params.token);
      const kind = ANSWERS.get(String(req.params.answer));
      const found = kind && (await open(res));
      if (!found) return void send(res, 404, goneHtml());
      const fault = await answered(found.link, kind, req.body);
      if (fault !== undefined)
        return void send(res, 400, contactHtml(found.view, found.link.contact, time.now(), token, fault));
      void kick();
      res.redirect(303, `../${encodeURIComponent(token)}`);
    },
  );

  return routes;
}

const LIMIT = { windowMs: 60_000, limit: 120, standardHeaders: true, legacyHeaders: false } as const;

/** What a contact can answer, by the path it is sent to. */
const ANSWERS = new Map<string, Answer>([
  ['accept', 'accepted'],
  ['cannot', 'declined'],
  ['acting', 'acting'],
  ['rung', 'rung'],
  ['heard', 'heard'],
  ['home', 'closed'],
  ['trouble', 'trouble'],
]);

/** What the forms of the page send; what else is in them is left alone. */
const Form = z.object({
  home: z
    .string()
    .regex(/^(\d{4}-\d\d-\d\dT\d\d:\d\d)?$/)
    .optional(),
  note: z.string().trim().max(400).optional(),
  ashore: z.string().max(8).optional(),
  self: z.string().max(8).optional(),
});
const UNREAD = 'That could not be read: the hour or the note is not right.';
