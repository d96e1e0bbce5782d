import { wholeRow } from '@escale/core/floatplan';
import type { ReactNode } from 'react';
import { useRouter } from 'expo-router';
import { civilDate } from '@escale/core/earth';
import { proceduresFor, type Procedure } from '@escale/core/procedure';
import { clock, phrase, render } from '@escale/core/say';
import { MS } from '@escale/core/units';
import { Button, Row } from '../../ui/button';
import { TextLink } from '../../ui/press';
import { Themed } from '../../ui/theme';
import { useNow } from '../../data/hooks';
import { plainly } from '../../data/settings';
import { draftSheet } from '../pack/draft-sheet';
import { useGoes } from '../pack/goes';
import { gearState, placeWord } from '../shed/gear-note';
import { SketchChart } from '../sketch/sketch-chart';
import { useTrip } from '../trip/use-trip';
import { DayOnPaper } from './day-part';
import { SHEET } from '../../ui/paper-sheet';
import { PAPER } from './words';
import { procedures } from '../../data/procedures';

const BOX = {
  display: 'inline-block',
  width: 12,
  height: 12,
  border: '1.5px solid #000',
  marginRight: 8,
} as const;

/** The trip on paper: plain text in black, made by the browser's own printing. */
export function PaperPage() {
  const router = useRouter();
  const view = useTrip();
  const { trip, says } = view;
  const now = useNow(MS.minute);
  return (
    <main data-paper style={SHEET}>
      <div data-screen>
        {/* On white paper the buttons are those of the day. */}
        <Themed theme="day">
          <Row>
            <Button kind="main" onPress={() => window.print()}>
              {PAPER.print}
            </Button>
            <Button onPress={() => router.push(`/trips/${trip.id}/pack/float-plan`)}>{PAPER.back}</Button>
            <TextLink href={`/trips/${trip.id}/go/trouble`}>{PAPER.trouble}</TextLink>
          </Row>
        </Themed>
      </div>
      <h1 style={{ fontSize: 24, margin: '12px 0 4px' }}>{trip.title}</h1>
      <p style={{ margin: 0 }}>{says(PAPER.lead, { at: now })}</p>
      <TheSheet />
      <Numbers />
      {view.assessment.leave === undefined ? null : (
        <Part title={PAPER.day}>
          <DayOnPaper />
        </Part>
      )}
      {view.assessment.schedule ? (
        <Part title={PAPER.chart}>
          <SketchChart paper />
        </Part>
      ) : null}
      <Before />
      <KitList />
      <Steps />
      <p>{PAPER.advises}</p>
    </main>
  );
}

function Part({ title, children }: { title: string; children: ReactNode }) {
  return (
    <section style={{ breakInside: 'auto', marginTop: 18 }}>
      <h2
        style={{
          fontSize: 18,
          margin: '0 0 6px',
          borderTop: '2px solid #000',
          paddingTop: 6,
          breakAfter: 'avoid',
        }}
      >
        {title}
      </h2>
      {children}
    </section>
  );
}

