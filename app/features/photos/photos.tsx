import { useState } from 'react';
import { View } from 'react-native';
import { getDocumentAsync } from 'expo-document-picker';
import { MOST_PHOTOS } from '@escale/core/model/lists';
import { Button, Row } from '../../ui/button';
import { Picture } from '../../ui/picture';
import { Press } from '../../ui/press';
import { Sheet } from '../../ui/sheet';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { useNow, useThings } from '../../data/hooks';
import { addPhoto, dropPhoto, NoPicture, photosIn, usePhoto, type Pictured } from '../../data/photos';
import { plainly, useReader } from '../../data/settings';
import { saysTo } from '@escale/core/say';
import { useUndo } from '../mishap/undo';
import { PHOTOS } from './words';

/** The zone in which this device's person reads an hour. */
const here = () => Intl.DateTimeFormat().resolvedOptions().timeZone;

/** Photos of a thing, or of one of its parts or openings: seen, taken, taken away. */
export function Photos({
  held,
  of,
  boat,
  what,
}: {
  held: Pictured;
  of?: string;
  /** On a trip: whose opening it is. */
  boat?: string;
  what: string;
}) {
  const [fault, setFault] = useState<string>();
  const [busy, setBusy] = useState(false);
  const now = useNow();
  const { things } = useThings();
  const mine = Object.entries(held.doc.photos ?? {})
    .filter(([, note]) => note.of === of && note.boat === boat)
    .sort(([, a], [, b]) => b.at.localeCompare(a.at));
  const add = async () => {
    setFault(undefined);
    if (photosIn(things).length >= MOST_PHOTOS) return setFault(PHOTOS.full);
    const picked = await getDocumentAsync({ type: 'image/*' });
    const file = picked.canceled ? undefined : picked.assets[0]?.file;
    if (!file) return;
    setBusy(true);
    try {
      const note = {
        at: new Date(now).toISOString(),
        ...(of === undefined ? {} : { of }),
        ...(boat === undefined ? {} : { boat }),
      };
      await addPhoto(held, file, note, plainly(PHOTOS.kept, { what }));
    } catch (error) {
      const why = error instanceof NoPicture ? error.message : 'failed';
      setFault(why === 'large' || why === 'unread' ? PHOTOS[why] : PHOTOS.failed);
    } finally {
      setBusy(false);
    }
  };
  return (
    <View style={{ gap: 6 }}>
      {mine.length > 0 ? (
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
          {mine.map(([hash, { at }]) => (
            <Thumb key={hash} held={held} hash={hash} at={Date.parse(at)} what={what} />
          ))}
        </View>
      ) : null}
      <Row>
        <Button busy={busy} label={plainly(PHOTOS.addOf, { what })} onPress={() => void add()}>
          {busy ? PHOTOS.busy : PHOTOS.add}
        </Button>
      </Row>
      <View aria-live="polite">{fault ? <T as="strong">{fault}</T> : null}</View>
    </View>
  );
}

const SMALL = 88,
  LARGE = 460;

function Thumb({ held, hash, at, what }: { held: Pictured; hash: string; at: number; what: string }) {
  const p = usePalette();
  const undo = useUndo();
  const reader = useReader(here());
  const url = usePhoto(hash);
  const [open, setOpen] = useState(false);
  const says = saysTo(reader);
  const name = says(PHOTOS.of, { what, at });
  const drop = async () => {
    setOpen(false);
    const said = plainly(PHOTOS.dropped, { what });
    undo(said, await dropPhoto(held, hash, said));
  };
  return (
    <>
      <Press label={name} opens="dialog" onPress={() => setOpen(true)} style={{ gap: 2 }}>
        <View
          style={{
            width: SMALL,
            height: SMALL,
            borderWidth: 1,
            borderColor: p.soft,
            justifyContent: 'center',
            alignItems: 'center',
          }}
        >
          {url ? (
            <Picture src={url} square={SMALL - 2} alt="" />
          ) : (
            <T as="small" style={{ textAlign: 'center' }}>
              {PHOTOS.waits}
            </T>
          )}
        </View>
        <T as="small">{says(PHOTOS.when, { at })}</T>
      </Press>
      {open ? (
        <Sheet title={name} onClose={() => setOpen(false)}>
          {url ? <Picture src={url} high={LARGE} alt={name} /> : <T>{PHOTOS.waits}</T>}
          <Row>
            <Button onPress={() => setOpen(false)}>{PHOTOS.close}</Button>
            <Button onPress={() => void drop()}>{PHOTOS.drop}</Button>
          </Row>
        </Sheet>
      ) : null}
    </>
  );
}
