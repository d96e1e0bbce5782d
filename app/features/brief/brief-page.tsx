import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { useRouter } from 'expo-router';
import type { Run } from '@escale/core/model';
import { proceduresFor } from '@escale/core/procedure';
import { contentHash } from '@escale/core/rules';
import { render } from '@escale/core/say';
import { aloudSeconds, BRIEF_MOST, briefOf, type Brief } from '@escale/core/trip/brief';
import { useKind, useNow } from '../../data/hooks';
import { change, create, newId } from '../../data/outbox';
import { procedures } from '../../data/procedures';
import { plainly } from '../../data/settings';
import { useAloud } from '../../ui/aloud';
import { Button, Row } from '../../ui/button';
import { Check } from '../../ui/mark';
import { TextLink } from '../../ui/press';
import { Alone } from '../../ui/page';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { GO } from '../go/words';
import { useTrip } from '../trip/use-trip';
import { BRIEF, PARTS } from './words';

/** On paper black on white, whatever the screen looks like. */
const PLAIN = { paper: 'plain' };

/**
 * Who has heard it is kept as a run whose steps are people, one for each wording: what has changed since is not yet heard.
 * The hours of the day change with every departure and don’t count.
 */
const BRIEF_RUN = 'brief:';
const wordingOf = ({ parts }: Brief) => BRIEF_RUN + contentHash(parts.filter(({ id }) => id !== 'today'));

/** What the crew is told before it leaves, made from the trip: read aloud, ticked by each, printed on one page. */
export function BriefPage() {
  const p = usePalette();
  const router = useRouter();
  const { trip, reader, says } = useTrip();
  const brief = useBrief();
  const texts = brief.parts.flatMap((part) => [
    PARTS[part.id],
    ...part.says.map((said) => render(said, reader)),
  ]);
  const seconds = aloudSeconds(texts);
  return (
    <Alone dataSet={PLAIN}>
      <T as="title" heading={1}>
        {BRIEF.title}
      </T>
      <T as="soft">{says(seconds > BRIEF_MOST ? BRIEF.long : BRIEF.lead, { for: seconds })}</T>
      <View {...{ dataSet: { screen: '' } }}>
        <Row>
          <ReadIt texts={texts} />
          <Button onPress={() => window.print()}>{BRIEF.print}</Button>
          <Button onPress={() => router.push(`/trips/${trip.id}/go/launch`)}>{BRIEF.back}</Button>
          <TextLink href={`/trips/${trip.id}/go/trouble`}>{GO.trouble}</TextLink>
        </Row>
      </View>
      {brief.parts.map((part) => (
        <View key={part.id} style={{ gap: 2, borderTopWidth: 1, borderColor: p.line, paddingTop: 8 }}>
          <T as="section" heading={2}>
            {PARTS[part.id]}
          </T>
          {part.says.map((said, i) => (
            <T key={i} style={{ fontSize: 18, lineHeight: 25 }}>
              {render(said, reader)}
            </T>
          ))}
        </View>
      ))}
      <Heard wording={wordingOf(brief)} />
      <Medical brief={brief} />
      <T as="small">{BRIEF.advises}</T>
    </Alone>
  );
}

function useBrief(): Brief {
  const { input, prepared, assessment } = useTrip();
  return useMemo(() => {
    const { world, kit, steps } = prepared.match(assessment.leave);
    const cards = proceduresFor(
      procedures().filter((row) => row.group === 'trouble'),
      world,
      steps,
    );
    return briefOf({ input, assessment, world, pieces: kit.pieces, cards });
  }, [input, prepared, assessment]);
}

function ReadIt({ texts }: { texts: string[] }) {
  const aloud = useAloud();
  const [reads, setReads] = useState(false);
  const turn = () => {
    if (reads) aloud?.hush();
    else aloud?.say(texts.join('. '));
    setReads(!reads);
  };
  return (
    <Button kind="main" cant={aloud === undefined && GO.noVoice} onPress={turn}>
      {reads ? GO.hush : GO.aloud}
    </Button>
  );
}

/** Who has heard it, each by their own tick; kept with the trip, so that two phones agree. */
function Heard({ wording }: { wording: string }) {
  const { trip, shed } = useTrip();
  const now = useNow();
  const all = useKind('run').filter((r) => r.doc.trip === trip.id && r.doc.procedure.startsWith(BRIEF_RUN));
  const held = all.find((r) => r.doc.procedure === wording);
  const crew = trip.crew.flatMap((c) => shed.people.find((who) => who.id === c.person) ?? []);
  const heard = heardBy(held ? [held.doc] : []);
  const before = heardBy(all.map((run) => run.doc));
  const tick = (person: string, on: boolean) => {
    const at = new Date(now).toISOString();
    const value = { step: person, at, ...(on ? {} : { skipped: true }) };
    if (held) return void change(held, [{ op: 'append', pointer: '/ticks', value }], 'who has heard it');
    const run = { id: newId(), procedure: wording, trip: trip.id, startedAt: at, ticks: [value] };
    void create('run', run as Run, 'who has heard it');
  };
  if (crew.length === 0) return <T as="soft">{BRIEF.nobody}</T>;
  const n = crew.filter((who) => heard.has(who.id)).length;
  return (
    <View role="group" aria-label={BRIEF.heard} style={{ gap: 2 }}>
      <T as="section" heading={2}>
        {BRIEF.heard}
      </T>
      <T as="soft" role="status">
        {n === crew.length ? BRIEF.all : plainly(BRIEF.some, { n, all: crew.length })}
      </T>
      <Row style={{ columnGap: 24 }}>
        {crew.map((who) => (
          <Check key={who.id} label={who.name} on={heard.has(who.id)} onChange={(on) => tick(who.id, on)}>
            <T style={{ fontSize: 18 }}>{who.name}</T>
            {before.has(who.id) && !heard.has(who.id) ? <T as="label">{BRIEF.earlier}</T> : null}
          </Check>
        ))}
      </Row>
    </View>
  );
}

/** Who ticked and did not take it back. */
function heardBy(runs: readonly Run[]): Set<string> {
  const heard = new Set<string>();
  for (const { step, skipped } of runs.flatMap((run) => run.ticks)) {
    if (skipped) heard.delete(step);
    else heard.add(step);
  }
  return heard;
}

function Medical({ brief: { medical } }: { brief: Brief }) {
  const [open, setOpen] = useState(false);
  if (medical.length === 0) return null;
  return (
    <View {...{ dataSet: { screen: '' } }} style={{ gap: 4, alignItems: 'flex-start' }}>
      <Button onPress={() => setOpen(!open)}>{plainly(BRIEF.medical, { n: medical.length })}</Button>
      <T as="small">{BRIEF.medicalWhy}</T>
      {open ? medical.map(({ name, says }) => <T key={name}>{plainly(BRIEF.note, { name, says })}</T>) : null}
    </View>
  );
}
