import { View } from 'react-native';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { isOpen } from '@escale/core/floatplan';
import type { EventKind, PlanView } from '@escale/core/model';
import { saysTo } from '@escale/core/say';
import { useReader } from '../../data/settings';
import { MS, spanText } from '@escale/core/units';
import { Button, Row } from '../../ui/button';
import { Page } from '../../ui/page';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { useNow, useOutbox, usePlans } from '../../data/hooks';
import { deed, newId } from '../../data/outbox';
import { SheetView } from '../pack/float-plan-section';
import { ContactLinks } from '../pack/contact-links';
import { ShareSheet } from '../pack/share-sheet';
import { StepsList } from '../pack/steps-list';
import { DEADLINE, STATE } from './watch-page';
import { Confirm } from '../../ui/confirm';
import { ASHORE, answered, REACHES } from '../deeds/words';
import { CLOSE } from '../home/words';
import { FineButton } from '../deeds/fine-button';
import { HelpButton, UnsealButton } from '../deeds/help-button';
import { LeftButton } from '../deeds/left-button';
import { takeBack, TakeBack } from '../deeds/take-back';
import { Unsent } from '../deeds/unsent';
import { Drift } from './drift';
import { Papers } from './papers';
import { Record, Sent } from './record';
import { WATCH } from './words';
import { useUndo } from '../mishap/undo';

const HAPPENED: Record<EventKind, string> = {
  filed: 'Filed',
  accepted: 'accepted',
  'under-way': 'Left',
  'check-in': 'All well',
  later: 'All well, home put off',
  declined: 'can’t be the contact',
  rung: 'has rung for help',
  acting: 'has read it, and acts',
  heard: 'heard from the crew',
  trouble: 'In trouble: sealed parts are open',
  unsealed: 'What was sealed was opened',
  'check-in-due': 'A check-in is due: the crew was reminded',
  soon: 'Home is near: the crew was reminded',
  unanswered: 'was told and has not answered: another way and the next contact were tried',
  reopened: 'Taken back: the watch goes on',
  amended: 'Plan changed',
  closed: 'Home',
  cancelled: 'Did not go',
  late: 'Late: the crew was reminded',
  overdue: 'Overdue: contacts were told',
  alarm: 'Alarm: contacts were given the sheet and the number',
  'check-in-missed': 'A check-in was missed',
  unreached: 'could not be reached: the next contact was told',
  withdrawn: 'was taken off the plan',
  erased: 'What stood in this plan was erased',
  early: 'The server’s clock was wrong: what was said came too early',
};

/** One plan: its clock, what happened, and the sheet as it was frozen. */
export function PlanPage() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const p = usePalette();
  const router = useRouter();
  const undo = useUndo();
  const now = useNow();
  const plans = usePlans({ id });
  const waiting = useOutbox().some((s) => s.thing === id && !s.refused);
  const plan = plans?.find((pl) => pl.id === id);
  const says = saysTo(useReader(plan?.zone ?? 'UTC'));
  if (!plan)
    return (
      <Page title={plans ? 'No such plan' : 'One moment'}>
        <Button onPress={() => router.replace('/watch')}>All plans</Button>
      </Page>
    );
  const open = isOpen(plan.state);
  // Of such a plan it stays that it was filed and how it ended.
  const erased = plan.events.some((e) => e.kind === 'erased');
  const say = (kind: 'under-way' | 'closed', said: string) =>
    void deed(plan.id, { id: newId(), kind, madeAt: new Date(now).toISOString() }, said);
  const name = (contact: string | undefined) => plan.contacts.find((c) => c.id === contact)?.name;
  return (
    <Page
      title={plan.title}
      lead={says(WATCH.stands, { state: STATE[plan.state], version: plan.version })}
      aside={
        erased ? null : (
          <Button kind="quiet" onPress={() => router.push(`/trips/${plan.trip}`)}>
            The trip
          </Button>
        )
      }
    >
      {plan.nextDeadline ? (
        <View>
          <T as="figure">{spanText((plan.nextDeadline.at - now) / MS.second)}</T>
          <T as="label">
            {says(WATCH.until, {
              what: DEADLINE[plan.nextDeadline.kind] ?? plan.nextDeadline.kind,
              at: plan.nextDeadline.at,
            })}
          </T>
        </View>
      ) : null}
      {open ? (
        <Row>
          {plan.events.some((e) => e.kind === 'under-way') ? null : (
            <LeftButton plan={plan} now={now} busy={waiting} onLeft={() => say('under-way', 'leaving')} />
          )}
          <FineButton plan={plan} now={now} busy={waiting} />
          <HelpButton plan={plan} now={now} />
          <Confirm
            kind="main"
            busy={waiting}
            title={ASHORE.title}
            follows={ASHORE.alone}
            also={REACHES[plan.channel ?? 'none']}
            yes={ASHORE.yes}
            no={ASHORE.no}
            onYes={() => {
              say('closed', 'that you are home');
              undo(CLOSE.said, () => takeBack(plan, now));
            }}
          >
            We’re home
          </Confirm>
        </Row>
      ) : null}
      <Unsent plan={plan} />
      {open ? <UnsealButton plan={plan} now={now} /> : null}
      <TakeBack plan={plan} />
      {erased ? null : <Contacts plan={plan} />}
      {erased ? null : <ContactLinks plan={plan} />}
      {open ? (
        <StepsList
          times={plan.times}
          contacts={plan.contacts.filter((c) => !c.withdrawn).map((c) => c.name)}
          says={says}
        />
      ) : null}
      <View style={{ gap: 2 }}>
        <T as="section" heading={2}>
          What happened
        </T>
        {plan.events.map((e) => (
          <View
            key={e.seq}
            style={{
              flexDirection: 'row',
              gap: 10,
              borderBottomWidth: 1,
              borderColor: p.line,
              paddingVertical: 4,
            }}
          >
            <T as="label" style={{ width: 108 }}>
              {says(WATCH.when, { at: e.at })}
            </T>
            <T style={{ flex: 1 }}>
              {[
                name(e.contact),
                e.kind === 'later' && e.times ? says(WATCH.later, { home: e.times.home }) : HAPPENED[e.kind],
                e.note,
              ]
                .filter(Boolean)
                .join(' ')}
            </T>
          </View>
        ))}
      </View>
      <Record plan={plan} />
      {erased ? null : (
        <>
          <Sent plan={plan} />
          <Drift plan={plan} />
          <Papers plan={plan} now={now} />
          <SheetView sheet={plan.sheet} />
          <ShareSheet sheet={plan.sheet} trip={plan.trip} />
        </>
      )}
    </Page>
  );
}

function Contacts({ plan }: { plan: PlanView }) {
  const says = saysTo(useReader(plan.zone));
  return (
    <View style={{ gap: 2 }}>
      <T as="section" heading={2}>
        Contacts
      </T>
      {plan.contacts.map((c) => (
        <View key={c.id}>
          <T>{says(answered(c), { name: c.name })}</T>
          {c.acting === undefined ? null : (
            <T as="strong">{says(WATCH.acting, { name: c.name, at: c.acting })}</T>
          )}
          {c.rung === undefined ? null : <T as="strong">{says(WATCH.rung, { name: c.name, at: c.rung })}</T>}
        </View>
      ))}
    </View>
  );
}
