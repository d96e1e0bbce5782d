import { useState } from 'react';
import { View } from 'react-native';
import { isOpen } from '@escale/core/floatplan';
import type { Channel, PlanState, PlanView } from '@escale/core/model';
import { saysTo } from '@escale/core/say';
import { MS, spanText } from '@escale/core/units';
import { Button, Row } from '../../ui/button';
import { Empty, Page } from '../../ui/page';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { useCalls, useChannels, useMessages, useNow, usePlansPage, type Calls } from '../../data/hooks';
import { plainly, useReader } from '../../data/settings';
import { Health } from './health';
import { Kept } from './kept';
import { Ways } from './ways';
import { answered } from '../deeds/words';
import { EMPTY, WATCH } from './words';
import { CardLink } from '../../ui/press';

export const STATE: Record<PlanState, string> = {
  draft: 'not filed',
  filed: 'filed, not left yet',
  'under-way': 'under way',
  late: 'late',
  overdue: 'overdue',
  alarm: 'overdue, alarm given',
  closed: 'closed, home',
  cancelled: 'cancelled',
  found: 'found',
};
export const DEADLINE: Record<string, string> = {
  'check-in': 'check-in',
  late: 'home',
  overdue: 'overdue',
  alarm: 'the alarm',
};
const urgent = (state: PlanState) => state === 'overdue' || state === 'alarm';

/** By what those ashore would hear. */
const howOut = (calls: Calls | undefined, channels: Channel[] | undefined): keyof typeof EMPTY => {
  if (!calls) return 'unknown';
  if (channels?.some((c) => !c.simulated && c.name !== 'push')) return 'real';
  return calls.simulated ? 'true' : 'false';
};

/** Open float plans, soonest first, and what was sent about them. */
export function WatchPage() {
  const page = usePlansPage();
  const plans = page?.plans;
  const calls = useCalls();
  const channels = useChannels();
  const open = plans?.filter((pl) => isOpen(pl.state)) ?? [],
    ended = plans?.filter((pl) => !isOpen(pl.state)) ?? [];
  return (
    <Page title="Watch" lead="The server counts, not this phone.">
      <Health red />
      {plans && open.length === 0 ? (
        <Empty title="No open plan" why={EMPTY[howOut(calls, channels)]} />
      ) : null}
      {open.map((plan) => (
        <PlanCard key={plan.id} plan={plan} />
      ))}
      <Kept state={STATE} />
      {ended.length > 0 ? <T as="caps">Ended</T> : null}
      {ended.map((plan) => (
        <PlanCard key={plan.id} plan={plan} />
      ))}
      {page?.next === undefined ? null : <More from={page.next} />}
      <Health />
      <Ways />
      <Phones />
    </Page>
  );
}

/** The plans after the first fifty, asked for when somebody wants them. */
function More({ from }: { from: number }) {
  const [wanted, setWanted] = useState(false);
  if (!wanted)
    return (
      <Row>
        <Button onPress={() => setWanted(true)}>{WATCH.more}</Button>
      </Row>
    );
  return <Later from={from} />;
}

function Later({ from }: { from: number }) {
  const page = usePlansPage(from);
  return (
    <>
      {page?.plans.map((plan) => (
        <PlanCard key={plan.id} plan={plan} />
      ))}
      {page?.next === undefined ? null : <More from={page.next} />}
    </>
  );
}

