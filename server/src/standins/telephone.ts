import { phoneCall } from '../db/schema';
import type { Db } from '../db/open';

export interface OutgoingCall {
  key: string;
  to: string;
  phone: string | null;
  text: string;
  at: number;
}

/** What a real telephone or message service would have to offer. At least once is enough: the key makes twice once. */
export interface Telephone {
  /** `tx` is the transaction at hand: PGlite has one connection, and a stand-in that keeps its record there must use it. */
  ring(call: OutgoingCall, tx: Db): Promise<void>;
}

/** The contact's phone in the demo: a list of what reached it, shown on the Watch page. */
export function simulatedTelephone(): Telephone {
  return {
    ring: async ({ key, to, phone, text, at }, tx) => {
      await tx
        .insert(phoneCall)
        .values({ key, to, phone, text, at: new Date(at) })
        .onConflictDoNothing();
    },
  };
}
