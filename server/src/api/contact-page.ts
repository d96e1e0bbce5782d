import { eq } from 'drizzle-orm';
import esc from 'escape-html';
import { Router, urlencoded, type RequestHandler, type Response } from 'express';
import { ipKeyGenerator, rateLimit } from 'express-rate-limit';
import { isOpen, wholeRow } from '@escale/core/floatplan';
import type { EventKind, PlanContact, PlanEvent, PlanState, PlanView } from '@escale/core/model';
import { clock, dayOf } from '@escale/core/say';
import { plan } from '../db/schema';
import { CLOCK_SKEW } from '../plans/deeds';
import { answerAs, type Answer } from '../plans/answers';
import { findLink } from '../messages/links';
import { viewPlan } from '../plans/view';
import type { Services } from '../services';
import { barePage } from './bare-page';

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
    return row && { link, view: await viewPlan(db, row, time.now()) };
  };
  // `same-origin`, not `no-referrer`: under the latter a browser sends the form with the origin "null", which is refused.
  const send = (res: Response, status: number, html: string) =>
    res
      .status(status)
      .set({ 'Cache-Control': 'no-store', 'Referrer-Policy': 'same-origin', 'X-Robots-Tag': 'noindex' })
      .type('html')
      .send(html);

  routes.get('/c/:token', limited, async (req, res) => {
    const token = String(req.params.token);
    const found = await open(res);
    send(
      res,
      found ? 200 : 404,
      found ? pageOf(found.view, found.link.contact, time.now(), token) : goneOf(),
    );
  });

  routes.post(
    '/c/:token/:answer',
    limited,
    urlencoded({ extended: false, limit: '2kb' }),
    async (req, res) => {
      const token = String(req.params.token);
      const kind = ANSWERS.get(String(req.params.answer));
      const found = kind && (await open(res));
      if (!found) return void send(res, 404, goneOf());
      await answerAs(services, found.link, kind);
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
  ['rung', 'rung'],
]);

const STATE: Record<PlanState, string> = {
  draft: 'Not filed',
  filed: 'Filed. They have not left yet.',
  'under-way': 'They are on the water.',
  late: 'They are a little late. Wait, and try to reach them.',
  overdue: 'They are overdue. Act now: see below.',
  alarm: 'They are still not back. Ring now: see below.',
  closed: 'They are home. Nothing more to do.',
  cancelled: 'They did not go.',
  found: 'They are found. Nothing more to do.',
};

function pageOf(view: PlanView, contact: string, now: number, token: string): string {
  const reader = { zone: view.zone, locale: 'en-GB' };
  const when = (at: number) => `${dayOf(at, reader)} ${clock(at, reader)}`;
  const me = view.contacts.find((c) => c.id === contact);
  const open = isOpen(view.state);
  const urgent = view.state === 'overdue' || view.state === 'alarm';
  const list = (items: string[]) => `<ol>${items.map((item) => `<li>${esc(item)}</li>`).join('')}</ol>`;
  const last = view.events.findLast((e) => e.times);
  const put = last?.kind === 'later' && view.filed ? view.filed : undefined;
  const heard = heardOf(view.events, when);
  return barePage(
    `${view.title} · float plan`,
    `
<h1>${esc(view.title)}</h1>
<p class="${urgent ? 'urgent' : 'state'}" role="status">${STATE[view.state]}</p>
<dl class="times"><div><dt>Home</dt><dd>${when(view.times.home)}</dd>${put ? was(when(put.home)) : ''}</div>
<div><dt>Overdue</dt><dd>${when(view.times.overdue)}</dd>${put ? was(when(put.overdue)) : ''}</div></dl>
<p class="zone">Times of ${esc(view.zone)}. It is ${when(now)} there now.</p>
${open || !wasTold(view) ? '' : STAND_DOWN}
${open && me?.accepted ? '<p><strong>You have accepted.</strong> Keep this page.</p>' : ''}
${urgent ? `<h2>Do this now</h2>${list(view.sheet.ifLate)}${me ? rang(token, me, when) : ''}` : ''}
${open && me && !me.accepted ? asking(token, me) : ''}
<h2>What to expect</h2>${list(view.sheet.expect)}
${urgent ? '' : `<h2>If they are overdue</h2>${list(view.sheet.ifLate)}`}
${heard.length > 0 ? `<h2>Heard so far</h2>${list(heard)}` : ''}
${view.sheet.lines.map((part) => partOf(part, urgent)).join('')}
${urgent ? '' : LATER_SHOWN}
<h2>To read aloud</h2><p>${esc(view.sheet.read)}</p>
${open && me?.accepted ? form(token, 'cannot', '<button class="other">I can’t do this any more</button>') : ''}
${open && me && !me.accepted && !me.declined ? form(token, 'cannot', '<button class="other">I can’t do this</button>') : ''}
<p class="small">This page does not ring anyone by itself. Reload it for news.</p>`,
  );
}

