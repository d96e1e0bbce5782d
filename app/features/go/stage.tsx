import type { ReactNode } from 'react';
import { View } from 'react-native';
import { Button } from '../../ui/button';
import { TextLink } from '../../ui/press';
import { Alone } from '../../ui/page';
import { T } from '../../ui/text';
import { GO } from './words';

/** A page of the runner: what is walked, how far, the way out and the way to the cards of trouble. */
export function Stage({
  title,
  note,
  leave,
  trouble,
  children,
}: {
  title: string;
  note?: string;
  leave: () => void;
  /** Address of the cards; absent at home, in a drill. */
  trouble?: string | undefined;
  children: ReactNode;
}) {
  return (
    <Alone>
      <View style={{ flexDirection: 'row', justifyContent: 'space-between', alignItems: 'center', gap: 14 }}>
        <View style={{ flex: 1 }}>
          <T as="strong" heading={1}>
            {title}
          </T>
          {note ? <T as="label">{note}</T> : null}
        </View>
        {trouble ? <TextLink href={trouble}>{GO.trouble}</TextLink> : null}
        <Button kind="quiet" label="Leave the steps" onPress={leave}>
          leave
        </Button>
      </View>
      {children}
    </Alone>
  );
}
