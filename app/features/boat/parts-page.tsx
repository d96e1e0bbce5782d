import { View } from 'react-native';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { lastOut, partsOf, partStands, type HerPart } from '@escale/core/boat/parts';
import { roundOf } from '@escale/core/kit/round';
import { CATALOGUE } from '@escale/core/kit';
import { Button } from '../../ui/button';
import { Page } from '../../ui/page';
import { TextLink } from '../../ui/press';
import { T } from '../../ui/text';
import { useThing, useThings, useToday } from '../../data/hooks';
import { plainly } from '../../data/settings';
import type { Held } from '../../data/things';
import { thingHref } from '../../data/where';
import { useGoTo } from '../forms/go-to';
import { OnePart } from './one-part';
import { AddPart, Works } from './works';
import { PARTS } from './words';

const GROUPS = Object.keys(PARTS.of) as HerPart['of'][];

/** Every part of a boat that is tested, how it stands, and what was done to her. */
export function PartsPage() {
  const { boat, part } = useLocalSearchParams<{ boat?: string; part?: string }>();
  const held = useThing(boat);
  if (held?.type !== 'boat')
    return (
      <Page title="No such boat">
        <TextLink href="/shed">The shed</TextLink>
      </Page>
    );
  return <HerParts key={held.id} held={held as Held<'boat'>} at={part} />;
}

function HerParts({ held, at }: { held: Held<'boat'>; at: string | undefined }) {
  const router = useRouter();
  const today = useToday();
  const { trips } = useThings();
  useGoTo(at === undefined ? undefined : `/parts/${at}`);
  const boat = held.doc;
  const parts = partsOf(boat);
  const out = lastOut(trips);
  const shed = { gear: [], boats: [boat] };
  const open = roundOf({ shed, catalogue: CATALOGUE, by: today, today, boat: held.id, out }).length;
  return (
    <Page
      title={plainly(PARTS.title, { boat: boat.name })}
      lead={PARTS.lead}
      aside={<TextLink href={thingHref('boat', held.id)}>{PARTS.back}</TextLink>}
    >
      {open > 0 ? (
        <Button kind="main" wet onPress={() => router.push(`/shed/round?boat=${held.id}`)}>
          {plainly(PARTS.round, { n: open })}
        </Button>
      ) : (
        <T as="strong">{PARTS.roundDone}</T>
      )}
      {GROUPS.map((group) => {
        const some = parts.filter((part) => part.of === group);
        return some.length === 0 ? null : (
          <View key={group}>
            <T as="caps">{PARTS.of[group]}</T>
            {some.map((part) => (
              <OnePart
                key={part.key}
                held={held}
                part={part}
                stands={partStands(part, today, out.get(held.id))}
                begin={part.key === at}
              />
            ))}
          </View>
        );
      })}
      <AddPart held={held} />
      <Works held={held} />
      <T as="small">{PARTS.source}</T>
    </Page>
  );
}