/** What is said of each thing that was heard. */
const HEARD: Partial<Record<EventKind, string>> = {
  'under-way': 'they left',
  'check-in': 'all well',
  later: 'all well, home put off to',
  amended: 'the plan was changed',
  'check-in-missed': 'a check-in that was promised did not come',
  closed: 'home',
  cancelled: 'they did not go',
  reopened: 'that was taken back: the watch goes on',
  early: 'our clock was wrong and we spoke too early: they are not overdue',
};

/** What was heard, in its order, each with its day and hour. */
const heardOf = (events: PlanEvent[], when: (at: number) => string) =>
  events.flatMap((e) => {
    const what = HEARD[e.kind];
    const home = e.kind === 'later' && e.times ? ` ${when(e.times.home)}` : '';
    // What waited for signal is as old as when it was said.
    const said = e.madeAt !== undefined && e.at - e.madeAt > CLOCK_SKEW ? `, said ${when(e.madeAt)}` : '';
    return what ? [`${when(e.at)}${said}: ${what}${home}${e.note ? `: ${e.note}` : ''}`] : [];
  });

const was = (time: string) => `<dd class="was">it was ${time}</dd>`;

/** Was anybody told that they are missing? Then a search may be on its way. */
const wasTold = ({ events }: PlanView) =>
  events.some((e) => e.kind === 'overdue' || e.kind === 'alarm' || e.kind === 'rung');

const LATER_SHOWN =
  '<p class="small">Ages, weights and phones of the crew stand here once they are overdue, or for as long as an alarm is given.</p>';

const STAND_DOWN =
  '<p class="urgent">If you have rung for help, ring the same number again now and say that nobody is missing.</p>';

const form = (token: string, answer: string, inside: string) =>
  // Relative, so that the page works wherever it stands.
  `<form method="post" action="${encodeURIComponent(token)}/${answer}">${inside}</form>`;

/** What a contact is asked for who has not accepted yet. */
const asking = (token: string, { name, declined }: PlanContact) =>
  declined
    ? '<p><strong>You said that you can’t.</strong> They were told to find somebody else.</p>' +
      form(token, 'accept', '<button>I can after all: I accept</button>')
    : form(
        token,
        'accept',
        `<p><strong>${esc(name)}, you are the contact.</strong> If they are not home by the overdue time, you act as described below.
Press to say that you will.</p><button>I accept</button>`,
      );

/** Who has rung says so, and the crew hear of it. */
const rang = (token: string, { rung }: PlanContact, when: (at: number) => string) =>
  rung === undefined
    ? form(token, 'rung', '<button class="other">I have rung for help</button>')
    : `<p><strong>You said at ${when(rung)} that you have rung for help.</strong> When you hear from them, ring again and say so.</p>`;

/** A part of the sheet as a table. */
function partOf({ head, rows }: PlanView['sheet']['lines'][number], all: boolean): string {
  const cells = rows.map(
    (row) => `<tr><th scope="row">${esc(row.label)}</th><td>${esc(all ? wholeRow(row) : row.text)}</td></tr>`,
  );
  return `<h2>${esc(head)}</h2><table>${cells.join('')}</table>`;
}

const goneOf = () =>
  barePage(
    'This link has ended · float plan',
    '<h1>This link has ended</h1><p>It was withdrawn, or its trip has been over for a while. Ask the person who sent it.</p>',
  );
