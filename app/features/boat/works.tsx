import { useState } from 'react';
import { View } from 'react-native';
import { keyOf } from '@escale/core/boat/parts';
import { saidOfPart } from '@escale/core/kit/round';
import { OwnPart, Work } from '@escale/core/model';
import { Button } from '../../ui/button';
import { Fold } from '../../ui/fold';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { useToday } from '../../data/hooks';
import { change, newId } from '../../data/outbox';
import { plainly } from '../../data/settings';
import type { Held } from '../../data/things';
import { ThingForm } from '../forms/thing-form';
import { PARTS } from './words';

/** Repairs and service, the latest first, and the next one written down. */
export function Works({ held }: { held: Held<'boat'> }) {
  const p = usePalette();
  const boat = held.doc;
  const said = plainly(PARTS.changedWork, { boat: boat.name });
  const works = Object.entries(boat.works ?? {}).sort(
    ([a, { on }], [b, { on: other }]) => other.localeCompare(on) || b.localeCompare(a),
  );
  return (
    <View style={{ gap: 6 }}>
      <T as="section" heading={2}>
        {PARTS.works}
      </T>
      {works.length === 0 ? <T as="soft">{PARTS.noWorks}</T> : null}
      {works.map(([id, { on, what, meter }]) => (
        <View
          key={id}
          style={{
            flexDirection: 'row',
            gap: 12,
            alignItems: 'center',
            borderBottomWidth: 1,
            borderColor: p.line,
          }}
        >
          <T style={{ flex: 1 }}>
            {meter === undefined
              ? plainly(PARTS.workLine, { on, what })
              : plainly(PARTS.workHours, { on, what, meter })}
          </T>
          <Button
            kind="quiet"
            label={plainly(PARTS.workDropLabel, { what })}
            onPress={() => void change(held, [{ op: 'unset', pointer: `/works/${id}` }], said)}
          >
            {PARTS.workDrop}
          </Button>
        </View>
      ))}
      <NewWork key={works.length} held={held} />
    </View>
  );
}

function NewWork({ held }: { held: Held<'boat'> }) {
  const today = useToday();
  const [id] = useState(newId);
  const { meter, name } = held.doc;
  const add = (values: Record<string, unknown>) => {
    const work = Work.parse(values);
    const later = work.meter !== undefined && work.meter > (meter ?? 0);
    void change(
      held,
      [
        { op: 'set', pointer: `/works/${id}`, value: work },
        // The meter only goes up: the latest reading is where she stands.
        ...(later ? [{ op: 'set' as const, pointer: '/meter', value: work.meter }] : []),
      ],
      plainly(PARTS.changedWork, { boat: name }),
    );
  };
  return (
    <Fold title={PARTS.workNew}>
      <View style={{ padding: 12 }}>
        <ThingForm
          type={Work}
          doc={{ on: today }}
          only={['what', 'on', 'meter', 'by']}
          onCreate={add}
          createLabel={PARTS.workAdd}
        />
      </View>
    </Fold>
  );
}

/** What her list does not have: her owner's own part, tested like any other. */
export function AddPart({ held }: { held: Held<'boat'> }) {
  const [made, setMade] = useState(0);
  const add = (values: Record<string, unknown>) => {
    const { name, how, everyMonths } = OwnPart.parse(values);
    const key = `own-${keyOf(name)}`;
    const said = plainly(PARTS.changedPart, { title: name, boat: held.doc.name });
    void change(
      held,
      saidOfPart(key, {
        name,
        ...(how ? { how } : {}),
        ...(everyMonths === undefined ? {} : { everyMonths }),
      }),
      said,
    );
    setMade(made + 1);
  };
  return (
    <Fold key={made} title={PARTS.own}>
      <View style={{ padding: 12, gap: 8 }}>
        <ThingForm
          type={OwnPart}
          doc={{}}
          only={['name', 'how', 'everyMonths']}
          onCreate={add}
          createLabel={PARTS.ownAdd}
        />
      </View>
    </Fold>
  );
}
