import { View } from 'react-native';
import type { Mend } from '@escale/core/model';
import { render } from '@escale/core/say';
import { sourceOf } from '@escale/core/sources';
import type { Told } from '@escale/core/whatif';
import { T } from '../../ui/text';
import { TextLink } from '../../ui/press';
import { usePalette } from '../../ui/theme';
import { WhyOpens } from './why-opens';
import { mendHref } from '../../data/where';
import { useTrip } from '../trip/use-trip';
import { whenOf } from './when';
import { IF } from './words';

/** What happens, in order, then what has no hour of its own. */
export function ToldList({ told, at }: { told: readonly Told[]; at: number }) {
  const timed = told.filter(({ after }) => after && after.low !== Infinity);
  const besides = told.filter(({ after }) => !after || after.low === Infinity);
  return (
    <>
      <List title={IF.told} told={timed} at={at} />
      <List title={IF.besides} told={besides} at={at} />
    </>
  );
}

function List({ title, told, at }: { title: string; told: readonly Told[]; at: number }) {
  if (told.length === 0) return null;
  return (
    <View style={{ gap: 4 }}>
      <T as="section" heading={2}>
        {title}
      </T>
      <View role="list" aria-label={title}>
        {told.map((each) => (
          <Line key={each.id} told={each} at={at} />
        ))}
      </View>
    </View>
  );
}

/** What harms has a heavy edge, what helps a double one, what is not known a broken one. */
function Line({ told: { after, says, tone, mend, why, source }, at }: { told: Told; at: number }) {
  const p = usePalette();
  const { reader, trip, says: fill } = useTrip();
  const edge = {
    harm: { borderLeftWidth: 8, borderColor: p.ink },
    help: { borderLeftWidth: 8, borderColor: p.water1 },
    open: { borderLeftWidth: 7, borderStyle: 'dotted' as const, borderColor: p.soft },
    fact: { borderLeftWidth: 8, borderColor: 'transparent' },
  }[tone];
  const href = mend && hrefOf(mend, trip.id);
  const asked = [
    ...(why ?? []).map((phrase) => render(phrase, reader)),
    ...(source ? [sourceOf(source)?.title ?? source] : []),
  ];
  const sentences = says.map((phrase, i) => (
    <T key={i} as={i === 0 ? 'body' : 'soft'}>
      {render(phrase, reader)}
    </T>
  ));
  const head = after ? (
    <T as="strong" style={{ flexShrink: 1 }}>
      {whenOf(after, at, fill)}
    </T>
  ) : tone === 'open' ? (
    <T as="caps">{IF.notKnown}</T>
  ) : asked.length > 0 ? (
    <View />
  ) : null;
  return (
    <View role="listitem" style={{ borderTopWidth: 1, borderTopColor: p.line }}>
      <View
        style={{
          ...edge,
          borderTopWidth: 0,
          paddingLeft: 8,
          paddingVertical: asked.length > 0 ? 2 : 8,
          gap: 2,
        }}
      >
        {asked.length > 0 ? (
          <WhyOpens head={head} of={render(says[0], reader)} lines={asked}>
            {sentences}
          </WhyOpens>
        ) : (
          <>
            {head}
            {sentences}
          </>
        )}
        {href ? <TextLink href={href}>{render(mend.label, reader)}</TextLink> : null}
      </View>
    </View>
  );
}

const hrefOf = (mend: Mend, trip: string): string | undefined => mendHref(mend, trip, 'plan/day');
