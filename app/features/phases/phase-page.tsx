import { ScrollView, View } from 'react-native';
import { Redirect, useLocalSearchParams, useRouter } from 'expo-router';
import type { SectionId } from '@escale/core/model';
import { render } from '@escale/core/say';
import { Button } from '../../ui/button';
import { later } from '../../ui/later';
import { useWide } from '../../ui/page';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { FindingList } from '../trip/finding-list';
import { Figures } from '../trip/figure-view';
import { Against } from './answer-page';
import { TripScroll } from './day';
import { PHASES, phaseOf, SECTIONS, sectionTitle, levelOf, findingsOf } from '../trip/sections';
import { Sections, useCounts } from './sections-list';
import { SectionBody } from './section-body';
import { TripDoors } from './trip-doors';
import { useTrip } from '../trip/use-trip';
import { TRIP } from '../trip/words';
import { plainly } from '../../data/settings';
import { CardLink } from '../../ui/press';

const KitTable = later(() => import('../pack/kit-table').then((m) => m.KitTable));

/** The figures that stand on a section's card. */
const SHOWN: Partial<Record<SectionId, string[]>> = {
  'plan/day': ['passage/turn-back', 'body/water'],
  'pack/load': ['boat/load', 'boat/share'],
  'go/under-way': ['passage/latest-turn'],
};

/** A phase: its sections as cards on a phone; on a wide screen the first section at once. */
export function PhasePage() {
  const { id, phase } = useLocalSearchParams<{ id: string; phase: string }>();
  const wide = useWide();
  if (!(PHASES as readonly string[]).includes(phase)) return <Redirect href={`/trips/${id}/plan`} />;
  const sections = SECTIONS.filter((s) => phaseOf(s.id) === phase);
  if (wide) return <Columns section={sections[0].id} />;
  return (
    <TripScroll>
      {sections.map((s) => (
        <SectionCard key={s.id} id={s.id} title={s.title} lead={s.lead} />
      ))}
      {phase === 'plan' ? <TripDoors /> : null}
    </TripScroll>
  );
}

function SectionCard({ id, title, lead }: { id: SectionId; title: string; lead: string }) {
  const p = usePalette();
  const { assessment, reader, trip } = useTrip();
  const found = findingsOf(assessment, id);
  const level = levelOf(assessment, id);
  const counts = useCounts(id);
  const stop = level === 'stop';
  const worst = found.find((f) => f.level === level);
  const text = worst
    ? render(level === 'ready' ? (worst.because[0] ?? worst.title) : worst.title, reader)
    : lead;
  const why = worst && level !== 'ready' && worst.because[0] ? render(worst.because[0], reader) : undefined;
  const ink = stop ? p.onCall : p.ink,
    soft = stop ? p.onCall : p.soft;
  return (
    <CardLink
      label={
        level
          ? plainly(TRIP.sectionAt, { title, level: counts, text })
          : plainly(TRIP.section, { title, text })
      }
      href={`/trips/${trip.id}/${id}`}
      style={{
        flexDirection: 'row',
        backgroundColor: stop ? p.call : p.raised,
        borderBottomWidth: 1,
        borderColor: stop ? p.call : p.line,
        minHeight: 64,
      }}
    >
      {level === 'fix' ? (
        <View style={{ width: 8, backgroundColor: p.ink }} />
      ) : level === 'know' ? (
        <View style={{ width: 8, borderLeftWidth: 7, borderStyle: 'dotted', borderColor: p.soft }} />
      ) : null}
      <View style={{ flex: 1, paddingHorizontal: 12, paddingVertical: 10, gap: 2 }}>
        <View style={{ flexDirection: 'row', justifyContent: 'space-between' }}>
          <T as="section" heading={2} color={ink}>
            {title}
          </T>
          <T as="label" color={ink}>
            {counts}
          </T>
        </View>
        {SHOWN[id] ? <Figures still {...(stop ? { ink } : {})} names={SHOWN[id]} /> : null}
        <T color={why ? ink : soft}>{text}</T>
        {why ? (
          <T color={soft} numberOfLines={3}>
            {why}
          </T>
        ) : null}
      </View>
    </CardLink>
  );
}

/** One section: what is open about it, then what can be changed. */
export function SectionPage() {
  const { id, phase, section } = useLocalSearchParams<{ id: string; phase: string; section: string }>();
  const wide = useWide();
  const router = useRouter();
  const { assessment } = useTrip();
  const known = SECTIONS.find((s) => s.id === `${phase}/${section}`);
  if (!known) return <Redirect href={`/trips/${id}/plan`} />;
  // Under way nothing else is on the screen.
  if (known.id === 'go/under-way') return <SectionBody id={known.id} />;
  if (wide) return <Columns section={known.id} />;
  return (
    <TripScroll>
      <View
        style={{
          flexDirection: 'row',
          alignItems: 'center',
          justifyContent: 'space-between',
          paddingHorizontal: 12,
          minHeight: 48,
        }}
      >
        <T as="section" heading={2}>
          {known.title}
        </T>
        <Button kind="quiet" onPress={() => router.push(`/trips/${id}/${phase}`)}>
          {plainly(TRIP.allOf, { phase })}
        </Button>
      </View>
      {known.id === 'pack/kit' ? null : (
        <FindingList findings={findingsOf(assessment, known.id).filter((f) => f.level !== 'ready')} />
      )}
      <View style={{ padding: 12, gap: 12 }}>
        <SectionBody id={known.id} />
      </View>
      {known.id === 'pack/kit' ? null : (
        <FindingList findings={findingsOf(assessment, known.id).filter((f) => f.level === 'ready')} />
      )}
    </TripScroll>
  );
}

/** Wide: phases and sections, the section, and the findings that touch it, side by side. */
function Columns({ section }: { section: SectionId }) {
  const p = usePalette();
  const { assessment } = useTrip();
  const known = SECTIONS.find((s) => s.id === section);
  const found = findingsOf(assessment, section);
  return (
    <View style={{ flex: 1, flexDirection: 'row' }}>
      <Sections here={section} />
      <ScrollView
        role="main"
        style={{ flex: 1 }}
        contentContainerStyle={{ padding: 20, gap: 12, maxWidth: 720 }}
      >
        <View>
          <T as="section" heading={2}>
            {sectionTitle(section)}
          </T>
          <T as="soft">{known?.lead}</T>
        </View>
        <SectionBody id={section} />
      </ScrollView>
      {section === 'pack/kit' ? (
        <KitTable />
      ) : (
        <ScrollView
          role="complementary"
          aria-label="Findings"
          style={{ width: 360, flexGrow: 0, borderLeftWidth: 1, borderColor: p.line }}
        >
          {found.length > 0 ? (
            <FindingList findings={found} />
          ) : (
            <>
              <T as="soft" style={{ padding: 14 }}>
                Nothing was found about this section. Of the trip as a whole:
              </T>
              <Against />
            </>
          )}
        </ScrollView>
      )}
    </View>
  );
}
