import { View } from 'react-native';
import { useRouter } from 'expo-router';
import { Button } from '../../ui/button';
import { useWide } from '../../ui/page';
import { CardLink, TextLink } from '../../ui/press';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { useKind } from '../../data/hooks';
import { PRACTICE } from './words';

/** What can be tried at a screen, with one’s own numbers. */
const TRIES = [
  {
    href: '/practice/reversing',
    title: 'Backing the trailer',
    what: 'From above or by the mirrors, your own lengths.',
  },
  { href: '/practice/righting', title: 'Righting her', what: 'Lean out: does she come up, and why not?' },
  {
    href: '/practice/anchoring',
    title: 'Anchoring',
    what: 'Let out line: bite, drag, gusts, a stream that turns.',
  },
  {
    href: '/practice/order',
    title: 'In which order?',
    what: 'Steps against the clock, and what a wrong one costs.',
  },
  {
    href: '/practice/flares',
    title: 'When to light a flare',
    what: 'Three flares, an hour, people who pass.',
  },
] as const;

/** Trips that are still to come are read first; no more of them than these. */
const MOST = 4;

/** What can be tried at the screen, and the trips whose water can be read. */
export function Tries() {
  const p = usePalette();
  const wide = useWide();
  const router = useRouter();
  const trips = useKind('trip')
    .map(({ doc }) => doc)
    .filter(({ status }) => status !== 'done')
    .sort((a, b) => a.leave.date.localeCompare(b.leave.date))
    .slice(0, MOST);
  const card = {
    width: wide ? '49%' : '100%',
    borderWidth: 2,
    borderColor: p.ink,
    backgroundColor: p.raised,
    padding: 12,
    minHeight: 64,
  } as const;
  return (
    <View style={{ gap: 8 }}>
      <T as="section" heading={2}>
        {PRACTICE.tries}
      </T>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        {TRIES.map(({ href, title, what }) => (
          <CardLink key={href} href={href} label={title} style={card}>
            <T as="section" heading={3}>
              {title}
            </T>
            <T as="soft">{what}</T>
          </CardLink>
        ))}
        <View style={card}>
          <T as="section" heading={3}>
            {PRACTICE.read}
          </T>
          {trips.length > 0 ? (
            <>
              <T as="soft">{PRACTICE.readWhat}</T>
              {trips.map(({ id, title }) => (
                <TextLink key={id} href={`/trips/${id}/read`}>
                  {title}
                </TextLink>
              ))}
            </>
          ) : (
            <>
              <T as="soft">{PRACTICE.readNone}</T>
              <Button onPress={() => router.push('/begin')}>{PRACTICE.readBegin}</Button>
            </>
          )}
        </View>
      </View>
    </View>
  );
}
