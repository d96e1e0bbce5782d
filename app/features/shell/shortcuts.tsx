import { useEffect, useState } from 'react';
import { usePathname, useRouter } from 'expo-router';
import { Button } from '../../ui/button';
import { Sheet } from '../../ui/sheet';
import { T } from '../../ui/text';
import { useSettings } from '../../data/settings';
import { PHASES } from '../trip/sections';
import { PLACES } from './nav';

const LIST = [
  ['g then t, s, p, w', 'the four places'],
  ['1 to 4', 'the phases of a trip'],
  ['.', 'the verdict of a trip'],
  ['n', 'new'],
  ['?', 'this list'],
] as const;
/** How long after `g` the next key still counts, ms. */
const CHORD = 1500;

const inField = (target: EventTarget | null) =>
  target instanceof HTMLElement &&
  (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName));

/** Single keys: can be switched off, never inside a field, never with a modifier. */
export function Shortcuts() {
  const router = useRouter();
  const path = usePathname();
  const { shortcuts } = useSettings();
  const [list, setList] = useState(false);

  useEffect(() => {
    if (!shortcuts) return;
    let chordUntil = 0;
    const trip = /^\/trips\/([0-9a-f-]{36})/.exec(path)?.[1];
    const onKey = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || inField(event.target)) return;
      const { key } = event;
      const place = Date.now() < chordUntil ? PLACES.find((pl) => pl.key === key) : undefined;
      chordUntil = key === 'g' ? Date.now() + CHORD : 0;
      if (place) router.push(place.href);
      else if (key === '?') setList(true);
      else if (key === 'n' && path === '/trips') router.push('/begin');
      else if (key === 'n' && path === '/shed') router.push('/shed/gear/new');
      else if (trip && key === '.') router.push(`/trips/${trip}`);
      else if (trip && /^[1-4]$/.test(key)) router.push(`/trips/${trip}/${PHASES[Number(key) - 1]}`);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [shortcuts, router, path]);

  return list ? (
    <Sheet title="Keys" onClose={() => setList(false)}>
      {LIST.map(([key, what]) => (
        <T key={key}>
          <T as="strong">{key}</T> {what}
        </T>
      ))}
      <T as="small">Switch them off under Shed, This device.</T>
      <Button onPress={() => setList(false)}>Close</Button>
    </Sheet>
  ) : null;
}
