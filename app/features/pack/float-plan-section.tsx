import { useMemo, useState } from 'react';
import { useLocalSearchParams } from 'expo-router';
import { View } from 'react-native';
import { TextInput } from 'react-native-paper';
import { asRead, isOpen, wholeRow } from '@escale/core/floatplan';
import type { PlanView, Sheet, Trip } from '@escale/core/model';
import { Button, Row } from '../../ui/button';
import { Rule } from '../../ui/page';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { MS } from '@escale/core/units';
import { useNow, useOutbox } from '../../data/hooks';
import { file, newId } from '../../data/outbox';
import { DEED, fieldId } from '../../data/where';
import { useGoTo } from '../forms/go-to';
import { TripForm } from '../trip/trip-form';
import { useTrip } from '../trip/use-trip';
import { draftSheet } from './draft-sheet';
import { newOnTrip } from '../shed/on-trip';
import { FineButton } from '../deeds/fine-button';
import { Unsent } from '../deeds/unsent';
import { answered } from '../deeds/words';
import { Choice } from '../../ui/choice';
import { Fold } from '../../ui/fold';
import { ChangePlan } from '../trip/change-plan';
import { ContactLinks } from './contact-links';
import { StepsList } from './steps-list';
import { PLAN, SEEN } from './words';
import { TextLink } from '../../ui/press';
import { ShareSheet } from './share-sheet';

/** What has a usual answer, or is asked of a longer day: a searcher is glad of it, and nobody has to begin with it. */
const MORE = [
  'alternatives',
  'provisionHours',
  'graceMinutes',
  'alarmMinutes',
  'sealSpot',
  'toClub',
] as const satisfies readonly (keyof Trip)[];

/** Drafted from the trip; filing starts the clock on the server. */
export function FloatPlanSection() {
  const { trip, plan, says } = useTrip();
  const { at } = useLocalSearchParams<{ at?: string }>();
  useGoTo(at === DEED ? at : undefined);
  const open = plan !== undefined && isOpen(plan.state);
  const left = MORE.filter((field) => trip[field] === undefined).length;
  return (
    <View style={{ gap: 18 }}>
      {open ? <Filed plan={plan} /> : null}
      <TripForm fields={['contacts']} />
      <TextLink href={newOnTrip('contact', trip.id, 'pack/float-plan')}>A new contact</TextLink>
      <TripForm fields={['ifLate', 'parked']} />
      <Fold
        title={PLAN.more}
        note={says(PLAN.left, { n: left })}
        begin={MORE.some((field) => at === `/${field}`)}
      >
        <TripForm fields={MORE} />
      </Fold>
      <Draft
        key={`${plan?.id ?? trip.id} ${plan?.version ?? 0} ${open}`}
        amends={open ? plan.id : undefined}
      />
    </View>
  );
}

function Filed({ plan }: { plan: PlanView }) {
  const { trip, says } = useTrip();
  const now = useNow(MS.minute);
  return (
    <View style={{ gap: 4 }}>
      <T as="section" heading={3}>
        {says(PLAN.filed, { version: plan.version })}
      </T>
      {plan.channel === 'none' ? (
        <T as="strong">No message leaves this machine: tell your contacts yourself.</T>
      ) : plan.channel === 'stand-in' ? (
        <T as="soft">The telephone here is simulated: nobody outside this machine hears of it.</T>
      ) : null}
      {plan.contacts.map((c) => (
        <T key={c.id}>{says(answered(c), { name: c.name })}</T>
      ))}
      <T as="strong">{says(PLAN.times, { home: plan.times.home, overdue: plan.times.overdue })}</T>
      {trip.toClub ? <T as="soft">{plan.shared ? PLAN.shared : PLAN.notShared}</T> : null}
      <Unsent plan={plan} />
      <Row>
        <FineButton plan={plan} now={now} />
        <ChangePlan plan={plan} now={now} />
      </Row>
      <ContactLinks plan={plan} />
      <T as="soft">{PLAN.moves}</T>
      <TextLink href={`/watch/${plan.id}`}>The watch over this plan</TextLink>
    </View>
  );
}