/** The sheet that was filed, or as it would be now. */
function TheSheet() {
  const view = useTrip();
  const sheet = view.plan?.sheet ?? draftSheet(view);
  if (!sheet) return <p>{PAPER.noSheet}</p>;
  return (
    <>
      <Part title="If they are overdue">
        <ol>
          {sheet.ifLate.map((line) => (
            <li key={line}>{line}</li>
          ))}
        </ol>
        <ol>
          {sheet.expect.map((line) => (
            <li key={line}>{line}</li>
          ))}
        </ol>
        <p>{sheet.read}</p>
      </Part>
      {sheet.lines.map(({ head, rows }) => (
        <Part key={head} title={head}>
          <table style={{ borderCollapse: 'collapse', width: '100%' }}>
            <tbody>
              {rows.map((row) => (
                <tr key={row.label} style={{ breakInside: 'avoid' }}>
                  <th
                    scope="row"
                    style={{ textAlign: 'left', verticalAlign: 'top', width: '28%', fontWeight: 600 }}
                  >
                    {row.label}
                  </th>
                  <td>{wholeRow(row)}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </Part>
      ))}
    </>
  );
}

function Numbers() {
  const { trip, shed } = useTrip();
  const water = shed.waters.find((w) => w.id === trip.water);
  const ashore = trip.contacts.flatMap((id) => shed.contacts.find((c) => c.id === id) ?? []);
  const lines = [
    water?.rescueNumber
      ? plainly(PAPER.numberOf, { name: water.rescueName ?? water.name, number: water.rescueNumber })
      : PAPER.noNumber,
    ...(water?.numbers ?? []).map(({ who: name, number }) => plainly(PAPER.numberOf, { name, number })),
    ...ashore.flatMap(({ name, phone }) => (phone ? [plainly(PAPER.numberOf, { name, number: phone })] : [])),
  ];
  return (
    <Part title={PAPER.ring}>
      {lines.map((line) => (
        <p key={line} style={{ margin: '2px 0', fontWeight: 600 }}>
          {line}
        </p>
      ))}
    </Part>
  );
}

function Before() {
  const { assessment, reader, says } = useTrip();
  if (assessment.ready.length === 0) return null;
  return (
    <Part title={PAPER.before}>
      {assessment.ready.map((task, i, all) => {
        const day = civilDate(task.starts, reader.zone);
        const first = i === 0 || civilDate(all[i - 1].starts, reader.zone) !== day;
        return (
          <div key={task.id} style={{ breakInside: 'avoid' }}>
            {first ? <strong>{says('{at:day}', { at: task.starts })}</strong> : null}
            <div>
              <span style={BOX} />
              {clock(task.starts, reader)} {task.title}
            </div>
          </div>
        );
      })}
    </Part>
  );
}

function KitList() {
  const { trip } = useTrip();
  const goes = useGoes();
  return (
    <Part title={PAPER.kit}>
      {goes.length === 0 ? <p>{PAPER.nothing}</p> : null}
      {goes.map(({ key, title, count, place, item }) => (
        <div key={key} style={{ breakInside: 'avoid' }}>
          <span style={BOX} />
          {[
            count > 1 ? plainly(PAPER.count, { n: count, title }) : title,
            placeWord(place),
            item ? gearState(item, trip.leave.date) : undefined,
          ]
            .filter(Boolean)
            .join(' · ')}
        </div>
      ))}
    </Part>
  );
}

/** On paper stand whole: into the water and out of it, and what to do in the water. */
const whole = ({ group, card }: Procedure) => group === 'go' || group === 'home' || card?.about === 'over';

/** Procedures that suit this boat and this hour; of the other cards their first words. */
function Steps() {
  const { prepared, assessment, reader } = useTrip();
  const { world, home, steps } = prepared.match(assessment.leave);
  const out = procedures().filter(({ group }) => group === 'go' || group === 'trouble'),
    back = procedures().filter(({ group }) => group === 'home');
  const made = [...proceduresFor(out, world, steps), ...proceduresFor(back, home, steps)];
  if (made.length === 0)
    return (
      <Part title={PAPER.steps}>
        <p>{PAPER.noSteps}</p>
      </Part>
    );
  const cards = made.filter((procedure) => !whole(procedure));
  return (
    <>
      {made.filter(whole).map((procedure) => (
        <Part key={procedure.id} title={procedure.title}>
          {procedure.steps.map((step) => (
            <div key={step.id} style={{ breakInside: 'avoid', margin: '3px 0' }}>
              <span style={BOX} />
              <strong>{plainly(PAPER.line, { n: step.n, what: render(step.what, reader) })}</strong>
              <div style={{ marginLeft: 22 }}>
                {render(step.second ? phrase('procedure.twice', { why: step.why }) : step.why, reader)}
              </div>
            </div>
          ))}
        </Part>
      ))}
      {cards.length > 0 ? (
        <Part title={PAPER.cards}>
          {cards.map(({ id, title, card }) => (
            <p key={id} style={{ breakInside: 'avoid', margin: '3px 0' }}>
              <strong>{title}.</strong> {card?.first}
            </p>
          ))}
        </Part>
      ) : null}
    </>
  );
}
