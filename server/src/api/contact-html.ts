import esc from 'escape-html';
import { alarmAt, asRead, isOpen, wereTold } from '@escale/core/floatplan';
import type { EventKind, PlanContact, PlanState, PlanView } from '@escale/core/model';
import { clock, dayOf } from '@escale/core/say';
import { wallTime, civilDate } from '@escale/core/earth';
import { CLOCK_SKEW } from '../plans/deeds';
import { driftSvg, type Drifts } from '../papers/drift';
import { barePage } from './bare-page';

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
const IN_TROUBLE = 'They are believed to be in trouble. Ring now: see below.';

/** What a page is made of, for one contact. */
interface Reading {
  view: PlanView;
  me: PlanContact | undefined;
  now: number;
  token: string;
  when: (at: number) => string;
}

/**
 * The page of a contact: plain HTML without script, under 30 kB, readable on any phone. All that is to be known and done stands on
 * it from the start, with days and hours, so that it serves where no message ever comes.
 * @param fault what was wrong with what was just sent
 */
export function contactHtml(
  view: PlanView,
  contact: string,
  now: number,
  token: string,
  fault?: string,
): string {
  const reader = { zone: view.zone, locale: 'en-GB' };
  const when = (at: number) => `${dayOf(at, reader)} ${clock(at, reader)}`;
  const me = view.contacts.find((c) => c.id === contact);
  const reading: Reading = { view, me, now, token, when };
  const open = isOpen(view.state);
  const urgent = view.state === 'overdue' || view.state === 'alarm';
  const sheet = asRead(view.sheet, view.unsealed === true);
  const heard = heardOf(view, when);
  const saying = open && me && !me.withdrawn;
  return barePage(
    `${view.title} · float plan`,
    `
<h1>${esc(view.title)}</h1>
${fault ? `<p class="urgent" role="alert">${esc(fault)}</p>` : ''}
<p class="${urgent ? 'urgent' : 'state'}" role="status">${view.trouble ? IN_TROUBLE : STATE[view.state]}</p>
${timesOf(reading)}
<p class="zone">Times of ${esc(view.zone)}. It is ${when(now)} there now.</p>
${open || !wereTold(view.events) ? '' : STAND_DOWN}
${changedOf(reading)}
${open && me?.accepted ? '<p><strong>You have accepted.</strong> Keep this page.</p>' : ''}
${urgent ? doNow(reading, sheet) : ''}
${saying && !me.accepted ? asking(token, me) : ''}
<h2>What to expect</h2>${list(sheet.expect)}
${urgent ? '' : `<h2>If they are overdue</h2>${list(sheet.ifLate)}${rings(view)}`}
${saying ? said(reading) : ''}
${heard.length > 0 ? `<h2>What happened so far</h2>${list(heard)}` : ''}
${sheet.lines.map(partOf).join('')}
${view.unsealed ? '' : LATER_SHOWN}
<h2>To read aloud</h2><p>${esc(sheet.read)}</p>
${handed(reading)}
${saying && !me.declined ? cannot(reading) : ''}
<p class="small">This page rings nobody by itself. Reload it for news.</p>`,
  );
}

const list = (items: string[]) => `<ol>${items.map((item) => `<li>${esc(item)}</li>`).join('')}</ol>`;

/** The four hours, with their days; beside each the one that it was when the plan was filed. */
function timesOf({ view, when }: Reading): string {
  const moved = view.filed && view.filed.home !== view.times.home ? view.filed : undefined;
  const one = (label: string, at: number, before?: number) =>
    `<div><dt>${label}</dt><dd>${when(at)}</dd>${before === undefined ? '' : `<dd class="was">it was ${when(before)}</dd>`}</div>`;
  return `<dl class="times">${one('Home', view.times.home, moved?.home)}${one('Overdue', view.times.overdue, moved?.overdue)}${one(
    'Ring for help',
    alarmAt(view.times),
  )}</dl>`;
}

/** What a change of the plan changed, for who agreed to the one before. */
const changedOf = ({ view }: Reading) =>
  view.changed && view.changed.length > 0 && isOpen(view.state)
    ? `<h2>What changed</h2>${list(view.changed)}`
    : '';

const doNow = ({ view, me, token, when }: Reading, sheet: PlanView['sheet']) => `
<h2>Do this now</h2>${list(sheet.ifLate)}${rings(view)}
${me && me.acting === undefined ? form(token, 'acting', '<button>I have read this: I act now</button>') : ''}
${me ? rang(token, me, when) : ''}`;

/** Digits, and the plus before them: what a telephone takes. */
const dial = (number: string) => number.replace(/[^\d+]/g, '');

/** Numbers that a phone rings with one tap. */
function rings({ sheet: { ring } }: PlanView): string {
  if (!ring) return '';
  const one = (number: string, who: string) =>
    dial(number) === ''
      ? ''
      : `<li><a class="call" href="tel:${dial(number)}">Ring ${esc(who)}: ${esc(number)}</a></li>`;
  const all = [
    ...ring.crew.map(({ who, phone }) => one(phone, who)),
    ring.rescue ? one(ring.rescue.number, ring.rescue.who) : '',
  ];
  return `<ul class="calls">${all.join('')}</ul>`;
}

/** What is said of each thing that happened. */
const HAPPENED: Partial<Record<EventKind, string>> = {
  'under-way': 'they left',
  'check-in': 'all well',
  later: 'all well, home put off to',
  amended: 'the plan was changed',
  'check-in-missed': 'a check-in that was promised did not come',
  closed: 'home',
  cancelled: 'they did not go',
  reopened: 'that was taken back: the watch goes on',
  early: 'our clock was wrong and we spoke too early: they are not overdue',
  unsealed: 'they opened what was sealed',
  trouble: 'they ask for help',
};
/** The same of what a contact said. */
const THEY_SAID: Partial<Record<EventKind, string>> = {
  heard: 'heard from them',
  acting: 'acts',
  trouble: 'believes that they are in trouble',
  rung: 'has rung for help',
  closed: 'says that everybody is ashore',
  unanswered: 'was told and has not answered',
};

