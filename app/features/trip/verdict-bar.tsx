import { Pressable, View } from 'react-native';
import { useRouter } from 'expo-router';
import type { Finding } from '@escale/core/model';
import { render } from '@escale/core/say';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { mendHref } from '../../data/where';
import { LEVEL_WORD } from './finding-card';
import { useDoMend } from './mend';
import { useTrip } from './use-trip';
import { countLevels } from '@escale/core/verdict';

const COUNTED = ['stop', 'fix', 'know'] as const;

/** The worst level in words, the counts, and the next thing to mend. Tap: all findings. */
export function VerdictBar() {
  const p = usePalette();
  const router = useRouter();
  const { assessment, reader, trip } = useTrip();
  const doMend = useDoMend();
  const counts = countLevels(assessment.findings);
  const words = COUNTED.filter((l) => counts[l] > 0).map((l) => `${counts[l]} ${LEVEL_WORD[l]}`);
  const next = assessment.findings.find((f) => f.level !== 'ready' && f.mend);
  const act = ({ mend }: Finding) => {
    if (!mend) return;
    const href = mendHref(mend, trip.id);
    if (href === undefined) doMend(mend, render(mend.label, reader));
    else router.push(href);
  };
  const said = words.length > 0 ? words.join(' · ') : `All Ready, ${counts.ready} looked at`;
  return (
    <View
      role="region"
      aria-label="Verdict"
      style={{ flexDirection: 'row', alignItems: 'center', backgroundColor: p.ink, minHeight: 60 }}
    >
      <Pressable
        role="link"
        aria-label={`Verdict: ${said}. Read all findings`}
        onPress={() => router.push(`/trips/${trip.id}/findings`)}
        style={{
          flex: 1,
          paddingHorizontal: 14,
          paddingVertical: 8,
          minHeight: 60,
          justifyContent: 'center',
        }}
      >
        <T as="section" color={p.paper}>
          {said}
        </T>
        <T as="label" color={p.paper} numberOfLines={1}>
          {next?.mend
            ? `next: ${lower(render(next.mend.label, reader))}`
            : 'Escale advises; it never permits.'}
        </T>
      </Pressable>
      {next ? (
        <Pressable
          role="button"
          aria-label={`Mend: ${render(next.title, reader)}`}
          onPress={() => act(next)}
          style={{
            borderWidth: 2,
            borderColor: p.paper,
            minHeight: 46,
            minWidth: 72,
            justifyContent: 'center',
            alignItems: 'center',
            marginRight: 14,
            paddingHorizontal: 14,
          }}
        >
          <T as="strong" color={p.paper}>
            Mend
          </T>
        </Pressable>
      ) : null}
    </View>
  );
}

const lower = (text: string) => text.charAt(0).toLowerCase() + text.slice(1);
