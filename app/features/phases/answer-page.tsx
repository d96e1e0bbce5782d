import { ScrollView, View } from 'react-native';
import { answerOf, bestOf } from '@escale/core/trip';
import type { Level } from '@escale/core/model';
import { render } from '@escale/core/say';
import { later } from '../../ui/later';
import { useWide } from '../../ui/page';
import { Fold } from '../../ui/fold';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { useNow } from '../../data/hooks';
import { plainly } from '../../data/settings';
import { Better } from './better';
import { STEP, TripScroll, useDay } from './day';
import { FindingCard } from '../trip/finding-card';
import { FindingRow } from '../trip/finding-row';
import { TripDoors } from './trip-doors';
import { SectionRow, Sections } from './sections-list';
import { SECTIONS } from '../trip/sections';
import { useTrip } from '../trip/use-trip';
import { ANSWER } from './words';

const SeatsBlock = later(() => import('../load/seats-block').then((m) => m.SeatsBlock));

/** What a trip opens with: the answer, what stands against it by harm, what to know, and the way to every section. */
export function AnswerPage() {
  const wide = useWide();
  const p = usePalette();
  return wide ? (
    <View style={{ flex: 1, flexDirection: 'row' }}>
      <Sections />
      <TripScroll first={<Answer />} style={{ maxWidth: 760 }}>
        <Better />
        <Against />
      </TripScroll>
      <ScrollView
        role="complementary"
        aria-label="What to know"
        style={{ width: 380, flexGrow: 0, borderLeftWidth: 1, borderColor: p.line }}
      >
        <View style={{ padding: 14 }}>
          <SeatsBlock still />
        </View>
        <Folded open />
      </ScrollView>
    </View>
  ) : (
    <TripScroll first={<Answer />}>
      <Better />
      <Against />
      <Folded />
      <View style={{ marginTop: 16 }}>
        <T as="caps" style={{ paddingHorizontal: 12, paddingBottom: 4 }}>
          {ANSWER.sections}
        </T>
        {SECTIONS.map((s) => (
          <SectionRow key={s.id} id={s.id} />
        ))}
      </View>
      <T as="small" style={{ padding: 12 }}>
        {ANSWER.advises}
      </T>
      <TripDoors />
    </TripScroll>
  );
}

/** The sentence, before everything else. */
function Answer() {
  return (
    <T as="title" heading={2} style={{ paddingHorizontal: 12, paddingVertical: 10 }}>
      {useAnswer()}
    </T>
  );
}

/** The answer of the trip at hand, in words. */
export function useAnswer(): string {
  const { assessment, input, reader } = useTrip();
  const { departures } = useDay();
  const now = useNow(STEP);
  const issued = input.conditions.forecast?.issuedAt;
  const best = bestOf(departures, now);
  return answerOf(assessment, {
    issuedAt: issued === undefined ? undefined : Date.parse(issued),
    best: best && best.until > best.from ? best : undefined,
  })
    .map((sentence) => render(sentence, reader))
    .join(' ');
}

/** What stops, then what is to be fixed. */
export function Against() {
  const { assessment } = useTrip();
  const at = (level: Level) => assessment.findings.filter((f) => f.level === level);
  return (
    <View>
      {[...at('stop'), ...at('fix')].map((f) => (
        <FindingCard key={f.id} finding={f} />
      ))}
    </View>
  );
}

/** What is only to be known, and what is Ready: a row each, until it is asked for. */
function Folded({ open = false }: { open?: boolean }) {
  const { assessment } = useTrip();
  const know = assessment.findings.filter((f) => f.level === 'know'),
    ready = assessment.findings.filter((f) => f.level === 'ready');
  return (
    <View>
      {know.length > 0 ? (
        <Fold title={plainly(ANSWER.know, { n: know.length })} begin={open}>
          {know.map((f) => (
            <FindingCard key={f.id} finding={f} />
          ))}
        </Fold>
      ) : null}
      {ready.length > 0 ? (
        <Fold title={plainly(ANSWER.ready, { n: ready.length })}>
          {ready.map((f) => (
            <FindingRow key={f.id} finding={f} />
          ))}
        </Fold>
      ) : null}
    </View>
  );
}
