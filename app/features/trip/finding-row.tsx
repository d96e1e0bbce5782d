import { useState } from 'react';
import { View } from 'react-native';
import type { Finding } from '@escale/core/model';
import { render } from '@escale/core/say';
import { Press } from '../../ui/press';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { plainly } from '../../data/settings';
import { FindingCard, Fresh, LEVEL_WORD, SourceLine } from './finding-card';
import { useTrip } from './use-trip';
import { TRIP } from './words';

/** One row for a finding that neither stops nor is to be fixed: what, why in short, how it stands. It opens. */
export function FindingRow({ finding, fresh = false }: { finding: Finding; fresh?: boolean }) {
  const p = usePalette();
  const { reader } = useTrip();
  const [open, setOpen] = useState(false);
  const title = render(finding.title, reader);
  const level = LEVEL_WORD[finding.level];
  const know = finding.level === 'know';
  const why = finding.because[0] && render(finding.because[0], reader);
  return (
    <View style={{ borderBottomWidth: 1, borderColor: p.line }}>
      <Press
        label={plainly(TRIP.row, { level, title })}
        expanded={open}
        onPress={() => setOpen(!open)}
        style={{
          flexDirection: 'row',
          alignItems: 'center',
          gap: 8,
          minHeight: 52,
          paddingVertical: 4,
          paddingRight: 12,
          paddingLeft: know ? 5 : 12,
          ...(know ? { borderLeftWidth: 7, borderStyle: 'dotted' as const, borderColor: p.soft } : {}),
        }}
      >
        <View style={{ flex: 1 }}>
          <T as="strong">{title}</T>
          {why && !open ? (
            <T as="small" numberOfLines={2}>
              {why}
            </T>
          ) : null}
          {finding.assumed.length > 0 && !open ? (
            <T as="small">
              {plainly(TRIP.assumed, { what: finding.assumed.map((a) => render(a, reader)).join(' ') })}
            </T>
          ) : null}
        </View>
        {fresh ? <Fresh ink={p.ink} /> : null}
        <T as="strong" style={{ fontSize: 14 }}>
          {level}
        </T>
      </Press>
      {open && know ? <FindingCard finding={finding} /> : null}
      {open && !know ? (
        <View style={{ gap: 4, paddingHorizontal: 12, paddingBottom: 8 }}>
          {finding.because.map((b, i) => (
            <T key={i} as="soft">
              {render(b, reader)}
            </T>
          ))}
          <SourceLine finding={finding} />
        </View>
      ) : null}
    </View>
  );
}