/** What the contact will read, before it is sent; and the one button that alarms people when nobody comes home. */
function Draft({ amends }: { amends: string | undefined }) {
  const view = useTrip();
  const { trip, assessment, says } = view;
  const [reason, setReason] = useState('');
  // One id for one filing: pressed twice or sent twice it files once. Filed, the part is made anew with the next id.
  const [id] = useState(newId);
  const waiting = useOutbox().some((s) => s.path === '/api/plans' && s.thing === trip.id && !s.refused);
  const sheet = useMemo(() => draftSheet(view), [view]);
  const lacks = sheet === undefined;
  const send = () => {
    const request = {
      id,
      trip: trip.id,
      ...(amends ? { amends } : {}),
      ...(reason.trim() ? { reason: reason.trim() } : {}),
    };
    void file(request, says(amends ? PLAN.change : PLAN.file, { trip: trip.title }));
  };
  return (
    <View style={{ gap: 10 }}>
      {amends ? (
        <T as="section" heading={3}>
          The sheet as it would be now
        </T>
      ) : null}
      {sheet ? (
        <>
          <DraftSteps />
          <Fold title={SEEN.title}>
            <AsSeen sheet={sheet} />
          </Fold>
        </>
      ) : (
        <T as="soft">{PLAN.lacks}</T>
      )}
      {amends ? (
        <TextInput
          mode="outlined"
          accessibilityLabel="Why it changes, for your contact"
          label="Why it changes, for your contact"
          value={reason}
          onChangeText={setReason}
          maxLength={400}
        />
      ) : null}
      <View nativeID={fieldId(DEED)} tabIndex={-1}>
        <Row>
          <Button kind="main" cant={lacks && PLAN.lacks} busy={waiting} onPress={send}>
            {amends ? 'Send the change' : 'File'}
          </Button>
          {waiting ? <T as="soft">Waiting for signal: nothing is filed until it is through.</T> : null}
        </Row>
      </View>
      <T as="small">
        {amends
          ? PLAN.heard
          : assessment.schedule?.overdue
            ? says(PLAN.clock, { overdue: assessment.schedule.overdue })
            : PLAN.clockUnknown}
      </T>
      {sheet ? <ShareSheet sheet={sheet} trip={trip.id} /> : null}
    </View>
  );
}

/** Who would hear what, and when. */
function DraftSteps() {
  const { trip, shed, assessment, says } = useTrip();
  const { schedule } = assessment;
  if (!schedule?.home || schedule.overdue === undefined) return null;
  const { leave, home, overdue, alarm, checkIns, sooner } = schedule;
  const names = trip.contacts.flatMap((id) => shed.contacts.find((c) => c.id === id)?.name ?? []);
  return (
    <StepsList
      times={{ leave, home, overdue, checkIns, ...(alarm === undefined ? {} : { alarm }) }}
      contacts={names}
      {...(sooner ? { sooner } : {})}
      says={says}
    />
  );
}

/** The sheet as the contact reads it, now and once they are overdue. */
function AsSeen({ sheet }: { sheet: Sheet }) {
  const [late, setLate] = useState(false);
  const read = useMemo(() => asRead(sheet, late), [sheet, late]);
  return (
    <View style={{ gap: 8 }}>
      <Choice
        label={SEEN.title}
        options={[
          { value: 'now', label: SEEN.now },
          { value: 'late', label: SEEN.late },
        ]}
        value={late ? 'late' : 'now'}
        onChange={(value) => setLate(value === 'late')}
      />
      <T as="soft">{SEEN.sealed}</T>
      <SheetView sheet={read} />
    </View>
  );
}

/** The sheet as it stands frozen: never reckoned again. */
export function SheetView({ sheet }: { sheet: Sheet }) {
  const p = usePalette();
  return (
    <View style={{ borderWidth: 2, borderColor: p.ink, backgroundColor: p.raised, padding: 12, gap: 10 }}>
      {sheet.lines.map((part) => (
        <View key={part.head} style={{ gap: 2 }}>
          <T as="caps">{part.head}</T>
          {part.rows.map((row) => (
            <View key={row.label} style={{ flexDirection: 'row', gap: 8 }}>
              <T as="small" style={{ width: 96 }}>
                {row.label}
              </T>
              <T style={{ flex: 1, fontSize: 15, lineHeight: 20 }}>{wholeRow(row)}</T>
            </View>
          ))}
        </View>
      ))}
      <Rule />
      <T as="caps">If they are overdue</T>
      {sheet.ifLate.map((line, i) => (
        <T key={i} style={{ fontSize: 15, lineHeight: 20 }}>
          {i + 1}. {line}
        </T>
      ))}
      <T as="caps">To read aloud</T>
      <T style={{ fontSize: 15, lineHeight: 20 }}>{sheet.read}</T>
    </View>
  );
}
