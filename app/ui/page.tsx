import type { ReactNode } from 'react';
import { ScrollView, useWindowDimensions, View, type ViewStyle } from 'react-native';
import { T } from './text';
import { usePalette } from './theme';
import { WIDE } from './tokens';

export const useWide = () => useWindowDimensions().width >= WIDE;

/** The scrolling body of a page that is not a trip: title, what it is for, content. */
export function Page({
  title,
  lead,
  aside,
  children,
  style,
}: {
  title: string;
  lead?: string;
  aside?: ReactNode;
  children: ReactNode;
  style?: ViewStyle;
}) {
  const p = usePalette();
  return (
    <ScrollView
      role="main"
      style={{ flex: 1, backgroundColor: p.paper }}
      contentContainerStyle={[
        { padding: 14, paddingBottom: 40, gap: 12, width: '100%', maxWidth: 760, alignSelf: 'center' },
        style,
      ]}
    >
      <View
        style={{ flexDirection: 'row', justifyContent: 'space-between', alignItems: 'flex-start', gap: 12 }}
      >
        <View style={{ flex: 1 }}>
          <T as="title" heading={1}>
            {title}
          </T>
          {lead ? <T as="soft">{lead}</T> : null}
        </View>
        {aside}
      </View>
      {children}
    </ScrollView>
  );
}

/**
 * A page by itself, without the frame: read at arm’s length with wet hands. Its last part may stand at the bottom, where the
 * thumb is.
 */
export function Alone({ children, ...rest }: { children: ReactNode; dataSet?: Record<string, string> }) {
  const p = usePalette();
  return (
    <ScrollView
      role="main"
      {...rest}
      style={{ flex: 1, backgroundColor: p.paper }}
      contentContainerStyle={{
        flexGrow: 1,
        padding: 16,
        paddingBottom: 24,
        gap: 14,
        maxWidth: 680,
        width: '100%',
        alignSelf: 'center',
      }}
    >
      {children}
    </ScrollView>
  );
}

/** A place with nothing in it yet: what belongs here and why, and the one button to begin. */
export function Empty({ title, why, children }: { title: string; why: string; children?: ReactNode }) {
  const p = usePalette();
  return (
    <View style={{ borderWidth: 1, borderStyle: 'dashed', borderColor: p.soft, padding: 16, gap: 8 }}>
      <T as="section" heading={2}>
        {title}
      </T>
      <T as="soft">{why}</T>
      {children}
    </View>
  );
}

export function Rule({ heavy }: { heavy?: boolean }) {
  const p = usePalette();
  return <View style={{ height: heavy ? 2 : 1, backgroundColor: heavy ? p.ink : p.line }} />;
}
