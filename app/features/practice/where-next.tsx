import { useMemo } from 'react';
import { View } from 'react-native';
import { proposals, type Checks, type Proposal } from '@escale/core/logbook/propose';
import { saysTo } from '@escale/core/say';
import { conditionsFor, sortForecast } from '@escale/core/water';
import { MS } from '@escale/core/units';
import { T } from '../../ui/text';
import { useConditions, useKind, useNow, useThings } from '../../data/hooks';
import { useReader } from '../../data/settings';
import { CHECK, DRILL } from './drill-words';

/** So many places are told. */
const TOLD = 2;

/** Where and when to practise in the water next, by the forecast that lies here of the next trip’s water. */
export function WhereNext() {
  const { shed } = useThings();
  const now = useNow(MS.hour);
  const next = useKind('trip')
    .map(({ doc }) => doc)
    .filter(({ status }) => status !== 'done')
    .sort((a, b) => a.leave.date.localeCompare(b.leave.date))
    .at(0);
  const conditions = useConditions(next?.id, next?.leave.date);
  const found = useMemo(() => {
    const told = next && conditionsFor(next, conditions ?? {}).forecast;
    return proposals(
      shed.places,
      shed.waters,
      // Weather that was made up for show settles nothing.
      (water) => (told && !told.invented && water.id === next?.water ? sortForecast(told) : undefined),
      now,
    );
  }, [shed.places, shed.waters, next, conditions, now]);
  return (
    <View style={{ gap: 6 }}>
      <T as="section" heading={2}>
        {DRILL.where}
      </T>
      {found.length === 0 ? <T as="soft">{DRILL.whereNone}</T> : null}
      {found.slice(0, TOLD).map((each) => (
        <One key={each.place.id} proposal={each} />
      ))}
      {found.length === 0 ? null : <T>{DRILL.bring}</T>}
    </View>
  );
}

function One({ proposal: { place, water, from, until, checks, wind, temperature } }: { proposal: Proposal }) {
  const says = saysTo(useReader(water.zone));
  const told = [
    ...(Object.keys(checks) as (keyof Checks)[]).map((name) => CHECK[name][checks[name]]),
    ...(wind === undefined ? [] : [says(DRILL.wind, { wind })]),
    ...(temperature === undefined ? [] : [says(DRILL.water, { temperature })]),
  ];
  return (
    <View>
      <T as="strong">{says(DRILL.whereIs, { place: place.name, from, until })}</T>
      <T as="soft">{says('{told:list}', { told })}</T>
    </View>
  );
}
