import { View } from 'react-native';
import { slowOf } from '@escale/core/boat';
import { endsOwn, farthestFrom, motored, storesOn } from '@escale/core/passage';
import { MS } from '@escale/core/units';
import { figureNamed } from '@escale/core/verdict';
import { heightsAt, tideOf } from '@escale/core/water';
import type { Place, Water } from '@escale/core/model';
import { PLACE_KINDS } from '@escale/core/model/lists';
import { Phone } from '../../ui/phone';
import { Press, TextLink } from '../../ui/press';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { TOUCH } from '../../ui/tokens';
import { plainly } from '../../data/settings';
import { thingHref } from '../../data/where';
import { useCompass } from '../where/compass';
import type { TripView } from '../trip/use-trip';
import { CHART } from './words';

/** Places by list: choosing one here is choosing it on the chart. */
export function PlaceList({
  places,
  chosen,
  onChoose,
}: {
  places: Place[];
  chosen: string | undefined;
  onChoose: (place: Place) => void;
}) {
  const p = usePalette();
  return (
    <View style={{ gap: 4 }}>
      <T as="section" heading={2}>
        {CHART.places}
      </T>
      {places.length === 0 ? <T as="soft">{CHART.noPlaces}</T> : null}
      <View role="list">
        {places.map((place) => (
          <View key={place.id} role="listitem">
            <Press
              label={plainly('{name}, {kind}', { name: place.name, kind: PLACE_KINDS[place.kind] })}
              onPress={() => onChoose(place)}
              style={{
                minHeight: TOUCH,
                flexDirection: 'row',
                justifyContent: 'space-between',
                alignItems: 'center',
                gap: 10,
                borderBottomWidth: 1,
                borderColor: p.line,
                borderLeftWidth: place.id === chosen ? 4 : 0,
                paddingLeft: place.id === chosen ? 8 : 0,
              }}
            >
              <T as={place.id === chosen ? 'strong' : 'body'} style={{ flexShrink: 1 }}>
                {place.name}
              </T>
              <T as="small">{PLACE_KINDS[place.kind]}</T>
            </Press>
          </View>
        ))}
      </View>
    </View>
  );
}

/** Legs with their hours, and where on each a landing is farthest. */
export function LegList({ view: { trip, shed, assessment, says } }: { view: TripView }) {
  const legs = assessment.schedule?.legs ?? [];
  const compass = useCompass();
  const place = (id: string) => shed.places.find((one) => one.id === id);
  const water = shed.waters.find(({ id }) => id === trip.water);
  const speed = slowOf(shed.boats.find(({ id }) => id === trip.boat));
  const seeking = {
    own: endsOwn(trip),
    ...(water ? { water: water.id } : {}),
    ...(speed ? { speed } : {}),
    tideAt: heightsAt(water?.tide && tideOf(water.tide)),
  };
  // What is in her tank as each leg ends.
  const pace = figureNamed(assessment.figures, 'passage/speed')?.value;
  const own = motored(trip, shed.boats).find(({ boat }) => boat.id === trip.boat);
  const stores = own && pace && assessment.schedule ? storesOn(own, pace, assessment.schedule) : undefined;
  const leftAt = (arrives: number) => {
    const leg = stores?.legs[legs.findIndex((each) => each.arrives === arrives)];
    return stores && leg?.left !== undefined ? { kind: stores.kind, left: Math.max(0, leg.left) } : undefined;
  };
  return (
    <View style={{ gap: 8 }}>
      {legs
        .filter(({ metres }) => metres > 0)
        .map(({ from, to, departs, arrives, metres, bearing, soonest }) => {
          const [a, b] = [place(from), place(to)];
          if (!a || !b) return null;
          const far = farthestFrom(a.position, b.position, shed.places, { ...seeking, departs, arrives });
          const shown = compass(bearing, a.position, departs);
          const left = leftAt(arrives);
          const values = far && { far: far.metres, name: far.place.name };
          return (
            <View key={departs}>
              <T as="strong">{plainly(CHART.leg, { from: a.name, to: b.name })}</T>
              <T as="soft">
                {says(CHART.legAt, { depart: departs, arrive: arrives })}
                {' · '}
                {says(CHART.legFar, { far: metres, bearing })}
                {shown ? ', ' : ''}
                {shown}
              </T>
              <T as="small">
                {says(CHART.legMade, { made: metres / ((arrives - departs) / MS.second) })}
                {soonest !== undefined && arrives - soonest >= MS.minute
                  ? says(CHART.legSoonest, { soonest })
                  : ''}
                {left === undefined ? '' : says(left.kind === 'fuel' ? CHART.legFuel : CHART.legCharge, left)}
              </T>
              {values ? (
                <T as="small">
                  {far.seconds === undefined
                    ? says(CHART.farthest, values)
                    : says(CHART.farthestIn, { ...values, seconds: far.seconds })}
                </T>
              ) : (
                <T as="small">{CHART.noLanding}</T>
              )}
            </View>
          );
        })}
    </View>
  );
}

/** Whom to ring on this water: links of the phone itself, and when somebody last tried them. */
export function Numbers({ water }: { water: Water }) {
  const lines = [
    ...(water.rescueNumber
      ? [
          {
            who: water.rescueName ?? water.name,
            number: water.rescueNumber,
            confirmed: water.rescueConfirmed,
          },
        ]
      : []),
    ...(water.numbers ?? []),
  ];
  return (
    <View style={{ gap: 4 }}>
      <T as="section" heading={2}>
        {CHART.numbers}
      </T>
      {lines.length === 0 ? <T as="soft">{CHART.noNumbers}</T> : null}
      {lines.map(({ who, number, confirmed }) => (
        <View key={`${who}${number}`}>
          <Phone name={who} number={number} text={false} />
          <T as="small">{confirmed ? plainly(CHART.confirmedOn, { on: confirmed }) : CHART.unconfirmed}</T>
        </View>
      ))}
      <TextLink href={`${thingHref('water', water.id)}?at=${encodeURIComponent('/numbers')}`}>
        {CHART.enterNumbers}
      </TextLink>
    </View>
  );
}
