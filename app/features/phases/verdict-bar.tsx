import { View } from 'react-native';
import { useRouter } from 'expo-router';
import type { Finding } from '@escale/core/model';
import { render } from '@escale/core/say';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { mendHref } from '../../data/where';
import { LEVEL_WORD } from '../trip/finding-card';
import { useDoMend } from '../trip/mend';
import { useAnswer } from './answer-page';
import { useTrip } from '../trip/use-trip';
import { countLevels } from '@escale/core/verdict';
import { TRIP } from '../trip/words';
import { plainly } from '../../data/settings';
import { CardLink, Press } from '../../ui/press';

const COUNTED = ['stop', 'fix'] as const;

/** The answer in a sentence, how much stops and how much is to be fixed, and the first of it one tap away. Tap: all of it. */
export function VerdictBar() {
  const p = usePalette();
  const router = useRouter();
  const { assessment, reader, trip } = useTrip();
  const doMend = useDoMend();
  const answer = useAnswer();
  const counts = countLevels(assessment.findings);
  const words = COUNTED.filter((l) => counts[l] > 0).map((l) =>
    plainly(TRIP.count, { n: counts[l], level: LEVEL_WORD[l] }),
  );
  const next = assessment.findings.find((f) => f.level !== 'ready' && f.mend);
  const act = ({ mend, section }: Finding) => {
    if (!mend) return;
    const href = mendHref(mend, trip.id, section);
    if (href === undefined) doMend(mend, render(mend.label, reader));
    else router.push(href);
  };
  const said = words.length > 0 ? words.join(' · ') : plainly(TRIP.allReady, { n: counts.ready });
  return (
    <View
      role="region"
      aria-label="Verdict"
      style={{ flexDirection: 'row', alignItems: 'center', backgroundColor: p.ink, minHeight: 50 }}
    >
      <CardLink
        label={plainly(TRIP.verdict, { said: answer })}
        href={`/trips/${trip.id}`}
        style={{ flex: 1, paddingHorizontal: 14, minHeight: 50, justifyContent: 'center' }}
      >
        <T as="strong" color={p.paper} numberOfLines={1}>
          {answer}
        </T>
        <T as="label" color={p.paper} numberOfLines={1}>
          {[said, next?.mend && plainly(TRIP.next, { what: lower(render(next.mend.label, reader)) })]
            .filter(Boolean)
            .join(' · ')}
        </T>
      </CardLink>
      {next ? (
        <Press
          label={plainly(TRIP.mend, { title: render(next.title, reader) })}
          onPress={() => act(next)}
          style={{
            borderWidth: 2,
            borderColor: p.paper,
            minHeight: 44,
            minWidth: 72,
            justifyContent: 'center',
            alignItems: 'center',
            marginRight: 14,
            paddingHorizontal: 14,
          }}
        >
          <T as="strong" color={p.paper}>
            Fix
          </T>
        </Press>
      ) : null}
    </View>
  );
}

const lower = (text: string) => text.charAt(0).toLowerCase() + text.slice(1);
