import { useMemo } from 'react';
import { View } from 'react-native';
import { Limits, type LimitName } from '@escale/core/model';
import type { Reader } from '@escale/core/say';
import { goesBeyond, LIMIT_NAMES } from '@escale/core/trip';
import { heldAgainst, keptDays, type HeldAgainst } from '@escale/core/trip/kept-forecasts';
import { format, spanText } from '@escale/core/units';
import { CELL, TableHead } from '../../ui/table-head';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { useKind } from '../../data/hooks';
import { plainly } from '../../data/settings';
import { shapeOf } from '../forms/schema';
import { LIMIT_LABELS, LIMITS } from './words';

/** A value in the unit of its own field; a duration as hours and minutes. */
function written(name: LimitName, value: number, { units }: Reader): string {
  const { quantity = 'count' } = shapeOf(Limits.shape[name]).meta;
  return quantity === 'duration' ? spanText(value) : format(value, quantity, units);
}

/** The days of the forecasts that stand on this household's trips. */
export function useKeptDays() {
  const trips = useKind('trip'),
    waters = useKind('water');
  return useMemo(
    () =>
      keptDays(
        trips.map(({ doc }) => doc),
        waters.map(({ doc }) => doc),
      ),
    [trips, waters],
  );
}

/** Over how many days, and what is usual. */
export function LimitsNotes({ usual }: { usual?: true }) {
  const days = useKeptDays();
  return (
    <View>
      <T as="soft">{keptWords(days.map(({ date }) => date))}</T>
      {usual ? <T as="soft">{LIMITS.usualIs}</T> : null}
    </View>
  );
}

/** Limits beside what is usual, and on how many of the days that are kept each would have said no. */
export function LimitsTable({
  name,
  limits,
  usual,
  reader,
}: {
  /** Whose, for who hears it. */
  name: string;
  limits: Limits;
  usual?: Record<LimitName, number>;
  reader: Reader;
}) {
  const p = usePalette();
  const days = useKeptDays();
  // What only the limits themselves would show, stands in their fields.
  const told = usual !== undefined || days.length > 0;
  const mine = heldAgainst(limits, days),
    theirs = heldAgainst(usual ?? {}, days);
  const rows = LIMIT_NAMES.filter((each) => usual !== undefined || limits[each] !== undefined);
  if (rows.length === 0 || !told) return null;
  const heads = [LIMITS.what, ...(usual ? [LIMITS.usual] : []), LIMITS.mine];
  return (
    <View style={{ gap: 6 }}>
      {usual ? null : <T as="label">{name}</T>}
      <View role="table" aria-label={name}>
        <TableHead heads={heads} />
        {rows.map((each) => {
          const own = limits[each];
          return (
            <View
              key={each}
              role="row"
              style={{ flexDirection: 'row', borderBottomWidth: 1, borderColor: p.line }}
            >
              <View role="rowheader" style={CELL}>
                <T>{LIMIT_LABELS[each]}</T>
              </View>
              {usual ? (
                <View role="cell" style={CELL}>
                  <T>{written(each, usual[each], reader)}</T>
                  <Said held={theirs[each]} />
                </View>
              ) : null}
              <View role="cell" style={CELL}>
                <T as={own === undefined ? 'soft' : 'strong'}>
                  {own === undefined ? LIMITS.none : written(each, own, reader)}
                </T>
                {own !== undefined && usual && goesBeyond(each, own, usual[each]) ? (
                  <T as="soft">{LIMITS.beyond}</T>
                ) : null}
                <Said held={mine[each]} />
              </View>
            </View>
          );
        })}
      </View>
    </View>
  );
}

function Said({ held }: { held: HeldAgainst | undefined }) {
  return held ? <T as="soft">{plainly(LIMITS.no, { no: held.no, of: held.of })}</T> : null;
}

function keptWords(dates: string[]): string {
  const sorted = dates.toSorted();
  const [first, last] = [sorted[0], sorted.at(-1)];
  return first && last ? plainly(LIMITS.days, { n: sorted.length, from: first, until: last }) : LIMITS.noDays;
}