function PlanCard({ plan }: { plan: PlanView }) {
  const p = usePalette();
  const now = useNow();
  const says = saysTo(useReader(plan.zone));
  const alarm = urgent(plan.state),
    ink = alarm ? p.onCall : p.ink;
  const next = plan.nextDeadline;
  const open = isOpen(plan.state);
  return (
    <CardLink
      label={says(WATCH.card, { title: plan.title, state: STATE[plan.state] })}
      href={`/watch/${plan.id}`}
      style={{
        borderWidth: 1,
        borderColor: alarm ? p.call : p.line,
        backgroundColor: alarm ? p.call : p.raised,
        padding: 12,
        gap: 2,
      }}
    >
      <View style={{ flexDirection: 'row', justifyContent: 'space-between' }}>
        <T as="section" heading={2} color={ink} style={{ flex: 1 }}>
          {plan.title}
        </T>
        <T as="strong" color={ink} style={{ fontSize: 14 }}>
          {STATE[plan.state]}
        </T>
      </View>
      {next ? (
        <>
          <T as="figure" color={ink}>
            {spanText((next.at - now) / MS.second)}
          </T>
          <T as="label" color={ink}>
            {says(WATCH.until, { what: DEADLINE[next.kind] ?? next.kind, at: next.at })}
          </T>
        </>
      ) : (
        <T color={ink}>{says(open ? WATCH.homeWas : WATCH.home, { at: plan.times.home })}</T>
      )}
      {open
        ? plan.contacts.map((c) => (
            <T key={c.id} color={ink}>
              {says(answered(c), { name: c.name })}
            </T>
          ))
        : null}
    </CardLink>
  );
}

/** What was sent: on the phones of the stand-in telephone, or, where none is set up, what waits because nobody can be reached. */
function Phones() {
  const found = useCalls();
  const channels = useChannels();
  if (!found) return null;
  if (found.simulated) return <Simulated calls={found.calls} />;
  // What really leaves stands with its plan, with its fate.
  return channels && channels.length > 0 ? null : <Unsent />;
}

/** No telephone: the words stand here, for whoever looks after them. */
function Unsent() {
  const p = usePalette();
  const messages = useMessages();
  return (
    <View style={{ gap: 8, marginTop: 12 }}>
      <T as="section" heading={2}>
        Messages that nobody got
      </T>
      <T as="small">
        No telephone and no mail is set up on this machine. The clock runs, but what it has to say stays here:
        tell your contacts yourself.
      </T>
      {messages.length === 0 ? <T as="soft">Nothing to say yet.</T> : null}
      {messages.map((m) => (
        <View key={m.id} style={{ borderLeftWidth: 2, borderColor: p.ink, paddingLeft: 10, gap: 2 }}>
          <T as="label">{plainly(WATCH.waits, { to: m.to, at: m.made })}</T>
          <T>{m.text.replace(LINK, '').trim()}</T>
        </View>
      ))}
    </View>
  );
}

/** Where a message that waits has its link: the last place that is called so. */
const LINK = /\[link\](?!.*\[link\])/s;

/** The stand-in telephone: what lies on the contacts' phones. A real service would deliver it. */
function Simulated({ calls }: Pick<Calls, 'calls'>) {
  const p = usePalette();
  return (
    <View style={{ gap: 8, marginTop: 12 }}>
      <T as="section" heading={2}>
        Messages sent
      </T>
      <T as="small">
        This Escale has a simulated telephone: nothing leaves the machine by it. Below is what would lie on
        each phone.
      </T>
      {calls.length === 0 ? <T as="soft">Nothing was sent yet.</T> : null}
      {calls.map((call) => {
        const link = /https?:\/\/[^\s]+\/c\/[\w-]+/.exec(call.text)?.[0];
        const words = link ? call.text.replace(link, '').trim() : call.text;
        return (
          <View key={call.key} style={{ borderLeftWidth: 2, borderColor: p.ink, paddingLeft: 10, gap: 2 }}>
            <T as="label">{plainly(WATCH.sent, { to: call.to, at: call.at })}</T>
            <T>{words}</T>
            {link ? (
              <T
                {...{ href: new URL(link).pathname, hrefAttrs: { target: '_blank' } }}
                style={{ textDecorationLine: 'underline', paddingVertical: 12 }}
              >
                Open the contact’s page
              </T>
            ) : null}
          </View>
        );
      })}
    </View>
  );
}
