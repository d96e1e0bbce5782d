import { createContext, useCallback, useContext, useMemo, useState, type ReactNode } from 'react';
import { Snackbar } from 'react-native-paper';

type Undo = (said: string, back: () => Promise<void>) => void;
const Offer = createContext<Undo>(() => undefined);

/** Offer a way back for a while: `undo('Whistle moved', () => …)`. */
export const useUndo = () => useContext(Offer);

const STAYS = 8000;

export function UndoProvider({ children }: { children: ReactNode }) {
  const [offer, setOffer] = useState<{ said: string; back: () => Promise<void>; n: number }>();
  const undo = useCallback<Undo>(
    (said, back) => setOffer((last) => ({ said, back, n: (last?.n ?? 0) + 1 })),
    [],
  );
  const action = useMemo(
    () => (offer ? { label: 'Undo', onPress: () => void offer.back() } : undefined),
    [offer],
  );
  return (
    <Offer.Provider value={undo}>
      {children}
      <Snackbar
        key={offer?.n}
        visible={offer !== undefined}
        onDismiss={() => setOffer(undefined)}
        duration={STAYS}
        {...(action ? { action } : {})}
        wrapperStyle={{ bottom: 130, maxWidth: 520, alignSelf: 'center' }}
      >
        {offer?.said ?? ''}
      </Snackbar>
    </Offer.Provider>
  );
}
