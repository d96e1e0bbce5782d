import { View } from 'react-native';
import { CRAFT, SKILLED } from '@escale/core/model/lists';
import { usualLimits } from '@escale/core/trip';
import { T } from '../../ui/text';
import { plainly, useReader } from '../../data/settings';
import type { Held } from '../../data/things';
import { LimitsNotes, LimitsTable, useKeptDays } from './limits-table';
import { LIMITS } from './words';

/** Somebody's limits in each kind of boat they named, beside what is usual for one who knows it so well. */
export function PersonsLimits({ held }: { held: Held<'person'> }) {
  const reader = useReader('UTC');
  const days = useKeptDays();
  const skills = held.doc.skills ?? [];
  if (skills.length === 0) return null;
  return (
    <View style={{ gap: 12 }}>
      <T as="section" heading={2}>
        {days.length > 0 ? LIMITS.title : LIMITS.plain}
      </T>
      {skills.map(({ craft, level, limits = {} }, i) => {
        const name = plainly(LIMITS.person, { craft: CRAFT[craft], level: SKILLED[level].toLowerCase() });
        return (
          <View key={`${craft} ${i}`} style={{ gap: 4 }}>
            <T as="strong" heading={3}>
              {name}
            </T>
            <LimitsTable name={name} limits={limits} usual={usualLimits(craft, level)} reader={reader} />
          </View>
        );
      })}
      <LimitsNotes usual />
    </View>
  );
}
