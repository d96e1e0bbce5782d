import { useMemo } from 'react';
import { View } from 'react-native';
import type { CloseCall } from '@escale/core/model';
import { CLOSE_CALL_DEEDS } from '@escale/core/model/lists';
import { render } from '@escale/core/say';
import type { Replay } from '@escale/core/whatif';
import { Button, Row } from '../../ui/button';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import type { Held } from '../../data/things';
import type { ReplayJob } from '../../workers/jobs';
import { LEVEL_WORD } from '../trip/finding-card';
import { useDoMend } from '../trip/mend';
import { useTrip } from '../trip/use-trip';
import { useAsked, useSaid } from './use-what-if';
import { MISS } from './miss-words';

interface Props {
  held: Held<'debrief'>;
  miss: CloseCall;
}

/** It is run back once nothing was touched for so long, ms. */
const REST = 500;

/** What was so beside what the model says, the checks that stood open, and the things that would have caught it. */
export function ReplayView({ held, miss }: Props) {
  const { says } = useTrip();
  const asked = useAsked(false);
  const text = JSON.stringify(miss);
  const job = useMemo<ReplayJob>(() => ({ ...asked, miss: JSON.parse(text) as CloseCall }), [asked, text]);
  const { parts, done, of, failed } = useSaid('replay', job, REST);
  const last = parts.at(-1);
  const replay = last?.replay;
  if (failed) return <T role="alert">{MISS.failed}</T>;
  if (last && !replay) return <T role="status">{MISS.nowhere}</T>;
  if (!replay) return <T role="status">{of === 0 ? MISS.reckoning : says(MISS.trying, { done, of })}</T>;
  return (
    <View style={{ gap: 12 }}>
      <Beside replay={replay} />
      <Checks replay={replay} />
      <Things replay={replay} held={held} />
      <T as="small">{MISS.estimate}</T>
    </View>
  );
}

function Block({ title, children }: { title: string; children: React.ReactNode }) {
  const p = usePalette();
  return (
    <View style={{ borderTopWidth: 2, borderColor: p.ink, paddingTop: 8, gap: 6 }}>
      <T as="section" heading={3}>
        {title}
      </T>
      {children}
    </View>
  );
}

function Beside({ replay: { answer, beside } }: { replay: Replay }) {
  const { reader, says } = useTrip();
  const [worst] = answer.gaps;
  return (
    <Block title={MISS.beside}>
      {worst ? <T as="strong">{render(worst.says, reader)}</T> : null}
      <View role="list" aria-label={MISS.beside} style={{ gap: 6 }}>
        {beside.map(({ what, at, after, says: told }) => (
          <View role="listitem" key={`${what}-${String(at)}`}>
            <T as="strong">{says(MISS.row, { at, what: CLOSE_CALL_DEEDS[what], after })}</T>
            {told.map((phrase, i) => (
              <T key={i}>{render(phrase, reader)}</T>
            ))}
          </View>
        ))}
      </View>
    </Block>
  );
}

function Checks({ replay: { checks } }: { replay: Replay }) {
  const { reader, says } = useTrip();
  return (
    <Block title={MISS.checks}>
      {checks.length === 0 ? <T>{MISS.noChecks}</T> : null}
      <View role="list" aria-label={MISS.checks}>
        {checks.map(({ id, level, title }) => (
          <View role="listitem" key={id}>
            <T>{says(MISS.level, { level: LEVEL_WORD[level], title: render(title, reader) })}</T>
          </View>
        ))}
      </View>
    </Block>
  );
}

function Things({ replay: { things }, held }: { replay: Replay; held: Held<'debrief'> }) {
  const { reader, says } = useTrip();
  const mend = useDoMend();
  return (
    <Block title={MISS.things}>
      {things.length === 0 ? <T>{MISS.noThings}</T> : null}
      <View role="list" aria-label={MISS.things} style={{ gap: 10 }}>
        {things.map(({ change, then, says: minute }) => {
          const label = render(change.label, reader);
          const kept = held.doc.forgotten.includes(label);
          return (
            <View role="listitem" key={change.id} style={{ gap: 2 }}>
              <T as="strong">{label}</T>
              {minute ? <T>{render(minute, reader)}</T> : null}
              {then ? <T as="soft">{render(then.says, reader)}</T> : null}
              {kept ? (
                <T as="small">{MISS.kept}</T>
              ) : (
                <Row>
                  <Button
                    label={says('{keep}: {label}', { keep: MISS.keep, label })}
                    once
                    onPress={() =>
                      mend(
                        {
                          label: change.label,
                          do: {
                            type: 'debrief',
                            id: held.id,
                            patch: [{ op: 'append', pointer: '/forgotten', value: label }],
                          },
                        },
                        MISS.kept,
                      )
                    }
                  >
                    {MISS.keep}
                  </Button>
                </Row>
              )}
            </View>
          );
        })}
      </View>
    </Block>
  );
}
