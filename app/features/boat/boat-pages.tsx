import { View } from 'react-native';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { startCard } from '@escale/core/boat';
import { render } from '@escale/core/say';
import { Button, Row } from '../../ui/button';
import { Page } from '../../ui/page';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { useThing } from '../../data/hooks';
import { change } from '../../data/outbox';
import { useReader, plainly } from '../../data/settings';
import type { Held } from '../../data/things';
import { thingHref } from '../../data/where';
import { ThingForm } from '../forms/thing-form';
import { HANDOVER } from '@escale/core/boat/handover';
import { changeOf } from '../forms/words';
import { BOAT } from './words';
import { TextLink } from '../../ui/press';

function useBoat(): Held<'boat'> | undefined {
  const { boat } = useLocalSearchParams<{ boat?: string }>();
  const held = useThing(boat);
  return held?.type === 'boat' ? (held as Held<'boat'>) : undefined;
}

const Gone = () => (
  <Page title="No such boat">
    <TextLink href="/shed">The shed</TextLink>
  </Page>
);

/** What somebody who never drove her does when the driver is in the water: large, in order, from her own controls. */
export function CardPage() {
  const p = usePalette();
  const held = useBoat();
  const reader = useReader('UTC');
  if (!held) return <Gone />;
  const steps = startCard(held.doc);
  return (
    <Page
      title={plainly(BOAT.card, { boat: held.doc.name })}
      lead="Do it once for real, with the driver watching, before you leave."
    >
      {steps ? (
        <View role="list" aria-label="Steps">
          {steps.map((step, i) => (
            <View
              key={step.say}
              role="listitem"
              style={{
                flexDirection: 'row',
                gap: 12,
                borderTopWidth: 2,
                borderColor: p.ink,
                paddingVertical: 10,
              }}
            >
              <T as="section" style={{ width: 28, fontSize: 22, lineHeight: 28 }}>
                {i + 1}
              </T>
              <T style={{ flex: 1, fontSize: 20, lineHeight: 27 }}>{render(step, reader)}</T>
            </View>
          ))}
        </View>
      ) : (
        <T>
          No motor drives her. Whoever is left turns the bow to whoever is in the water, brings something that
          floats, and doesn’t look away.
        </T>
      )}
      <Row>
        <Button onPress={() => window.print()}>Print it</Button>
        <TextLink href={`${thingHref('boat', held.id)}?at=/controls`}>
          How she is started and stopped
        </TextLink>
      </Row>
      <T as="small">Common practice, no published source. The maker’s manual stands before it.</T>
    </Page>
  );
}

/** Hired, borrowed, new: a walk with whoever knows her that fills her page and her card. */
export function HandoverPage() {
  const p = usePalette();
  const router = useRouter();
  const held = useBoat();
  if (!held) return <Gone />;
  return (
    <Page
      title={plainly(BOAT.handover, { boat: held.doc.name })}
      lead="Walk it together. Saved as you leave each field."
    >
      {HANDOVER.map((step, i) => (
        <View
          key={step.id}
          role="group"
          aria-label={step.what}
          style={{ borderTopWidth: 2, borderColor: p.ink, paddingVertical: 10, gap: 8 }}
        >
          <T as="section" heading={2}>
            {plainly(BOAT.step, { n: i + 1, what: step.what })}
          </T>
          <T as="soft">{step.why}</T>
          {step.fields.length > 0 ? (
            <ThingForm
              type="boat"
              doc={held.doc}
              only={step.fields}
              basis={held.doc.basis}
              onPatch={(patch) => void change(held, patch, changeOf(patch[0].pointer, held.doc.name))}
            />
          ) : null}
          {step.kit ? (
            <Row>
              <Button
                onPress={() =>
                  router.push(`/shed/gear/new?back=${encodeURIComponent(`/shed/handover?boat=${held.id}`)}`)
                }
              >
                Note a thing of hers
              </Button>
            </Row>
          ) : null}
        </View>
      ))}
      <TextLink href={`/shed/card?boat=${held.id}`}>Her second driver’s card</TextLink>
    </Page>
  );
}
