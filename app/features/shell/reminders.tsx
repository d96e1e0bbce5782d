import { useEffect } from 'react';
import { planReminders } from '@escale/core/floatplan';
import { render } from '@escale/core/say';
import { MS } from '@escale/core/units';
import { useNow, usePlans } from '../../data/hooks';
import { useSettings } from '../../data/settings';

/** An hour that passed longer ago than this, while the application slept, is no reminder any more: the page itself says it. */
const STALE = 10 * MS.minute;
/** What was told while this page is open. */
const told = new Set<string>();

/**
 * Reminds while the application is open, where its person asked for it; and counts on the application's icon what is
 * overdue. It draws nothing.
 */
export function Reminders() {
  const { remind } = useSettings();
  const now = useNow(MS.minute);
  const plans = usePlans();
  useEffect(() => {
    if (!remind || typeof Notification === 'undefined' || Notification.permission !== 'granted') return;
    for (const plan of plans ?? []) {
      const reader = { units: 'metric', zone: plan.zone, locale: 'en-GB' } as const;
      for (const { key, at, what } of planReminders(plan)) {
        if (at > now || now - at > STALE || told.has(key)) continue;
        told.add(key);
        void notify(plan.title, render(what, reader), key);
      }
    }
  }, [remind, now, plans]);
  return null;
}

/** By the service worker where there is one, as phones want it; else by the page. */
async function notify(title: string, body: string, tag: string): Promise<void> {
  const options = { body, tag, icon: '/icon-192.png' };
  const registration = await navigator.serviceWorker?.getRegistration();
  if (registration) await registration.showNotification(title, options);
  else new Notification(title, options);
}

/** The count on the application's icon, where the browser has one. */
export function setBadge(n: number): void {
  if (typeof navigator === 'undefined' || typeof navigator.setAppBadge !== 'function') return;
  // A browser may have the function and refuse it, as in a page that is not installed: then there is no badge.
  (n > 0 ? navigator.setAppBadge(n) : navigator.clearAppBadge()).catch((error: unknown) =>
    console.warn('no badge here:', error),
  );
}
