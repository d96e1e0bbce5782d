import { useState } from 'react';
import { View } from 'react-native';
import { useRouter } from 'expo-router';
import type { Finding, Level, Mend, SectionId } from '@escale/core/model';
import { render } from '@escale/core/say';
import { sourceOf } from '@escale/core/sources';
import { Button, Row } from '../../ui/button';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { mendHref } from '../../data/where';
import { FigureView } from './figure-view';
import { meaningsIn } from './meaning';
import { useDoMend } from './mend';
import { useTrip } from './use-trip';
import { TRIP } from './words';
import { plainly } from '../../data/settings';

export const LEVEL_WORD: Record<Level, string> = { stop: 'Stop', fix: 'Fix', know: 'Know', ready: 'Ready' };
const HOW: Record<string, string> = {
  'run-here': 'reckoned here by published code',
  'closed-form': 'follows by arithmetic',
  recalled: 'written down from memory',
  'common-practice': 'common practice, no published source',
  'own-estimate': 'our own estimate',
};
const SURE: Record<string, string> = { H: 'quite sure', M: 'fairly sure', L: 'a hint only' };

/** The edge that tells a level without colour: Stop a block, Fix a bar, Know dots, Ready nothing. */
function Edge({ level }: { level: Level }) {
  const p = usePalette();
  if (level === 'fix') return <View style={{ width: 8, backgroundColor: p.ink }} />;
  if (level === 'know')
    return <View style={{ width: 8, borderLeftWidth: 7, borderStyle: 'dotted', borderColor: p.soft }} />;
  return null;
}

/** So many sentences stand on a card; the rest under "why". */
const SHOWN = 2;

/** One finding: what was compared, why, and the one tap that mends it. */
export function FindingCard({
  finding,
  fresh = false,
}: {
  finding: Finding;
  /** Not there at the last look. */ fresh?: boolean;
}) {
  const p = usePalette();
  const { reader, assessment } = useTrip();
  const [open, setOpen] = useState(false);
  const stop = finding.level === 'stop';
  const ink = stop ? p.onCall : p.ink,
    soft = stop ? p.onCall : p.soft;
  const lines = finding.because.map((because) => render(because, reader));
  const first = lines.slice(0, SHOWN),
    more = lines.slice(SHOWN);
  return (
    <View
      role="group"
      aria-label={`${LEVEL_WORD[finding.level]}: ${render(finding.title, reader)}`}
      style={{
        flexDirection: 'row',
        backgroundColor: stop ? p.call : p.raised,
        borderBottomWidth: 1,
        borderColor: stop ? p.call : p.line,
      }}
    >
      <Edge level={finding.level} />
      <View style={{ flex: 1, padding: 12, gap: 4 }}>
        <View style={{ flexDirection: 'row', justifyContent: 'space-between', gap: 8 }}>
          <T as="section" heading={3} color={ink} style={{ flex: 1, fontSize: 17 }}>
            {render(finding.title, reader)}
          </T>
          {fresh ? <Fresh ink={ink} /> : null}
          <T as="strong" color={ink} style={{ fontSize: 14 }}>
            {LEVEL_WORD[finding.level]}
          </T>
        </View>
        {first.map((line, i) => (
          <T key={i} color={soft}>
            {line}
          </T>
        ))}
        {/* What is only assumed stands beside what leans on it, never a tap away. */}
        {finding.assumed.length > 0 ? (
          <T as="small" color={soft}>
            {plainly(TRIP.assumed, { what: finding.assumed.map((a) => render(a, reader)).join(' ') })}
          </T>
        ) : null}
        <Row style={{ marginTop: 2 }}>
          {finding.mend ? (
            <MendButton mend={finding.mend} from={finding.section} kind={stop ? 'onCall' : 'plain'} />
          ) : null}
          <Button
            kind="quiet"
            ink={ink}
            label={plainly(TRIP.why, { title: render(finding.title, reader) })}
            onPress={() => setOpen(!open)}
          >
            {open ? 'less' : 'why?'}
          </Button>
        </Row>
        {open ? (
          <View
            style={{
              gap: 6,
              ...(stop ? { backgroundColor: p.raised, padding: 10, marginHorizontal: -2 } : {}),
            }}
          >
            {more.map((line, i) => (
              <T key={i} as="soft">
                {line}
              </T>
            ))}
            {meaningsIn([render(finding.title, reader), ...first, ...more].join(' ')).map((line) => (
              <T key={line} as="small">
                {line}
              </T>
            ))}
            {finding.others ? (
              <Row>
                <T as="soft">Or, the cheaper first:</T>
                {finding.others.map((mend, i) => (
                  <MendButton key={i} mend={mend} from={finding.section} kind="plain" />
                ))}
              </Row>
            ) : null}
            {finding.figures.flatMap((id) =>
              assessment.figures[id] ? <FigureView key={id} figure={assessment.figures[id]} small /> : [],
            )}
            <SourceLine finding={finding} />
          </View>
        ) : null}
      </View>
    </View>
  );
}

/** One tap: to the very field, or done on the spot. */
export function MendButton({
  mend,
  from,
  kind,
}: {
  mend: Mend;
  /** Where one was, and comes back to. */
  from: SectionId;
  kind: 'plain' | 'onCall';
}) {
  const { reader, trip } = useTrip();
  const router = useRouter();
  const doMend = useDoMend();
  const href = mendHref(mend, trip.id, from);
  if (href === undefined && !('do' in mend)) return null;
  const label = render(mend.label, reader);
  return (
    <Button kind={kind} onPress={() => (href === undefined ? doMend(mend, label) : router.push(href))}>
      {label}
    </Button>
  );
}

/** Which text, which section, how sure, since when. Law is always sent to the authority. */
export function SourceLine({ finding: { id, source } }: { finding: Pick<Finding, 'id' | 'source'> }) {
  const { assessment, trip } = useTrip();
  if (!source) return null;
  const known = sourceOf(source.id);
  const law = assessment.requirements.some((r) => r.layer === 'law' && id === `kit/${r.rule}/${trip.id}`);
  return (
    <View style={{ gap: 2 }}>
      <T as="small">
        {[
          known?.title ?? source.id,
          source.section,
          known && HOW[known.how],
          source.confidence && SURE[source.confidence],
          source.noted && plainly(TRIP.noted, { on: source.noted }),
          source.verified === false ? 'not verified' : undefined,
        ]
          .filter(Boolean)
          .join(' · ')}
      </T>
      {law ? <T as="small">Ask the local authority what holds there today.</T> : null}
    </View>
  );
}

/** The mark of what was not asked for at the last look: a frame and a word, never colour alone. */
export const Fresh = ({ ink }: { ink: string }) => (
  <View style={{ borderWidth: 2, borderColor: ink, paddingHorizontal: 6, alignSelf: 'flex-start' }}>
    <T as="strong" color={ink} style={{ fontSize: 13, lineHeight: 18 }}>
      new
    </T>
  </View>
);
