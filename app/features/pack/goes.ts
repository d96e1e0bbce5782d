import { useMemo } from 'react';
import { packList, type PackEntry } from '@escale/core/kit';
import type { GearItem } from '@escale/core/model';
import { useTrip } from '../trip/use-trip';

/** Something that travels, with the thing of the shed that it is, where it is one. */
export interface Goes extends PackEntry {
  item?: GearItem;
}

/** Everything that travels on the trip at hand, what was forgotten before first. */
export function useGoes(): Goes[] {
  const { trip, prepared, assessment, shed } = useTrip();
  return useMemo(() => {
    const { kit } = prepared.match(assessment.leave);
    const wornBy = new Map([...kit.jackets.fits].map(([person, fit]) => [fit.piece.item.id, person]));
    const debriefs = shed.debriefs.filter((d) => d.trip !== trip.id);
    return packList(kit.pieces, assessment.requirements, debriefs, wornBy).map((entry) => {
      const item = shed.gear.find((g) => g.id === entry.key);
      return { ...entry, ...(item ? { item } : {}) };
    });
  }, [trip.id, prepared, assessment, shed]);
}
