import { View } from 'react-native';
import type { Finding, Level } from '@escale/core/model';
import { T } from '../../ui/text';
import { plainly } from '../../data/settings';
import { FindingCard } from './finding-card';
import { FindingRow } from './finding-row';
import { TRIP } from './words';

/** The findings of a section: what stops and what is to be fixed first and big, the rest in rows. */
export function FindingList({
  findings,
  fresh,
}: {
  findings: Finding[];
  fresh?: (finding: Finding) => boolean;
}) {
  const at = (...levels: Level[]) => findings.filter((f) => levels.includes(f.level));
  const set = at('ready');
  return (
    <View style={{ gap: 0 }}>
      {at('stop', 'fix').map((f) => (
        <FindingCard key={f.id} finding={f} fresh={fresh?.(f) ?? false} />
      ))}
      {at('know').map((f) => (
        <FindingRow key={f.id} finding={f} fresh={fresh?.(f) ?? false} />
      ))}
      {set.length > 0 ? (
        <T as="caps" style={{ marginTop: 14, marginBottom: 2, paddingHorizontal: 12 }}>
          {plainly(TRIP.ready, { n: set.length })}
        </T>
      ) : null}
      {set.map((f) => (
        <FindingRow key={f.id} finding={f} fresh={fresh?.(f) ?? false} />
      ))}
    </View>
  );
}
