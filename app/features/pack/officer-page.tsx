import { ScrollView, View } from 'react-native';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { FindingCard } from '../trip/finding-card';
import { FindingRow } from '../trip/finding-row';
import { useTrip } from '../trip/use-trip';
import { officersCheck, OFFICER } from '@escale/core/kit/officer';

const WORD = { yes: 'in order', no: 'not in order', unknown: 'to be settled' } as const;

/** What an officer asks, in the order in which it is asked, answered from this trip's kit. */
export function OfficerPage() {
  const p = usePalette();
  const { assessment, trip } = useTrip();
  const stops = officersCheck(OFFICER, assessment.requirements, assessment.findings);
  const finding = (rule: string) => assessment.findings.find((f) => f.id === `kit/${rule}/${trip.id}`);
  return (
    <ScrollView
      role="main"
      style={{ flex: 1 }}
      contentContainerStyle={{ paddingBottom: 40, maxWidth: 760, width: '100%', alignSelf: 'center' }}
    >
      <View style={{ padding: 12, gap: 4 }}>
        <T as="section" heading={2}>
          Officer’s check
        </T>
        <T as="soft">
          Touch each thing as you read. The law as this rule list has it, not as it may stand today.
        </T>
      </View>
      {stops.map((stop, i) => (
        <View key={stop.id} style={{ borderTopWidth: 2, borderColor: p.ink, paddingTop: 8, marginTop: 8 }}>
          <View style={{ flexDirection: 'row', justifyContent: 'space-between', paddingHorizontal: 12 }}>
            <T as="section" heading={3}>
              {i + 1}. {stop.title}
            </T>
            <T as="strong">{WORD[stop.passes]}</T>
          </View>
          <T as="soft" style={{ paddingHorizontal: 12, paddingBottom: 4 }}>
            {stop.ask}
          </T>
          {[...stop.requirements.map((r) => finding(r.rule)), ...stop.found].map((f) =>
            f ? (
              f.level === 'ready' ? (
                <FindingRow key={f.id} finding={f} />
              ) : (
                <FindingCard key={f.id} finding={f} />
              )
            ) : null,
          )}
        </View>
      ))}
      {stops.length === 0 ? (
        <T as="soft" style={{ padding: 12 }}>
          No rule list is chosen for this water: choose one on the water’s page.
        </T>
      ) : null}
    </ScrollView>
  );
}
