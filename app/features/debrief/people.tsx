import { View } from 'react-native';
import { Button } from '../../ui/button';
import { Choice } from '../../ui/choice';
import { Fold } from '../../ui/fold';
import { Check } from '../../ui/mark';
import { T } from '../../ui/text';
import { useTrip } from '../trip/use-trip';
import { keep, set, type OfDebrief } from './keep';
import { DEBRIEF } from './words';

/** Several of the people: who went, or who did well. */
function Several({ held, name, ids }: OfDebrief & { name: 'who' | 'well'; ids: readonly string[] }) {
  const { shed } = useTrip();
  const on = held.doc[name] ?? [];
  const put = (id: string, is: boolean) =>
    keep(held, set(`/${name}`, is ? [...on, id] : on.filter((one) => one !== id)));
  return (
    <View>
      {shed.people
        .filter(({ id }) => ids.includes(id) || on.includes(id))
        .map(({ id, name: person }) => (
          <Check key={id} label={person} on={on.includes(id)} onChange={(is) => put(id, is)}>
            <T>{person}</T>
          </Check>
        ))}
    </View>
  );
}

/** Who went, and in which boat: what is learnt of a trip is learnt of them. */
export function WhoWent({ held }: OfDebrief) {
  const { shed, says, trip } = useTrip();
  const { who = [], boat } = held.doc;
  const names = who.flatMap((id) => shed.people.find((person) => person.id === id)?.name ?? []);
  const she = shed.boats.find(({ id }) => id === boat)?.name;
  const lacks = names.length === 0 || she === undefined;
  return (
    <Fold
      title={DEBRIEF.who}
      note={
        names.length === 0
          ? DEBRIEF.unsaid
          : says(DEBRIEF.whoSaid, { who: names, boat: she ?? DEBRIEF.noBoat })
      }
      begin={lacks}
    >
      <View style={{ gap: 10, paddingTop: 10 }}>
        {lacks ? <T as="soft">{DEBRIEF.whoLacks}</T> : null}
        {lacks && trip.boat !== undefined && trip.crew.length > 0 ? (
          <Button
            onPress={() =>
              keep(
                held,
                set('/boat', trip.boat),
                set(
                  '/who',
                  trip.crew.map(({ person }) => person),
                ),
              )
            }
          >
            {DEBRIEF.whoPlan}
          </Button>
        ) : null}
        <Several held={held} name="who" ids={shed.people.map(({ id }) => id)} />
        <Choice
          label={DEBRIEF.who}
          options={shed.boats.map(({ id, name }) => ({ value: id, label: name }))}
          value={boat}
          onChange={(next) => keep(held, set('/boat', next))}
        />
      </View>
    </Fold>
  );
}

export function WhoDidWell({ held }: OfDebrief) {
  const { shed, says } = useTrip();
  const { who = [], well = [] } = held.doc;
  const names = well.flatMap((id) => shed.people.find((person) => person.id === id)?.name ?? []);
  if (who.length === 0) return null;
  return (
    <Fold
      title={DEBRIEF.well}
      note={names.length === 0 ? DEBRIEF.unsaid : says(DEBRIEF.wellSaid, { who: names })}
    >
      <View style={{ paddingTop: 10 }}>
        <Several held={held} name="well" ids={who} />
      </View>
    </Fold>
  );
}
