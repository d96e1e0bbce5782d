import { useState } from 'react';
import { View } from 'react-native';
import { asRead, hasSeals, sheetShort, sheetText } from '@escale/core/floatplan';
import type { Sheet } from '@escale/core/model';
import { Button, Row } from '../../ui/button';
import { later } from '../../ui/later';
import { Check } from '../../ui/mark';
import { TextLink } from '../../ui/press';
import { T } from '../../ui/text';
import { SHARE } from './words';

const Code = later(() => import('../../ui/code').then((m) => m.Code));

/**
 * The sheet goes out as text, by whatever the phone has: its own sharing, the clipboard, a code to photograph, paper. A link to
 * this machine would lead nowhere, and is never given.
 */
export function ShareSheet({
  sheet,
  trip,
}: {
  sheet: Sheet;
  /** Id of its trip, which can be printed whole. */
  trip: string;
}) {
  const [said, setSaid] = useState<string>();
  const [code, setCode] = useState(false);
  const [whole, setWhole] = useState(!hasSeals(sheet));
  const read = asRead(sheet, whole);
  const text = sheetText(read);
  const share = async () => {
    try {
      await navigator.share({ title: sheet.title, text });
      setSaid(SHARE.shared);
    } catch (error) {
      // Whoever closes the phone's own list has not failed.
      if (error instanceof DOMException && error.name === 'AbortError') return;
      setSaid(SHARE.notShared);
    }
  };
  const copy = async () => {
    try {
      await navigator.clipboard.writeText(text);
      setSaid(SHARE.copied);
    } catch {
      // Without leave to use the clipboard the text can still be marked by hand.
      setSaid(SHARE.notCopied);
    }
  };
  const canShare = typeof navigator !== 'undefined' && typeof navigator.share === 'function';
  return (
    <View style={{ gap: 6 }}>
      <T as="section" heading={3}>
        {SHARE.title}
      </T>
      <T as="soft">{SHARE.lead}</T>
      <Check label={SHARE.whole} on={whole} onChange={setWhole}>
        <T>{SHARE.whole}</T>
      </Check>
      <Row>
        {canShare ? <Button onPress={() => void share()}>{SHARE.share}</Button> : null}
        <Button onPress={() => void copy()}>{SHARE.copy}</Button>
        <Button onPress={() => setCode(!code)}>{code ? SHARE.codeClose : SHARE.code}</Button>
        <TextLink href={`/trips/${trip}/paper`}>{SHARE.print}</TextLink>
      </Row>
      {said ? (
        <T as="strong" role="status">
          {said}
        </T>
      ) : null}
      {code ? <Code text={sheetShort(read)} label={SHARE.codeIs} note={SHARE.codeNote} /> : null}
    </View>
  );
}
