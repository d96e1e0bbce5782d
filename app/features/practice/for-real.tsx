import { View } from 'react-native';
import { DRILLS } from '@escale/core/model/lists';
import { saysTo } from '@escale/core/say';
import { CardLink } from '../../ui/press';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { useKind } from '../../data/hooks';
import { useReader } from '../../data/settings';
import { drillsHref } from '../../data/where';
import { PRACTICE } from './words';

/** The way to the drills of the real world, and what was noted last. */
export function ForReal() {
  const p = usePalette();
  const says = saysTo(useReader('UTC'));
  const drills = useKind('drill').map(({ doc }) => doc);
  const told = useKind('debrief').length;
  const last = [...drills].sort((a, b) => b.on.localeCompare(a.on)).at(0);
  return (
    <View style={{ gap: 8 }}>
      <T as="section" heading={2}>
        {PRACTICE.real}
      </T>
      <CardLink
        href={drillsHref()}
        label={PRACTICE.realGo}
        style={{ borderWidth: 2, borderColor: p.ink, backgroundColor: p.raised, padding: 12, minHeight: 64 }}
      >
        <T as="section" heading={3}>
          {PRACTICE.realGo}
        </T>
        <T as="soft">
          {last ? says(PRACTICE.realLast, { what: DRILLS[last.kind], on: last.on }) : PRACTICE.realNever}
        </T>
      </CardLink>
      <CardLink
        href="/practice/logbook"
        label={PRACTICE.logGo}
        style={{ borderWidth: 2, borderColor: p.ink, backgroundColor: p.raised, padding: 12, minHeight: 64 }}
      >
        <T as="section" heading={3}>
          {PRACTICE.logGo}
        </T>
        <T as="soft">{told > 0 ? says(PRACTICE.logWhat, { n: told }) : PRACTICE.logNone}</T>
      </CardLink>
    </View>
  );
}
