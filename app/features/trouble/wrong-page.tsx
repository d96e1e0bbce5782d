import { useState } from 'react';
import { View } from 'react-native';
import { drives } from '@escale/core/boat';
import { causesOf, SYMPTOMS, type Cause } from '@escale/core/boat/symptoms';
import type { Boat } from '@escale/core/model';
import { MINUTE } from '@escale/core/units';
import { Button } from '../../ui/button';
import { TextLink } from '../../ui/press';
import { Alone } from '../../ui/page';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { OnWater } from '../go/on-water';
import { useTrip } from '../trip/use-trip';
import { TROUBLE, WRONG } from './words';

const WHERE = { bow: 'at the bow', middle: 'amidships', stern: 'at the stern' } as const;

/** From what one notices to this boat’s own openings, how to look, and when to stop saving the catch. */
export function WrongPage() {
  const { trip, shed } = useTrip();
  return (
    <OnWater>
      <Wrong trip={trip.id} boat={shed.boats.find((b) => b.id === trip.boat)} />
    </OnWater>
  );
}

function Wrong({ trip, boat }: { trip: string; boat: Boat | undefined }) {
  const p = usePalette();
  const [id, setId] = useState<string>();
  const sign = SYMPTOMS.find((s) => s.id === id);
  return (
    <Alone>
      <View style={{ flexDirection: 'row', justifyContent: 'space-between', alignItems: 'center', gap: 12 }}>
        <T as="title" heading={1} style={{ flex: 1 }}>
          {sign?.title ?? WRONG.title}
        </T>
        <TextLink href={`/trips/${trip}/go/trouble`}>{TROUBLE.all}</TextLink>
      </View>
      {sign ? (
        <>
          <T style={{ fontSize: 18, lineHeight: 25 }}>{sign.sign}</T>
          <Causes
            causes={boat ? causesOf(sign, boat, drives(boat).motor) : []}
            bare={!boat?.openings.length}
          />
          <View style={{ gap: 4 }}>
            <T as="section" heading={2}>
              {WRONG.look}
            </T>
            <T style={{ fontSize: 18, lineHeight: 25 }}>{sign.look}</T>
          </View>
          <View style={{ backgroundColor: p.ink, padding: 14, gap: 4 }}>
            <T as="section" heading={2} color={p.paper}>
              {WRONG.stop}
            </T>
            <T color={p.paper} style={{ fontSize: 18, lineHeight: 25 }}>
              {sign.stop}
            </T>
          </View>
          <TextLink href={`/trips/${trip}/trouble/taking-on-water`}>{WRONG.card}</TextLink>
          <Button wet onPress={() => setId(undefined)}>
            {WRONG.again}
          </Button>
        </>
      ) : (
        <>
          <T as="section">{WRONG.lead}</T>
          {SYMPTOMS.map((s) => (
            <Button key={s.id} wet onPress={() => setId(s.id)} style={{ alignItems: 'flex-start' }}>
              {s.title}
            </Button>
          ))}
        </>
      )}
    </Alone>
  );
}

function Causes({ causes, bare }: { causes: Cause[]; bare: boolean }) {
  const p = usePalette();
  const { says } = useTrip();
  return (
    <View style={{ gap: 4 }}>
      <T as="section" heading={2}>
        {WRONG.causes}
      </T>
      {causes.map(({ says: why, opening }, i) => (
        <View
          key={i}
          style={{
            flexDirection: 'row',
            gap: 10,
            paddingVertical: 8,
            borderBottomWidth: 1,
            borderColor: p.line,
          }}
        >
          <T as="strong" style={{ width: 24 }}>
            {i + 1}
          </T>
          <View style={{ flex: 1 }}>
            <T as="strong" style={{ fontSize: 18, lineHeight: 24 }}>
              {opening
                ? opening.where
                  ? says(WRONG.opening, { name: opening.name, where: WHERE[opening.where] })
                  : opening.name
                : why}
            </T>
            {opening
              ? [
                  why,
                  says(WRONG.flow, { litres: opening.flow * MINUTE }),
                  ...(opening.guessed ? [WRONG.guess] : []),
                  ...(opening.below ? [WRONG.below] : []),
                ].map((said) => (
                  <T key={said} as="soft">
                    {said}
                  </T>
                ))
              : null}
          </View>
        </View>
      ))}
      {bare ? <T as="soft">{WRONG.none}</T> : null}
    </View>
  );
}
