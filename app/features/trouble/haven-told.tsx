import { useEffect, type ReactNode } from 'react';
import { View } from 'react-native';
import { ARRIVED } from '@escale/core/passage';
import { render } from '@escale/core/say';
import { MS } from '@escale/core/units';
import type { Decision, Way } from '@escale/core/whatif';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { useTrip } from '../trip/use-trip';
import { HAVEN, TO } from './haven-words';

/**
 * The recommendation, why, and what would change it; then every way beside it.
 * @param asked what happened was said: before nothing is recommended
 * @param at when one sets out, epoch ms
 * @param fills how long she has, where water comes in: beside the time to each way
 */
export function HavenTold({
  decision,
  asked,
  at,
  fills,
}: {
  decision: Decision;
  asked: boolean;
  at: number;
  fills?: ReactNode;
}) {
  return (
    <>
      <Recommended decision={decision} asked={asked} at={at} />
      {fills}
      <Ways ways={decision.ways} at={at} />
    </>
  );
}

function Recommended({
  decision: { choose, because, changes },
  asked,
  at,
}: Pick<Parameters<typeof HavenTold>[0], 'decision' | 'asked' | 'at'>) {
  const p = usePalette();
  const { says, reader } = useTrip();
  const answered = asked && choose !== undefined;
  // What was asked for comes into sight; a hand that is wet need not look for it.
  useEffect(() => {
    if (answered) document.getElementById(TOLD)?.scrollIntoView({ block: 'nearest' });
  }, [answered]);
  return (
    <View
      nativeID={TOLD}
      role="status"
      style={{ borderWidth: 3, borderColor: p.ink, backgroundColor: p.raised, padding: 14, gap: 6 }}
    >
      {asked ? (
        <>
          {choose ? (
            <>
              <T as="title" heading={2}>
                {nameOf(choose, says)}
              </T>
              <T as="figure">{isThere(choose) ? HAVEN.there : (timeOf(choose, at, says) ?? HAVEN.noTime)}</T>
              {isThere(choose) ? null : <T as="label">{lengthOf(choose, says)}</T>}
            </>
          ) : null}
          {because.map((why, i) => (
            <T key={i}>{render(why, reader)}</T>
          ))}
          {changes.map((change, i) => (
            <T key={i} as="strong">
              {render(change, reader)}
            </T>
          ))}
        </>
      ) : (
        <T as="strong">{HAVEN.askWhat}</T>
      )}
    </View>
  );
}

const TOLD = 'haven-told';

function Ways({ ways, at }: { ways: Way[]; at: number }) {
  const p = usePalette();
  const { says } = useTrip();
  if (ways.length === 0) return null;
  return (
    <View style={{ gap: 4 }}>
      <T as="caps" heading={2}>
        {HAVEN.ways}
      </T>
      <View role="list" aria-label={HAVEN.ways}>
        {ways.map((way) => (
          <View
            key={way.to}
            role="listitem"
            style={{ borderTopWidth: 1, borderColor: p.line, paddingVertical: 6 }}
          >
            <T as="strong">{nameOf(way, says)}</T>
            <T>
              {isThere(way)
                ? HAVEN.there
                : [lengthOf(way, says), timeOf(way, at, says)].filter(Boolean).join(' · ')}
            </T>
            {way.doubts.length > 0 ? <T as="soft">{says(HAVEN.doubts, { doubts: way.doubts })}</T> : null}
          </View>
        ))}
      </View>
    </View>
  );
}

type Says = ReturnType<typeof useTrip>['says'];

const nameOf = ({ to, place }: Way, says: Says): string =>
  to === 'boat' ? TO.boat : says(TO[to], { place: place?.name ?? '' });

/** So near that one is there. */
const isThere = ({ to, metres }: Way): boolean => to !== 'boat' && metres < ARRIVED;

const timeOf = ({ seconds }: Way, at: number, says: Says): string | undefined =>
  seconds === undefined ? undefined : says(HAVEN.takes, { for: seconds, at: at + seconds * MS.second });

const lengthOf = ({ to, metres, bearing }: Way, says: Says): string =>
  bearing === undefined
    ? says(to === 'boat' ? HAVEN.off : HAVEN.wayRound, { metres })
    : says(HAVEN.way, { metres, bearing });
