import { useState, type ReactNode } from 'react';
import { View } from 'react-native';
import { Button, Row } from '../../ui/button';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { FORECAST } from './words';

/** What is typed by hand: what is here of it, the form that opens over it, and the way to take it away. */
export function TypedFrame({
  title,
  said,
  typed,
  fixed = false,
  id,
  onDrop,
  form,
  word,
  also,
}: {
  title: string;
  said: string;
  /** It was typed, so that it can be changed and taken away. */
  typed: boolean;
  /** It comes from elsewhere and can't be typed over. */
  fixed?: boolean;
  id?: string;
  onDrop: () => void;
  form: (close: () => void) => ReactNode;
  /** What the button says that opens the form. */
  word?: string;
  /** Another way to have it, beside typing. */
  also?: ReactNode;
}) {
  const p = usePalette();
  const [open, setOpen] = useState(false);
  return (
    <View style={{ gap: 8 }} {...(id ? { id, tabIndex: -1 } : {})} role="group" aria-label={title}>
      <T as="section" heading={3}>
        {title}
      </T>
      <T as="soft">{said}</T>
      {open ? (
        <View style={{ gap: 10, borderTopWidth: 2, borderColor: p.ink, paddingTop: 10 }}>
          {form(() => setOpen(false))}
        </View>
      ) : fixed ? null : (
        <Row>
          {also}
          <Button onPress={() => setOpen(true)}>{word ?? (typed ? FORECAST.change : FORECAST.type)}</Button>
          {typed ? (
            <Button kind="quiet" onPress={onDrop}>
              {FORECAST.drop}
            </Button>
          ) : null}
        </Row>
      )}
    </View>
  );
}

/** Keep it, or leave it: what ends every form of this kind. */
export function KeepOrLeave({ onKeep, onLeave }: { onKeep: () => void; onLeave: () => void }) {
  return (
    <Row>
      <Button kind="main" onPress={onKeep}>
        {FORECAST.keep}
      </Button>
      <Button kind="quiet" onPress={onLeave}>
        {FORECAST.leave}
      </Button>
    </Row>
  );
}
