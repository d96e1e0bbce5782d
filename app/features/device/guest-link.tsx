import { useState } from 'react';
import { View } from 'react-native';
import * as z from 'zod';
import type { Person } from '@escale/core/model';
import { ask } from '../../data/api';
import { plainly } from '../../data/settings';
import { Button, Row } from '../../ui/button';
import { later } from '../../ui/later';
import { T } from '../../ui/text';
import { DOOR, GUEST } from './words';

const Code = later(() => import('../../ui/code').then((m) => m.Code));
const Made = z.object({ url: z.url(), reaches: z.boolean() });

/** A link by which somebody says a few things of themselves, on their own phone. */
export function GuestLink({ person: { id, name } }: { person: Person }) {
  const [made, setMade] = useState<z.infer<typeof Made>>();
  const [said, setSaid] = useState<string>();
  const make = async () => {
    try {
      setMade(Made.parse(await ask('/api/guests', { person: id })));
      setSaid(undefined);
    } catch {
      setSaid(GUEST.failed);
    }
  };
  const copy = async () => {
    try {
      await navigator.clipboard.writeText(made?.url ?? '');
      setSaid(GUEST.copied);
    } catch {
      setSaid(GUEST.notCopied);
    }
  };
  return (
    <View style={{ gap: 8 }}>
      <T as="section" heading={2}>
        {plainly(GUEST.title, { name })}
      </T>
      <T as="soft">{GUEST.why}</T>
      {made ? (
        <>
          <Code text={made.url} label={plainly(GUEST.codeIs, { name })} note={GUEST.codeNote} />
          {made.reaches ? null : <T as="strong">{DOOR.here}</T>}
        </>
      ) : null}
      <Row>
        <Button onPress={() => void (made ? copy() : make())}>
          {made ? GUEST.copy : plainly(GUEST.make, { name })}
        </Button>
      </Row>
      {said ? <T role="status">{said}</T> : null}
    </View>
  );
}
