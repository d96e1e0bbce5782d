import { Pressable, ScrollView, View } from 'react-native';
import { Redirect, useLocalSearchParams, useRouter } from 'expo-router';
import type { SectionId } from '@escale/core/model';
import { render } from '@escale/core/say';
import { Button } from '../../ui/button';
import { useWide } from '../../ui/page';
import { Staff } from '../../ui/staff';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { FindingList, LEVEL_WORD } from './finding-card';
import { Figures } from './figure-view';
import { PHASES, phaseOf, SECTIONS, sectionTitle, levelOf, findingsOf, type Phase } from './sections';
import { SectionBody } from './section-body';
import { RemoveTrip } from './remove-trip';
import { useTrip } from './use-trip';

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
  const { assessment } = useTrip();
  if (!(PHASES as readonly string[]).includes(phase)) return <Redirect href={`/trips/${id}/plan`} />;
  const sections = SECTIONS.filter((s) => phaseOf(s.id) === phase);
  if (wide) return <Columns section={sections[0].id} />;
  const levels = sections.map((s) => levelOf(assessment, s.id));
  return (
    <View style={{ flex: 1, flexDirection: 'row' }}>
      <Staff
        width={18}
        set={levels.filter((l) => l === 'ready' || l === undefined).length / levels.length}
        stops={levels.flatMap((l, i) => (l === 'stop' ? [(i + 0.5) / levels.length] : []))}
      />
      <ScrollView role="main" style={{ flex: 1 }} contentContainerStyle={{ paddingBottom: 24 }}>
        {sections.map((s) => (
          <SectionCard key={s.id} id={s.id} title={s.title} lead={s.lead} />
        ))}
        {phase === 'plan' ? <RemoveTrip /> : null}
      </ScrollView>
    </View>
  );
}

function SectionCard({ id, title, lead }: { id: SectionId; title: string; lead: string }) {
  const p = usePalette();
  const router = useRouter();
  const { assessment, reader, trip } = useTrip();
  const found = findingsOf(assessment, id);
  const level = levelOf(assessment, id);
  const stop = level === 'stop';
  const worst = found.find((f) => f.level === level);
  const text = worst
    ? render(level === 'ready' ? (worst.because[0] ?? worst.title) : worst.title, reader)
    : lead;
  const why = worst && level !== 'ready' && worst.because[0] ? render(worst.because[0], reader) : undefined;
  const ink = stop ? p.onCall : p.ink,
    soft = stop ? p.onCall : p.soft;
  return (
    <Pressable
      role="link"
      aria-label={`${title}${level ? `: ${LEVEL_WORD[level]}` : ''}. ${text}`}
      onPress={() => router.push(`/trips/${trip.id}/${id}`)}
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
          {level ? (
            <T as="strong" color={ink} style={{ fontSize: 14 }}>
              {LEVEL_WORD[level]}
            </T>
          ) : null}
        </View>
        {SHOWN[id] ? <Figures still names={SHOWN[id]} /> : null}
        <T color={why ? ink : soft}>{text}</T>
        {why ? (
          <T color={soft} numberOfLines={3}>
            {why}
          </T>
        ) : null}
      </View>
    </Pressable>
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
    <ScrollView role="main" style={{ flex: 1 }} contentContainerStyle={{ paddingBottom: 40 }}>
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
        <Button
          kind="quiet"
          label={`All of ${phase}`}
          onPress={() => router.push(`/trips/${id}/${phase}`)}
        >{`all of ${phase}`}</Button>
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
    </ScrollView>
  );
}

/** Wide: phases and sections, the section, and the findings that touch it, side by side. */
function Columns({ section }: { section: SectionId }) {
  const p = usePalette();
  const router = useRouter();
  const { assessment, trip } = useTrip();
  const levels = SECTIONS.map((s) => levelOf(assessment, s.id));
  const known = SECTIONS.find((s) => s.id === section);
  return (
    <View style={{ flex: 1, flexDirection: 'row' }}>
      <Staff
        width={24}
        set={levels.filter((l) => l === 'ready' || l === undefined).length / levels.length}
        stops={levels.flatMap((l, i) => (l === 'stop' ? [(i + 0.5) / levels.length] : []))}
      />
      <ScrollView
        role="navigation"
        aria-label="Sections"
        style={{ width: 226, flexGrow: 0, borderRightWidth: 1, borderColor: p.line }}
        contentContainerStyle={{ padding: 14, gap: 2 }}
      >
        {PHASES.map((phase: Phase) => (
          <View key={phase} style={{ marginBottom: 8 }}>
            <T as="section" heading={2}>
              {phase[0].toUpperCase() + phase.slice(1)}
            </T>
            {SECTIONS.filter((s) => phaseOf(s.id) === phase).map((s) => {
              const level = levelOf(assessment, s.id),
                here = s.id === section;
              return (
                <Pressable
                  key={s.id}
                  role="link"
                  aria-current={here ? 'page' : undefined}
                  onPress={() => router.push(`/trips/${trip.id}/${s.id}`)}
                  style={{
                    flexDirection: 'row',
                    justifyContent: 'space-between',
                    alignItems: 'center',
                    minHeight: 34,
                    paddingHorizontal: 6,
                    marginHorizontal: -6,
                    backgroundColor: here ? p.water3 : 'transparent',
                  }}
                >
                  <T as={here ? 'strong' : 'body'}>{s.title}</T>
                  {level ? (
                    <T
                      as="strong"
                      color={level === 'stop' ? p.onCall : p.ink}
                      style={{
                        fontSize: 14,
                        ...(level === 'stop' ? { backgroundColor: p.call, paddingHorizontal: 6 } : {}),
                      }}
                    >
                      {LEVEL_WORD[level]}
                    </T>
                  ) : null}
                </Pressable>
              );
            })}
          </View>
        ))}
        <RemoveTrip />
      </ScrollView>
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
      {section === 'pack/kit' ? null : (
        <ScrollView
          role="complementary"
          aria-label="Findings"
          style={{ width: 360, flexGrow: 0, borderLeftWidth: 1, borderColor: p.line }}
        >
          <FindingList findings={findingsOf(assessment, section)} />
          {findingsOf(assessment, section).length === 0 ? (
            <T as="soft" style={{ padding: 14 }}>
              Nothing was found about this section.
            </T>
          ) : null}
        </ScrollView>
      )}
    </View>
  );
}
