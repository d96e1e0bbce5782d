import { useState } from 'react';
import { View } from 'react-native';
import { lastLook, packGroups } from '@escale/core/kit';
import { MS } from '@escale/core/units';
import { useNow } from '../../data/hooks';
import { Choice, Tick } from '../../ui/choice';
import { T } from '../../ui/text';
import { tick } from '../../data/outbox';
import { packListOf, useTrip } from '../trip/use-trip';
import { lookHolds } from '@escale/core/boat';
import { gearState, placeWord } from '../shed/gear-note';
import { useGoes } from './goes';
import { SeenShut } from '../photos/seen-shut';
import { Backwards } from './backwards';
import { KIT } from './words';
import { plainly } from '../../data/settings';

/** What to do before, reckoned backwards from leaving, and the packing list. */
export function ReadySection() {
  return (
    <View style={{ gap: 24 }}>
      <Backwards />
      <Packing />
      <LastLook />
      <SeenShut />
    </View>
  );
}

/** Ticks are shared between the phones of a household; the latest word on each thing holds. */
function Packing() {
  const { trip, ticks } = useTrip();
  const now = useNow(MS.minute);
  const entries = useGoes();
  const [by, setBy] = useState<'when' | 'place'>('when');
  const done = entries.filter((e) => ticks.has(e.key)).length;
  return (
    <View style={{ gap: 6 }}>
      <T as="section" heading={3}>
        Packing list
      </T>
      <T as="soft">{plainly(KIT.inHand, { done, all: entries.length })}</T>
      <Choice
        label="Grouped by"
        options={[
          { value: 'when', label: 'By when' },
          { value: 'place', label: 'By where it goes' },
        ]}
        value={by}
        onChange={(v) => v && setBy(v as typeof by)}
      />
      {packGroups(entries, by).map((group) => (
        <View key={group.title}>
          <T as="caps" style={{ marginTop: 10 }}>
            {group.title}
          </T>
          {group.entries.map((e) => (
            <Tick
              key={e.key}
              label={e.count > 1 ? plainly(KIT.count, { n: e.count, title: e.title }) : e.title}
              on={ticks.has(e.key)}
              onChange={(on) => void tick(packListOf(trip.id), e.key, on, now)}
              note={
                e.forgottenOn
                  ? plainly(KIT.notedAfter, { on: e.forgottenOn })
                  : [
                      by === 'when' ? placeWord(e.place) : undefined,
                      e.item && gearState(e.item, trip.leave.date),
                    ]
                      .filter(Boolean)
                      .join(' · ')
              }
            />
          ))}
        </View>
      ))}
    </View>
  );
}

/** At most ten things that sink or kill, at the boat, after everything else. */
function LastLook() {
  const { trip, prepared, assessment, ticks } = useTrip();
  const now = useNow(MS.minute);
  const { facts } = prepared.match(assessment.leave).world;
  const has = new Set(
    [
      ['motor', 'boat.motor'],
      ['combustion', 'boat.combustion'],
      ['manual', 'boat.manual'],
      ['dark', 'day.dark'],
    ].flatMap(([word, fact]) => (facts[fact] === false ? [] : [word])),
  );
  const looks = lastLook(has);
  return (
    <View style={{ gap: 4 }}>
      <T as="section" heading={3}>
        The last look, at the boat
      </T>
      <T as="soft">Ticks from more than four hours before you leave don’t count: look again.</T>
      {looks.map((look) => (
        <Tick
          key={look.id}
          label={look.title}
          on={lookHolds(ticks.get(`last:${look.id}`), assessment.leave)}
          onChange={(on) => void tick(packListOf(trip.id), `last:${look.id}`, on, now)}
        />
      ))}
    </View>
  );
}
