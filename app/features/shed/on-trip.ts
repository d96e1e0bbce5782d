import { useCallback } from 'react';
import { useLocalSearchParams, useRouter } from 'expo-router';
import type { Patch, Trip } from '@escale/core/model';
import { useKind } from '../../data/hooks';
import { change, create } from '../../data/outbox';
import { plainly } from '../../data/settings';
import type { ShedType } from '../../data/where';
import { SHED } from './words';

/** How a new thing comes onto a trip at once. Kit comes by matching and places on the way by choosing: neither is put there. */
const ONTO: Partial<Record<ShedType, (trip: Trip, id: string) => Patch>> = {
  boat: (_trip, value) => ({ op: 'set', pointer: '/boat', value }),
  water: (_trip, value) => ({ op: 'set', pointer: '/water', value }),
  contact: (_trip, value) => ({ op: 'append', pointer: '/contacts', value }),
  person: ({ crew }, person) => ({
    op: 'append',
    pointer: '/crew',
    value: { person, role: crew.length === 0 ? 'skipper' : 'crew' },
  }),
};

/** Where one goes back to: only to pages of this application. */
const within = (back: string | undefined) => (back && /^\/(trips|shed)\//.test(back) ? back : undefined);

/** Where one came from to a thing's page, as far as its address says it. */
export function useCameFrom(): string | undefined {
  return within(useLocalSearchParams<{ back?: string }>().back);
}

/** Adds a new thing; where it was asked for by a trip, it is used on that trip and leads back to it. */
export function useAdd(type: ShedType): {
  add: (doc: { id: string; name: string }) => void;
  back: string | undefined;
} {
  const router = useRouter();
  const { back: asked, trip } = useLocalSearchParams<{ back?: string; trip?: string }>();
  const held = useKind('trip').find((h) => h.id === trip);
  const back = within(asked);
  const add = useCallback(
    (doc: { id: string; name: string }) => {
      void create(type, doc, doc.name).then(() => {
        const onto = held && ONTO[type]?.(held.doc, doc.id);
        return onto && change(held, [onto], plainly(SHED.onTrip, { name: doc.name, trip: held.doc.title }));
      });
      router.replace(back ?? `/shed/${type}/${doc.id}`);
    },
    [type, held, back, router],
  );
  return { add, back };
}

/** The address of a new thing that is used on a trip and leads back to one of its sections. */
export const newOnTrip = (type: ShedType, trip: string, section: string) =>
  `/shed/${type}/new?trip=${trip}&back=${encodeURIComponent(`/trips/${trip}/${section}`)}`;
