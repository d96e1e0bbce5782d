import { useState } from 'react';
import { View } from 'react-native';
import * as z from 'zod';
import { isOpen } from '@escale/core/floatplan';
import type { PlanContact, PlanView } from '@escale/core/model';
import { ask } from '../../data/api';
import { plainly } from '../../data/settings';
import { Button, Row } from '../../ui/button';
import { later } from '../../ui/later';
import { T } from '../../ui/text';
import { LINKS } from './words';

const Code = later(() => import('../../ui/code').then((m) => m.Code));
const Made = z.object({ url: z.url(), reaches: z.boolean() });
type Made = z.infer<typeof Made>;

/** A link for each contact, that the crew hands over itself: to scan, to send, to copy. */
export function ContactLinks({ plan }: { plan: PlanView }) {
  const still = plan.contacts.filter((c) => !c.withdrawn);
  if (!isOpen(plan.state) || still.length === 0) return null;
  return (
    <View style={{ gap: 8 }}>
      <T as="section" heading={3}>
        {LINKS.title}
      </T>
      <T as="soft">{LINKS.lead}</T>
      {still.map((contact) => (
        <OneLink key={contact.id} plan={plan} contact={contact} />
      ))}
    </View>
  );
}

function OneLink({ plan, contact }: { plan: PlanView; contact: PlanContact }) {
  const [made, setMade] = useState<Made>();
  const [said, setSaid] = useState<string>();
  const make = async () => {
    try {
      setMade(Made.parse(await ask(`/api/plans/${plan.id}/link`, { contact: contact.id })));
      setSaid(undefined);
    } catch {
      setSaid(LINKS.failed);
    }
  };
  const give = async (how: 'share' | 'copy', { url }: Made) => {
    const text = plainly(LINKS.text, { title: plan.title, url });
    try {
      if (how === 'share') await navigator.share({ text });
      else await navigator.clipboard.writeText(text);
      setSaid(how === 'share' ? LINKS.shared : LINKS.copied);
    } catch (error) {
      if (error instanceof DOMException && error.name === 'AbortError') return;
      setSaid(LINKS.notGiven);
    }
  };
  const canShare = typeof navigator !== 'undefined' && typeof navigator.share === 'function';
  return (
    <View style={{ gap: 6 }}>
      {made ? (
        <>
          <Code text={made.url} label={plainly(LINKS.codeIs, { name: contact.name })} note={LINKS.codeNote} />
          {made.reaches ? null : <T as="strong">{LINKS.here}</T>}
          <Row>
            {canShare ? <Button onPress={() => void give('share', made)}>{LINKS.share}</Button> : null}
            <Button onPress={() => void give('copy', made)}>{LINKS.copy}</Button>
            <Button kind="quiet" onPress={() => setMade(undefined)}>
              {LINKS.close}
            </Button>
          </Row>
        </>
      ) : (
        <Row>
          <Button onPress={() => void make()}>{plainly(LINKS.make, { name: contact.name })}</Button>
        </Row>
      )}
      {said ? <T role="status">{said}</T> : null}
    </View>
  );
}
