import { ScrollView, View } from 'react-native';
import { T } from '../../ui/text';
import { FindingList } from './finding-card';
import { PHASES, PHASE_TITLE, phaseOf } from './sections';
import { useTrip } from './use-trip';

/** All findings of a trip, grouped by phase. */
export function FindingsPage() {
  const { assessment } = useTrip();
  return (
    <ScrollView
      role="main"
      style={{ flex: 1 }}
      contentContainerStyle={{ paddingBottom: 40, maxWidth: 760, width: '100%', alignSelf: 'center' }}
    >
      {PHASES.map((phase) => {
        const found = assessment.findings.filter((f) => phaseOf(f.section) === phase);
        return found.length === 0 ? null : (
          <View key={phase}>
            <T as="section" heading={2} style={{ padding: 12 }}>
              {PHASE_TITLE[phase]}
            </T>
            <FindingList findings={found} />
          </View>
        );
      })}
      <T as="small" style={{ padding: 12 }}>
        Escale advises; it never permits. The skipper decides, and the local authority says what holds there
        today.
      </T>
    </ScrollView>
  );
}
