import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { chance } from '@escale/core/numeric/chance';
import { render } from '@escale/core/say';
import { stripOf } from '@escale/core/trip';
import {
  readAgainst,
  SIGNS,
  type Read,
  type Reading,
  type Side,
  type Sign,
} from '@escale/core/trip/read-water';
import { MS } from '@escale/core/units';
import { Button } from '../../ui/button';
import { Choice } from '../../ui/choice';
import { Check } from '../../ui/mark';
import { Alone } from '../../ui/page';
import { TextLink } from '../../ui/press';
import { T } from '../../ui/text';
import { DayStrip } from '../strip/day-strip';
import { byWhom } from '../trip/by-whom';
import { useTrip } from '../trip/use-trip';
import { READ } from './read-words';

const STEP = 10 * MS.minute;
const SAYS = { go: READ.go, not: READ.not } as const;

/** An hour of one’s own trip, read before Escale reads it. */
export function ReadPage() {
  const { axis, says } = useTrip();
  const [turn, setTurn] = useState(1);
  return (
    <Alone>
      <T as="title" heading={1}>
        {READ.title}
      </T>
      <T as="soft">{READ.lead}</T>
      {axis ? (
        <Hour key={turn} axis={axis} seed={turn} again={() => setTurn((n) => n + 1)} />
      ) : (
        <T role="status">{READ.noAxis}</T>
      )}
      <T as="small">{READ.note}</T>
      <TextLink href="/practice">{says('Practice')}</TextLink>
    </Alone>
  );
}

/** One hour of leaving, drawn out of the day. */
function Hour({
  axis,
  seed,
  again,
}: {
  axis: { from: number; until: number };
  seed: number;
  again: () => void;
}) {
  const { input, prepared, assessment, reader, says, trip } = useTrip();
  const [said, setSaid] = useState<keyof typeof SAYS>();
  const [signs, setSigns] = useState<readonly Sign[]>([]);
  const [read, setRead] = useState<Read>();
  const leave = useMemo(() => {
    // The same turn of the same trip is the same hour, so that it can be talked about.
    const share = chance(seed + trip.id.split('').reduce((sum, letter) => sum + letter.charCodeAt(0), 0))();
    // So that one comes home within the day that is drawn.
    const { home, legs } = assessment.schedule ?? {};
    const lasts = home === undefined || !legs?.length ? 0 : home - legs[0].departs;
    const count = Math.max(1, Math.floor((axis.until - axis.from - lasts) / STEP));
    return axis.from + Math.floor(share * count) * STEP;
  }, [axis, seed, trip.id, assessment.schedule]);
  const at = useMemo(() => prepared.at(leave), [prepared, leave]);
  const strip = useMemo(() => stripOf(input, axis), [input, axis]);
  const { forecast } = input.conditions;
  const tell = (reading: Reading) => setRead(readAgainst(at.findings, reading));
  return (
    <View style={{ gap: 12 }}>
      <T as="label">{byWhom(forecast, says)}</T>
      <DayStrip strip={strip} schedule={at.schedule} leave={leave} departures={[]} reader={reader} small />
      {forecast ? null : <T as="soft">{READ.noWind}</T>}
      <T as="strong">{says(READ.leave, { leave })}</T>
      {read ? (
        <Beside read={read} again={again} />
      ) : (
        <>
          <Choice
            label={READ.said}
            options={Object.entries(SAYS).map(([value, label]) => ({ value, label }))}
            value={said}
            onChange={(next) => setSaid(next as keyof typeof SAYS | undefined)}
          />
          <View role="group" aria-label={READ.signs}>
            <T as="caps">{READ.signs}</T>
            {SIGNS.map(({ id, word }) => (
              <Check
                key={id}
                label={word}
                on={signs.includes(id)}
                onChange={(on) => setSigns(on ? [...signs, id] : signs.filter((each) => each !== id))}
              >
                <T>{word}</T>
              </Check>
            ))}
          </View>
          <Button
            kind="main"
            wet
            cant={said === undefined ? READ.said : false}
            onPress={() => tell({ go: said === 'go', signs })}
          >
            {READ.see}
          </Button>
        </>
      )}
    </View>
  );
}

/** Both answers side by side, and what each named. */
function Beside({ read: { go, agree, open, both, missed, only }, again }: { read: Read; again: () => void }) {
  const { says } = useTrip();
  return (
    <View style={{ gap: 12 }}>
      <T as="section" heading={2}>
        {agree
          ? says(READ.both, { answer: go ? (open ? READ.answers.known : READ.answers.go) : READ.answers.not })
          : go
            ? READ.differNot
            : READ.differGo}
      </T>
      {open ? <T as="soft">{READ.open}</T> : null}
      <Sides title={READ.missed} sides={missed} />
      <Sides title={READ.agreed} sides={both} />
      <Sides title={READ.only} sides={only} />
      <Button kind="main" onPress={again}>
        {READ.again}
      </Button>
    </View>
  );
}

/** Signs with what Escale has of each, in its own sentences. */
function Sides({ title, sides }: { title: string; sides: readonly Side[] }) {
  const { reader } = useTrip();
  if (sides.length === 0) return null;
  return (
    <View style={{ gap: 6 }}>
      <T as="caps">{title}</T>
      {sides.map(({ id, word, findings }) => (
        <View key={id} style={{ gap: 2 }}>
          <T as="strong">{word}</T>
          {findings.length === 0 ? <T as="soft">{READ.nothing}</T> : null}
          {findings.map((finding) => (
            <View key={finding.id}>
              <T>{render(finding.alone ?? finding.title, reader)}</T>
              {finding.because.map((why) => (
                <T key={JSON.stringify(why)} as="soft">
                  {render(why, reader)}
                </T>
              ))}
            </View>
          ))}
        </View>
      ))}
    </View>
  );
}
