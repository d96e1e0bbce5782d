import { View } from 'react-native';
import { toThrow, type JacketFit } from '@escale/core/kit';
import { render } from '@escale/core/say';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { useTrip } from '../trip/use-trip';
import { KIT } from './words';
import { plainly } from '../../data/settings';

/** So many jackets that nearly fit are named for each person who has none. */
const NEAR = 3;

/** Each person beside the jacket that fits body, age, craft and label; who has none, and why those there are don't count. */
export function JacketsBlock() {
  const p = usePalette();
  const { prepared, assessment, shed, trip, reader } = useTrip();
  const { jackets, pieces, bodies } = prepared.match(assessment.leave).kit;
  const { spare, throwable } = toThrow(jackets, pieces, bodies);
  const people = trip.crew.flatMap((c) => shed.people.find((who) => who.id === c.person) ?? []);
  if (people.length === 0) return null;
  return (
    <View style={{ gap: 6 }}>
      <T as="section" heading={3}>
        Jackets
      </T>
      <View role="list" aria-label="Jackets">
        {people.map((person) => {
          const fit = jackets.fits.get(person.id);
          const near =
            fit && fit.faults.length === 0
              ? []
              : (jackets.misses.get(person.id) ?? [])
                  .filter((m) => m.faults.length > 0)
                  .sort((a, b) => a.faults.length - b.faults.length)
                  .slice(0, NEAR);
          const word = fit
            ? fit.faults.length === 0
              ? fit.piece.item.name
              : plainly(KIT.unsettled, { jacket: fit.piece.item.name })
            : KIT.noJacket;
          return (
            <View
              key={person.id}
              role="listitem"
              style={{ borderBottomWidth: 1, borderColor: p.line, paddingVertical: 6 }}
            >
              <View style={{ flexDirection: 'row', justifyContent: 'space-between', gap: 8 }}>
                <T style={{ flex: 1 }}>{person.name}</T>
                <T as="strong">{word}</T>
              </View>
              {near.map((m) => (
                <T key={m.piece.item.id} as="small">
                  {m.piece.item.name}: {m.faults.map((f) => render(f.phrase, reader)).join(', ')}
                </T>
              ))}
            </View>
          );
        })}
        <Thrown title="A spare, to throw to a stranger" fits={spare} />
        <Thrown title="A throwable in reach" fits={throwable} />
      </View>
      <Strict />
    </View>
  );
}

/** What the law asks beside what we ask, and why. */
function Strict() {
  const { assessment, says } = useTrip();
  const law = assessment.requirements.filter(
    ({ layer, applies, deeds, anyOf, boat }) =>
      boat === undefined &&
      layer === 'law' &&
      applies !== 'no' &&
      (deeds?.includes('worn') === true || anyOf.flat().some(({ capability }) => capability === 'wearable')),
  );
  return (
    <View>
      <T as="soft">{KIT.strict}</T>
      <T as="soft">
        {law.length > 0
          ? says(KIT.lawAsks, {
              what: law.map(({ title, applies }) =>
                applies === 'yes' ? title : says(KIT.mayHold, { title }),
              ),
            })
          : KIT.lawSilent}
      </T>
    </View>
  );
}

/** The first that counts, or what stands against the one that nearly does. */
function Thrown({ title, fits: [first] }: { title: string; fits: JacketFit[] }) {
  const p = usePalette();
  const { reader } = useTrip();
  return (
    <View role="listitem" style={{ borderBottomWidth: 1, borderColor: p.line, paddingVertical: 6 }}>
      <View style={{ flexDirection: 'row', justifyContent: 'space-between', gap: 8 }}>
        <T style={{ flex: 1 }}>{title}</T>
        <T as="strong">{first && first.faults.length === 0 ? first.piece.item.name : 'none that counts'}</T>
      </View>
      {first && first.faults.length > 0 ? (
        <T as="small">
          {first.piece.item.name}: {first.faults.map((f) => render(f.phrase, reader)).join(', ')}
        </T>
      ) : null}
    </View>
  );
}
