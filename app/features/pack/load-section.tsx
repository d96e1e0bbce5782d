import { View } from 'react-native';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { Figures } from '../trip/figure-view';
import { useTrip } from '../trip/use-trip';
import { TripForm } from '../plan/trip-form';

/** A first honest sum: everything that goes in, against plate or maker's figure. */
export function LoadSection() {
  const p = usePalette();
  const { assessment } = useTrip();
  const { load, limit } = assessment.figures;
  const share = load && limit ? load.value / limit.value : undefined;
  return (
    <View style={{ gap: 16 }}>
      <Figures names={['load', 'limit', 'share', 'personsMost']} />
      {share === undefined ? null : (
        <View role="img" aria-label={`Loaded to ${Math.round(share * 100)} per cent`} style={{ height: 18, borderWidth: 2, borderColor: p.ink, flexDirection: 'row' }}>
          <View style={{ width: `${Math.min(100, share * 100)}%`, backgroundColor: share > 1 ? p.call : p.water1 }} />
        </View>
      )}
      <T as="soft">Weights of people come from their own pages. Liquids count: a litre of water is a kilogram, petrol three quarters of one.</T>
      <TripForm fields={['load']} />
    </View>
  );
}
