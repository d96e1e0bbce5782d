import { useState } from 'react';
import { View } from 'react-native';
import { ask } from '../../data/api';
import { Button, Row } from '../../ui/button';
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

/** An address for one more browser of this machine. */
export function AnotherBrowser() {
  const [address, setAddress] = useState<string>();
  const [failed, setFailed] = useState<string>();
  const [busy, setBusy] = useState(false);
  const make = async () => {
    setBusy(true);
    try {
      setAddress(((await ask('/api/door/address', {})) as { address: string }).address);
      setFailed(undefined);
    } catch (error) {
      setFailed(error instanceof Error ? error.message : String(error));
    } finally {
      setBusy(false);
    }
  };
  return (
    <View style={{ gap: 8 }}>
      <T as="label">{DOOR.another}</T>
      <T as="small">{DOOR.anotherWhy}</T>
      {address ? (
        <View role="status">
          <Word>{address}</Word>
        </View>
      ) : null}
      {failed ? <T role="alert">{failed}</T> : null}
      <Row>
        <Button busy={busy} onPress={() => void make()}>
          {DOOR.make}
        </Button>
      </Row>
    </View>
  );
}
