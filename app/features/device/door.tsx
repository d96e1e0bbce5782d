import { useState } from 'react';
import { View } from 'react-native';
import * as z from 'zod';
import { ask } from '../../data/api';
import { Button, Row } from '../../ui/button';
import { later } from '../../ui/later';
import { Page } from '../../ui/page';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { DOOR } from './words';

/** What a browser sees that was not let in and has nothing kept. */
export function Door() {
  return (
    <Page title={DOOR.title} lead={DOOR.why}>
      <T>{DOOR.first}</T>
      <Word>{DOOR.command}</Word>
      <T>{DOOR.then}</T>
    </Page>
  );
}

/** Something that is taken letter by letter. */
function Word({ children }: { children: string }) {
  const p = usePalette();
  return (
    <View style={{ borderWidth: 1, borderColor: p.line, backgroundColor: p.raised, padding: 10 }}>
      <T as="strong" selectable>
        {children}
      </T>
    </View>
  );
}

const Code = later(() => import('../../ui/code').then((m) => m.Code));
const Made = z.object({ address: z.url(), reaches: z.boolean().optional() });

/** An address for one more browser, to scan or to type. */
export function AnotherBrowser() {
  const [made, setMade] = useState<z.infer<typeof Made>>();
  const [failed, setFailed] = useState(false);
  const [busy, setBusy] = useState(false);
  const make = async () => {
    setBusy(true);
    try {
      setMade(Made.parse(await ask('/api/door/address', {})));
      setFailed(false);
    } catch {
      setFailed(true);
    } finally {
      setBusy(false);
    }
  };
  return (
    <View style={{ gap: 8 }}>
      <T as="section" heading={2}>
        {DOOR.another}
      </T>
      <T as="small">{DOOR.anotherWhy}</T>
      {made ? (
        <View role="status" style={{ gap: 8 }}>
          <Code text={made.address} label={DOOR.codeIs} note={DOOR.codeNote} />
          <Word>{made.address}</Word>
          {made.reaches === false ? <T as="strong">{DOOR.here}</T> : null}
        </View>
      ) : null}
      {failed ? <T role="alert">{DOOR.failed}</T> : null}
      <Row>
        <Button busy={busy} onPress={() => void make()}>
          {DOOR.make}
        </Button>
      </Row>
    </View>
  );
}
