import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { Button, Row } from '../../ui/button';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { setSettings, useSettings } from '../../data/settings';
import { INSTALL } from './words';

/** What a browser gives a page that can be kept on the device. */
interface Offer extends Event {
  prompt: () => Promise<unknown>;
}

let offered: Offer | undefined;
const heard = new Set<() => void>();
if (typeof window !== 'undefined')
  window.addEventListener('beforeinstallprompt', (event) => {
    event.preventDefault();
    offered = event as Offer;
    for (const each of heard) each();
  });

const installed = () =>
  typeof window !== 'undefined' && window.matchMedia?.('(display-mode: standalone)').matches === true;

function useOffer(): Offer | undefined {
  const [offer, setOffer] = useState(offered);
  useEffect(() => {
    const hear = () => setOffer(offered);
    heard.add(hear);
    return () => {
      heard.delete(hear);
    };
  }, []);
  return offer;
}

/** Said once, when there is something worth keeping: the application can stay on this device. */
export function InstallHint() {
  const p = usePalette();
  const { hinted } = useSettings();
  const offer = useOffer();
  if (hinted || installed()) return null;
  const done = () => void setSettings({ hinted: true });
  return (
    <View
      role="group"
      aria-label={INSTALL.title}
      style={{ borderWidth: 1, borderColor: p.line, backgroundColor: p.raised, padding: 12, gap: 6 }}
    >
      <T as="strong">{INSTALL.title}</T>
      <T as="soft">{offer ? INSTALL.why : INSTALL.byHand}</T>
      <Row>
        {offer ? (
          <Button
            onPress={() => {
              void offer.prompt();
              done();
            }}
          >
            {INSTALL.keep}
          </Button>
        ) : null}
        <Button onPress={done}>{INSTALL.read}</Button>
      </Row>
    </View>
  );
}

/** Reminders of this device: asked for where it is explained, with the truth beside it. */
export function RemindHere() {
  const { remind } = useSettings();
  const [said, setSaid] = useState<string>();
  if (typeof Notification === 'undefined') return <T as="small">{INSTALL.noReminders}</T>;
  const ask = async () => {
    const leave = await Notification.requestPermission();
    if (leave === 'granted') await setSettings({ remind: true });
    setSaid(leave === 'granted' ? undefined : INSTALL.refused);
  };
  return (
    <View style={{ gap: 4 }}>
      <T as="label">{INSTALL.reminders}</T>
      <T as="small">{INSTALL.truth}</T>
      <Row>
        {remind ? (
          <Button onPress={() => void setSettings({ remind: false })}>{INSTALL.stop}</Button>
        ) : (
          <Button onPress={() => void ask()}>{INSTALL.remind}</Button>
        )}
      </Row>
      {said ? (
        <T as="soft" role="status">
          {said}
        </T>
      ) : null}
    </View>
  );
}
