import type { ReactNode } from 'react';
import { ScrollView, View } from 'react-native';
import { Button } from '../../ui/button';
import { TextLink } from '../../ui/press';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
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
  const p = usePalette();
  return (
    <ScrollView
      role="main"
      style={{ flex: 1, backgroundColor: p.paper }}
      contentContainerStyle={{
        flexGrow: 1,
        padding: 16,
        gap: 14,
        maxWidth: 620,
        width: '100%',
        alignSelf: 'center',
      }}
    >
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
    </ScrollView>
  );
}
