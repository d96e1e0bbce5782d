import { ScrollView, View } from 'react-native';
import type { SectionId } from '@escale/core/model';
import { countLevels } from '@escale/core/verdict';
import { CardLink } from '../../ui/press';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { TOUCH } from '../../ui/tokens';
import { plainly } from '../../data/settings';
import { LEVEL_WORD } from '../trip/finding-card';
import { TripDoors } from './trip-doors';
import { findingsOf, levelOf, PHASE_TITLE, PHASES, phaseOf, SECTIONS, sectionTitle } from '../trip/sections';
import { useTrip } from '../trip/use-trip';
import { TRIP } from '../trip/words';

const COUNTED = ['stop', 'fix', 'know'] as const;

/** How many of each level stand in a section; Ready where nothing else does. */
export function useCounts(id: SectionId): string {
  const { assessment } = useTrip();
  const found = findingsOf(assessment, id);
  if (found.length === 0) return '';
  const counts = countLevels(found);
  const some = COUNTED.filter((level) => counts[level] > 0);
  return some.length === 0
    ? LEVEL_WORD.ready
    : some.map((level) => plainly(TRIP.count, { n: counts[level], level: LEVEL_WORD[level] })).join(' · ');
}

/** A section in a row: its name and all its counts; the worst tells by its form as well. */
export function SectionRow({ id, here = false }: { id: SectionId; here?: boolean }) {
  const p = usePalette();
  const { assessment, trip } = useTrip();
  const counts = useCounts(id);
  const stop = levelOf(assessment, id) === 'stop';
  return (
    <CardLink
      current={here}
      href={`/trips/${trip.id}/${id}`}
      style={{
        flexDirection: 'row',
        justifyContent: 'space-between',
        alignItems: 'center',
        gap: 8,
        minHeight: TOUCH,
        paddingHorizontal: 12,
        borderBottomWidth: 1,
        borderColor: p.line,
        backgroundColor: here ? p.water3 : 'transparent',
      }}
    >
      <T as={here ? 'strong' : 'body'} style={{ flexShrink: 1 }}>
        {sectionTitle(id)}
      </T>
      <T
        as="label"
        color={stop ? p.onCall : p.ink}
        style={stop ? { backgroundColor: p.call, paddingHorizontal: 6, paddingVertical: 2 } : {}}
      >
        {counts}
      </T>
    </CardLink>
  );
}

/** Wide: all sections of a trip beside the page, phase by phase. */
export function Sections({ here }: { here?: SectionId }) {
  const p = usePalette();
  return (
    <ScrollView
      role="navigation"
      aria-label="Sections"
      style={{ width: 264, flexGrow: 0, borderRightWidth: 1, borderColor: p.line }}
      contentContainerStyle={{ paddingVertical: 10 }}
    >
      {PHASES.map((phase) => (
        <View key={phase} style={{ marginBottom: 10 }}>
          <T as="section" heading={2} style={{ paddingHorizontal: 12 }}>
            {PHASE_TITLE[phase]}
          </T>
          {SECTIONS.filter((s) => phaseOf(s.id) === phase).map((s) => (
            <SectionRow key={s.id} id={s.id} here={s.id === here} />
          ))}
        </View>
      ))}
      <TripDoors />
    </ScrollView>
  );
}
