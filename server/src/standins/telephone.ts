import type { Channel } from '../channels/channel';
import { phoneCall } from '../db/schema';
import type { Db } from '../db/open';

/** The contact's phone in the demo: a list of what reached it, shown on the Watch page. */
export function simulatedTelephone(db: Db): Channel {
  return {
    name: 'telephone',
    simulated: true,
    // Whoever is of the crew has one in their pocket.
    reaches: ({ phone, ashore }) => phone !== null || !ashore,
    send: async ({ key, to, phone, text, at }) => {
      await db
        .insert(phoneCall)
        .values({ key, to, phone, text, at: new Date(at) })
        .onConflictDoNothing();
    },
  };
}
