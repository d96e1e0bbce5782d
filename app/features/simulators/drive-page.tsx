import { useState } from 'react';
import { View } from 'react-native';
import type { Boat } from '@escale/core/model';
import {
  COURSES,
  folded,
  outlineOf,
  pointOfNoReturn,
  rigFrom,
  type Course,
  type Rig,
  type TakenLength,
} from '@escale/core/ramp/reversing';
import { Button } from '../../ui/button';
import { Choice } from '../../ui/choice';
import { Fold } from '../../ui/fold';
import { Page } from '../../ui/page';
import { Slider } from '../../ui/slider';
import { T } from '../../ui/text';
import { useKind } from '../../data/hooks';
import { change } from '../../data/outbox';
import { OnceHere } from './once-here';
import { useSaying } from './use-saying';
import { Drive } from './drive';
import { DRIVE, LENGTHS } from './drive-words';

type Lengths = Partial<Record<TakenLength, number>>;
/** Between which lengths one may try, m: those that a trailer and a car can have. */
const REACH: Readonly<Record<TakenLength, { from: number; until: number; step: number }>> = {
  drawbar: { from: 1.5, until: 9, step: 0.1 },
  wheelbase: { from: 2, until: 4.5, step: 0.05 },
  overhang: { from: 0.5, until: 2, step: 0.05 },
  circle: { from: 8, until: 16, step: 0.1 },
};

/** Backing a trailer, with one’s own car and trailer. */
export function DrivePage() {
  return <OnceHere>{() => <DriveHere />}</OnceHere>;
}

function DriveHere() {
  const boats = useKind('boat').filter(({ doc }) => doc.trailer !== undefined);
  const [id, setId] = useState<string>();
  const [tried, setTried] = useState<Lengths>({});
  const [where, setWhere] = useState<string>(COURSES[0].id);
  const held = boats.find(({ doc }) => doc.id === id) ?? (id === USUAL ? undefined : boats.at(0));
  const course = COURSES.find((each) => each.id === where) ?? COURSES[0];
  const { rig, taken, lengths } = rigFrom(held?.doc, tried);
  return (
    <Page title={DRIVE.title} lead={DRIVE.lead} style={{ maxWidth: 1180 }}>
      {rig ? (
        // Another course or another rig is another run.
        <Drive
          key={[course.id, ...Object.values(lengths), held?.doc.id].join()}
          course={course}
          rig={rig}
          outline={outlineOf(rig, held?.doc)}
        />
      ) : (
        <T as="strong" role="alert">
          {DRIVE.never}
        </T>
      )}
      <Choice
        label={DRIVE.course}
        options={COURSES.map((each) => ({ value: each.id, label: each.title }))}
        value={course.id}
        onChange={(next) => next && setWhere(next)}
        unfolded
      />
      <T as="soft">{course.lead}</T>
      <Fold title={DRIVE.lengths}>
        <View style={{ gap: 10, paddingTop: 8 }}>
          {boats.length > 0 ? (
            <Choice
              label={DRIVE.trailer}
              options={[
                ...boats.map(({ doc }) => ({ value: doc.id, label: doc.name })),
                { value: USUAL, label: DRIVE.usual },
              ]}
              value={held?.doc.id ?? USUAL}
              onChange={(next) => {
                setId(next);
                setTried({});
              }}
            />
          ) : null}
          {rig ? <Folds rig={rig} /> : null}
          <Measures
            lengths={lengths}
            taken={taken}
            onTry={(next) => setTried((now) => ({ ...now, ...next }))}
          />
          {held && Object.keys(tried).length > 0 ? (
            <KeepLengths boat={held.doc} tried={tried} keep={(patch) => change(held, patch, held.doc.name)} />
          ) : null}
        </View>
      </Fold>
      <T as="small">{DRIVE.prices}</T>
    </Page>
  );
}

const USUAL = 'usual';
/** How much a trailer folds is told for so little of an angle, over so many metres. */
const SHOWN = { angle: (5 * Math.PI) / 180, metres: 3 };
const degrees = (angle: number) => Math.round((angle * 180) / Math.PI);

/** From which angle on no wheel helps, and how fast it comes there. */
function Folds({ rig }: { rig: Rig }) {
  const says = useSaying();
  const limit = pointOfNoReturn(rig);
  const five = degrees(folded(SHOWN.angle, SHOWN.metres, rig.drawbar));
  return (
    <T>
      {limit === undefined
        ? says(DRIVE.neverPast, { five })
        : says(DRIVE.turns, { limit: degrees(limit), five })}
    </T>
  );
}

function Measures({
  lengths,
  taken,
  onTry,
}: {
  lengths: Record<TakenLength, number>;
  taken: TakenLength[];
  onTry: (next: Lengths) => void;
}) {
  const says = useSaying();
  return (
    <>
      {(Object.keys(LENGTHS) as TakenLength[]).map((name) => (
        <Slider
          key={name}
          label={LENGTHS[name]}
          said={says('{metres:height}', { metres: lengths[name] })}
          value={lengths[name]}
          {...REACH[name]}
          onChange={(next) => onTry({ [name]: next })}
        />
      ))}
      {taken.length > 0 ? (
        <T as="soft">{says(DRIVE.taken, { what: taken.map((name) => LENGTHS[name].toLowerCase()) })}</T>
      ) : null}
    </>
  );
}

type Patch = { op: 'set'; pointer: string; value: unknown }[];
function KeepLengths({
  boat,
  tried,
  keep,
}: {
  boat: Boat;
  tried: Lengths;
  keep: (patch: Patch) => Promise<unknown>;
}) {
  const says = useSaying();
  const [kept, setKept] = useState(false);
  const all = () => {
    setKept(true);
    void keep(
      Object.entries(tried).map(([name, value]) => ({ op: 'set', pointer: `/trailer/${name}`, value })),
    );
  };
  return kept ? (
    <T role="status">{says(DRIVE.kept, { boat: boat.name })}</T>
  ) : (
    <Button onPress={all}>{DRIVE.keep}</Button>
  );
}

export type { Course };
