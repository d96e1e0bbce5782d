import { useState } from 'react';
import { View } from 'react-native';
import useSWR from 'swr';
import * as z from 'zod';
import type { Channel } from '@escale/core/model';
import { ask } from '../../data/api';
import { useChannels, useHealth } from '../../data/hooks';
import { plainly } from '../../data/settings';
import { Button, Row } from '../../ui/button';
import { T } from '../../ui/text';
import { TROUBLE, WAYS } from './words';

/** By which ways messages leave this server, and how each last fared. */
export function Ways() {
  const { health } = useHealth();
  const seen = useChannels();
  const channels = health?.channels ?? seen;
  if (!channels) return null;
  return (
    <View style={{ gap: 4, marginTop: 12 }}>
      <T as="section" heading={2}>
        {WAYS.title}
      </T>
      {channels.length === 0 ? <T>{WAYS.none}</T> : null}
      {channels.map((channel) => (
        <T key={channel.name} as={channel.failing === undefined ? 'body' : 'strong'}>
          {said(channel)}
        </T>
      ))}
      <ThisBrowser />
    </View>
  );
}

function said({ name, failing, worked, trouble }: Channel): string {
  const way = WAYS[name];
  if (failing !== undefined)
    return plainly(WAYS.failing, { way, at: failing, why: TROUBLE[trouble ?? ''] ?? trouble ?? '' });
  return worked === undefined ? plainly(WAYS.untried, { way }) : plainly(WAYS.works, { way, at: worked });
}

const Key = z.object({ key: z.string().optional() });

/** This browser, told by its own service, where the server has a key for it. */
function ThisBrowser() {
  const { data } = useSWR('/api/push', async (path) => Key.parse(await ask(path)));
  const { data: told, mutate } = useSWR('push-here', subscribed);
  const [fault, setFault] = useState(false);
  if (!data?.key) return null;
  const set = async (on: boolean) => {
    try {
      await (on ? subscribe(data.key ?? '') : unsubscribe());
      setFault(false);
    } catch {
      setFault(true);
    }
    await mutate();
  };
  return (
    <View style={{ gap: 4 }}>
      {told ? <T>{WAYS.toldNow}</T> : null}
      <Row>
        <Button onPress={() => void set(!told)}>{told ? WAYS.end : WAYS.told}</Button>
      </Row>
      {fault ? <T role="status">{WAYS.notTold}</T> : null}
    </View>
  );
}

const worker = () => navigator.serviceWorker?.getRegistration();
async function subscribed(): Promise<boolean> {
  const here = await (await worker())?.pushManager?.getSubscription();
  return here != null;
}

/** Asks the person, then the browser's own service. @throws where either says no */
async function subscribe(applicationServerKey: string): Promise<void> {
  if ((await Notification.requestPermission()) !== 'granted') throw new Error('not allowed');
  const registration = await worker();
  if (!registration) throw new Error('no service worker');
  const made = await registration.pushManager.subscribe({ userVisibleOnly: true, applicationServerKey });
  await ask('/api/push', made.toJSON());
}

async function unsubscribe(): Promise<void> {
  const here = await (await worker())?.pushManager.getSubscription();
  if (!here) return;
  await ask('/api/push/end', { endpoint: here.endpoint });
  await here.unsubscribe();
}
