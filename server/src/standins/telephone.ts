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
  /** @throws when it could not be carried out; it is tried again */
  ring(call: OutgoingCall): Promise<void>;
}

/** The contact's phone in the demo: a list of what reached it, shown on the Watch page. */
export function simulatedTelephone(db: Db): Telephone {
  return {
    ring: async ({ key, to, phone, text, at }) => {
      await db
        .insert(phoneCall)
        .values({ key, to, phone, text, at: new Date(at) })
        .onConflictDoNothing();
    },
  };
}
