import { useState } from 'react';
import { View } from 'react-native';
import { TextInput } from 'react-native-paper';
import type { Asked } from '@escale/core/model';
import { INCIDENT_KINDS, type IncidentKind } from '@escale/core/model/lists';
import { render } from '@escale/core/say';
import type { Worst } from '@escale/core/whatif';
import { questionsFor, type Question } from '@escale/core/whatif/questions';
import { Button, Row } from '../../ui/button';
import { Choice } from '../../ui/choice';
import { Fold } from '../../ui/fold';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { useNow } from '../../data/hooks';
import { change } from '../../data/outbox';
import { useTrip } from '../trip/use-trip';
import { ASK } from './words';

/**
 * Three questions out of the worst moments of the day, answered aloud by the crew and kept with the trip. Once it is begun they
 * stay, whatever is reckoned anew because something was answered.
 * @param worst absent: the day is not looked through yet
 */
export function AskCrew({ worst }: { worst: readonly Worst[] | undefined }) {
  const [begun, setBegun] = useState<Question[]>();
  if (!begun && !worst) return null;
  const questions = begun ?? questionsFor(worst ?? []);
  return (
    <View style={{ gap: 10 }} role="group" aria-label={ASK.title}>
      <T as="section" heading={2}>
        {ASK.title}
      </T>
      <T as="soft">{questions.length > 0 ? ASK.lead : ASK.none}</T>
      {begun ? (
        begun.map((question) => <OneQuestion key={question.incident} question={question} />)
      ) : questions.length > 0 ? (
        <Row>
          <Button onPress={() => setBegun(questions)}>{ASK.begin}</Button>
        </Row>
      ) : null}
      <Answered besides={begun ?? []} />
    </View>
  );
}

/** What was answered before, of this trip and not among the questions at hand. */
function Answered({ besides }: { besides: readonly Question[] }) {
  const { trip, says } = useTrip();
  const asked = new Set<string>(besides.map(({ incident }) => incident));
  const kept = Object.entries(trip.asked ?? {}).filter(([incident]) => !asked.has(incident));
  return (
    <>
      {kept.map(([incident, { on, answer, lacks }]) => (
        <T key={incident} as="small">
          {says(lacks ? ASK.keptLacks : ASK.kept, {
            what: INCIDENT_KINDS[incident as IncidentKind],
            answer: answer === 'known' ? ASK.known : ASK.lacking,
            on: Date.parse(on),
            lacks: lacks ?? '',
          })}
        </T>
      ))}
    </>
  );
}

const ANSWERS = [
  { value: 'known', label: ASK.known },
  { value: 'lacking', label: ASK.lacking },
];

function OneQuestion({ question: { incident, at, asks, holds, for: gap } }: { question: Question }) {
  const p = usePalette();
  const { held, trip, reader, says } = useTrip();
  const now = useNow();
  const said = trip.asked?.[incident];
  const answer = (next: Partial<Asked>) =>
    void change(
      held,
      [{ op: 'set', pointer: `/asked/${incident}`, value: asked({ ...said, ...next }, at, now) }],
      ASK.said,
    );
  const text = render(asks, reader);
  return (
    <View style={{ borderTopWidth: 2, borderColor: p.ink, paddingTop: 8, gap: 8 }}>
      <T as="strong" style={{ fontSize: 18, lineHeight: 25 }}>
        {text}
      </T>
      <T as="small">{render(gap, reader)}</T>
      <Fold title={ASK.holds}>
        <T style={{ padding: 12 }}>{holds}</T>
      </Fold>
      <Choice
        label={says('{answer}: {text}', { answer: ASK.answer, text })}
        options={ANSWERS}
        value={said?.answer}
        onChange={(value) => value && answer({ answer: value as Asked['answer'] })}
      />
      {said?.answer === 'lacking' ? (
        <Lacks key={said.on} lacks={said.lacks} onSay={(lacks) => answer({ lacks })} />
      ) : null}
      {said ? <T as="small">{says(ASK.before, { on: Date.parse(said.on) })}</T> : null}
    </View>
  );
}

/** What stands of an answer: what was lacking goes with an answer that says so, and with no other. */
function asked({ answer, lacks }: Partial<Asked>, at: number, now: number): Asked {
  return {
    at: new Date(at).toISOString(),
    on: new Date(now).toISOString(),
    answer: answer ?? 'lacking',
    ...(answer !== 'known' && lacks?.trim() ? { lacks: lacks.trim() } : {}),
  };
}

/** Kept when one is through with it. */
function Lacks({ lacks, onSay }: { lacks: string | undefined; onSay: (lacks: string) => void }) {
  const [text, setText] = useState(lacks ?? '');
  return (
    <TextInput
      mode="outlined"
      label={ASK.what}
      accessibilityLabel={ASK.what}
      value={text}
      onChangeText={setText}
      onBlur={() => text.trim() !== (lacks ?? '') && onSay(text)}
      maxLength={200}
    />
  );
}