/** What happened, in its order, each with its day and hour. */
function heardOf({ events, contacts }: PlanView, when: (at: number) => string): string[] {
  const name = (id: string | undefined) => contacts.find((c) => c.id === id)?.name;
  return events.flatMap((e) => {
    const who = name(e.contact);
    const what = who ? THEY_SAID[e.kind] && `${who} ${THEY_SAID[e.kind]}` : HAPPENED[e.kind];
    const home = e.times && (e.kind === 'later' || e.kind === 'heard') ? ` ${when(e.times.home)}` : '';
    const till = home && e.kind === 'heard' ? ', home' : '';
    // What waited for signal is as old as when it was said.
    const since = e.madeAt !== undefined && e.at - e.madeAt > CLOCK_SKEW ? `, said ${when(e.madeAt)}` : '';
    return what ? [`${when(e.at)}${since}: ${what}${till}${home}${e.note ? `: ${e.note}` : ''}`] : [];
  });
}

const LATER_SHOWN =
  '<p class="small">Ages, weights, contacts’ numbers and what was sealed stand here once they are overdue, or for as long as ' +
  'an alarm is given.</p>';

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

const NOTE =
  '<label>What was said (may stay empty)<input type="text" name="note" maxlength="400" autocomplete="off"></label>';

/** What a contact may say at any time, each behind its own fold so that nothing is pressed by mistake. */
function said({ view, token, now }: Reading): string {
  const at = (ms: number) => `${civilDate(ms, view.zone)}T${wallTime(ms, view.zone)}`;
  const fold = (title: string, inside: string) => `<details><summary>${title}</summary>${inside}</details>`;
  return `<h2>Tell us</h2>
${fold(
  'I have heard from them',
  form(
    token,
    'heard',
    `<p>This moves no hour, unless they told you when they will be home.</p>${NOTE}
<label>Home at, in ${esc(view.zone)} (may stay empty)<input type="datetime-local" name="home" min="${at(now)}"></label>
<button>Put it on record</button>`,
  ),
)}
${fold(
  'They are home',
  form(
    token,
    'home',
    `<p>This ends the watch over them.</p>
<label class="tick"><input type="checkbox" name="ashore" value="yes" required> Everybody is ashore</label>
<label class="tick"><input type="checkbox" name="self" value="yes" required> I heard so from them myself</label>
<button>End the watch</button>`,
  ),
)}
${
  view.trouble
    ? ''
    : fold(
        'I believe that they are in trouble',
        form(
          token,
          'trouble',
          `<p>You need not wait for the hour. This opens what is sealed, tells the crew and the other contacts, and stays on record.
It rings nobody: then ring yourself.</p>${NOTE}<button>Open it: I believe they are in trouble</button>`,
        ),
      )
}`;
}

/** The same as files, for whoever is rung. */
function handed({ view, token }: Reading): string {
  const here = encodeURIComponent(token);
  const one = (kind: string, what: string) => `<li><a href="${here}/paper/${kind}">${what}</a></li>`;
  return `<h2>To hand on</h2><ul>${one('pdf', 'This sheet on one page (PDF)')}${one('txt', 'The same as text')}${one(
    'ics',
    'The hours, for your calendar: it rings without us',
  )}${one('gpx', 'The way and the last known position (GPX)')}${one('geojson', 'The same as GeoJSON')}${
    view.unsealed ? `<li><a href="${here}/drift">Where they may have drifted: an estimate</a></li>` : ''
  }</ul>`;
}

const AS: Record<string, string> = {
  afloat: 'The boat, with nothing out',
  swamped: 'The boat, full of water or over',
  person: 'Somebody in the water',
};

/** Where they may have drifted, for whoever searches: marked as what it is. */
export function driftHtml({ says, pictures }: Drifts, title: string, token: string): string {
  const back = `<p><a href="../${encodeURIComponent(token)}">Back to the plan</a></p>`;
  const shown = pictures.map((picture) => {
    const what = AS[picture.as] ?? picture.as;
    return `<h2>${esc(what)}</h2>${driftSvg(picture, esc(what))}${list(picture.says)}`;
  });
  return barePage(
    `${title} · drift, an estimate`,
    `<h1>${esc(title)}</h1>
<p class="state">Where wind and stream may have taken them from their last known position, north up: an estimate, never a search area.
Whoever searches reckons with their own figures.</p>
${says.map((line) => `<p>${esc(line)}</p>`).join('')}${shown.join('')}${back}`,
  );
}

const cannot = ({ token, me }: Reading) =>
  form(
    token,
    'cannot',
    `<button class="other">${me?.accepted ? 'I can’t do this any more' : 'I can’t do this'}</button>`,
  );

/** A part of the sheet as a table. */
function partOf({ head, rows }: PlanView['sheet']['lines'][number]): string {
  const cells = rows.map(
    ({ label, text }) => `<tr><th scope="row">${esc(label)}</th><td>${esc(text)}</td></tr>`,
  );
  return `<h2>${esc(head)}</h2><table>${cells.join('')}</table>`;
}

export const goneHtml = () =>
  barePage(
    'This link has ended · float plan',
    '<h1>This link has ended</h1><p>It was withdrawn, or its trip has been over for a while. Ask the person who sent it.</p>',
  );
