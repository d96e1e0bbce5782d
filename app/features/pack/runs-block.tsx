import { useMemo } from 'react';
import { View } from 'react-native';
import { ledgerOf, type Runs } from '@escale/core/trip/energy';
import { thingHref } from '../../data/where';
import { TextLink } from '../../ui/press';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { useTrip } from '../trip/use-trip';
import { RUNS } from './layer-words';

/** All that runs on fuel or a battery, what runs out first first. */
export function RunsBlock() {
  const { prepared, assessment, input } = useTrip();
  const { pieces } = prepared.match(assessment.leave).kit;
  const rows = useMemo(
    () => ledgerOf(input, assessment.schedule, pieces),
    [input, assessment.schedule, pieces],
  );
  if (assessment.schedule?.home === undefined) return <T as="soft">{RUNS.noHours}</T>;
  if (rows.length === 0) return <T as="soft">{RUNS.none}</T>;
  return (
    <View style={{ gap: 6, padding: 12 }}>
      <T as="soft">{RUNS.lead}</T>
      <View role="list" aria-label={RUNS.title}>
        {rows.map((row) => (
          <Row key={`${row.by}-${row.id}`} row={row} />
        ))}
      </View>
    </View>
  );
}

function Row({ row: { id, name, by, holds, needs, over, until, keeps, spare } }: { row: Runs }) {
  const p = usePalette();
  const { says } = useTrip();
  const thing = by === 'thing';
  return (
    <View role="listitem" style={{ borderBottomWidth: 1, borderColor: p.line, paddingVertical: 6 }}>
      <View style={{ flexDirection: 'row', justifyContent: 'space-between', gap: 8 }}>
        <T as="strong" style={{ flex: 1 }}>
          {says(thing ? RUNS.thing : by === 'fuel' ? RUNS.fuel : RUNS.battery, { name })}
        </T>
        <T as="strong">
          {holds === undefined ? RUNS.unsaid : until === undefined ? RUNS.lasts : says(RUNS.until, { until })}
        </T>
      </View>
      <T as="small">
        {says(holds === undefined ? RUNS.needs : RUNS.holds, { holds: holds ?? 0, needs, over })}
      </T>
      {keeps === undefined ? null : <T as="small">{says(RUNS.keeps, { keeps })}</T>}
      {spare === undefined ? null : <T as="small">{says(RUNS.spare, { spare })}</T>}
      {holds === undefined ? (
        <TextLink href={`${thingHref('gear', id)}?at=%2Flasts`}>{says(RUNS.say, { name })}</TextLink>
      ) : null}
    </View>
  );
}
