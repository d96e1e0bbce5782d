import { View } from 'react-native';
import { render } from '@escale/core/say';
import type { Answer, Tried } from '@escale/core/whatif';
import { Button, Row } from '../../ui/button';
import { Fold } from '../../ui/fold';
import { TextLink } from '../../ui/press';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import type { Running } from '../../data/jobs';
import { useDoMend } from '../trip/mend';
import { useTrip } from '../trip/use-trip';
import { whenOf } from './when';
import { WhyOpens } from './why-opens';
import { BEST, GRADE, IF } from './words';

/** The worst gap in one sentence, and the one change that shrinks it most, one tap away. */
export function BestView({ answer, changes }: { answer: Answer; changes: Running<{ changes: Tried[] }> }) {
  const p = usePalette();
  const { reader, says } = useTrip();
  const [worst, ...others] = answer.gaps;
  const gap = worst !== undefined && worst.grade > 0;
  return (
    <View style={{ gap: 10 }}>
      <View
        role="status"
        style={{ borderWidth: 3, borderColor: p.ink, backgroundColor: p.raised, padding: 14, gap: 6 }}
      >
        {worst && gap ? (
          <>
            <T as="strong" style={{ fontSize: 20, lineHeight: 27 }}>
              {render(worst.says, reader)}
            </T>
            <T as="soft">
              {[
                GRADE_SAID[worst.grade],
                IF.estimate,
                ...(worst.leans.length > 0 ? [says(IF.leans, { what: worst.leans })] : []),
              ].join(' ')}
            </T>
          </>
        ) : (
          <T as="strong">{worst ? render(worst.says, reader) : IF.none}</T>
        )}
        {others.length > 0 ? (
          <View style={{ gap: 2 }}>
            {others.map(({ measure, says }) => (
              <T key={measure.id} as="small">
                {render(says, reader)}
              </T>
            ))}
          </View>
        ) : null}
        {answer.gaps.length > 0 ? (
          <WhyOpens
            head={<View />}
            of={render(answer.gaps[0].says, reader)}
            lines={answer.gaps.map(({ says: gap, limit, first }) =>
              [
                render(gap, reader),
                says(IF.limit, {
                  limit: whenOf(limit, answer.at, says),
                  first: whenOf(first, answer.at, says),
                }),
              ].join(' '),
            )}
          />
        ) : null}
      </View>
      {gap ? <Changes changes={changes} /> : null}
    </View>
  );
}

const GRADE_SAID = GRADE.map((word) => `${word[0].toUpperCase()}${word.slice(1)}.`);

function Changes({ changes: { parts, done, of, failed } }: { changes: Running<{ changes: Tried[] }> }) {
  const { says } = useTrip();
  const found = parts.at(-1)?.changes;
  if (failed) return <T role="alert">{IF.failed}</T>;
  if (!found) return <T role="status">{says(BEST.trying, { done, of })}</T>;
  const [best, ...others] = found;
  if (!best) return <T>{BEST.none}</T>;
  return (
    <View style={{ gap: 8 }}>
      <T as="section" heading={2}>
        {BEST.title}
      </T>
      <Offered tried={best} main />
      {others.length > 0 ? (
        <Fold title={BEST.others} note={String(others.length)}>
          <View role="list" aria-label={BEST.others} style={{ gap: 8, paddingVertical: 8 }}>
            {others.map((tried) => (
              <View role="listitem" key={tried.change.id}>
                <Offered tried={tried} />
              </View>
            ))}
          </View>
        </Fold>
      ) : null}
    </View>
  );
}

function Offered({ tried: { change, then }, main = false }: { tried: Tried; main?: boolean }) {
  const { reader, says, trip } = useTrip();
  const mend = useDoMend();
  const label = render(change.label, reader);
  return (
    <View style={{ gap: 4 }}>
      <T as="strong">{label}</T>
      <T>{then ? says(BEST.then, { what: then.says }) : BEST.closed}</T>
      {change.accepted === undefined ? (
        <Row>
          <Button
            kind={main ? 'main' : 'plain'}
            label={`${BEST.do}: ${label}`}
            once
            onPress={() =>
              mend(
                { label: change.label, do: { type: 'trip', id: trip.id, patch: change.patch } },
                says(BEST.did, { what: label }),
              )
            }
          >
            {BEST.do}
          </Button>
        </Row>
      ) : (
        <TextLink href={`/trips/${trip.id}/pack/float-plan`}>{BEST.ask}</TextLink>
      )}
    </View>
  );
}
