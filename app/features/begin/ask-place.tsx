import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { TextInput } from 'react-native-paper';
import { getDocumentAsync } from 'expo-document-picker';
import { readPosition } from '@escale/core/earth/read-position';
import { WATERS } from '@escale/core/model/lists';
import { countryNames } from '@escale/core/rules';
import { Button, Row } from '../../ui/button';
import { Choice, optionsOf } from '../../ui/choice';
import { T } from '../../ui/text';
import { useThings } from '../../data/hooks';
import { plainly } from '../../data/settings';
import { useHere } from '../go/here';
import type { Asking } from './ask';
import type { Draft } from './draft';
import { pointsOf, type GpxPoint } from './gpx';
import { ASK_PLACE } from './words';
import { whereIs, type Whereabouts } from './where-is';

const ANOTHER = 'another';
const KINDS = optionsOf(WATERS);
type Water = Draft['place']['water'];

/** A launch that is here, or a new one: by this device, typed or pasted, or out of a file; and the water it lies on. */
export function AskPlace({ draft, put }: Asking) {
  const { shed } = useThings();
  const { place } = draft;
  const set = (next: Partial<typeof place>) => put({ ...draft, place: { ...place, ...next } });
  const launches = shed.places
    .filter((pl) => pl.kind === 'launch')
    .map((pl) => ({ value: pl.id, label: pl.name }));
  const fresh = place.id === undefined;
  return (
    <View style={{ gap: 14 }}>
      {launches.length > 0 ? (
        <Choice
          label={ASK_PLACE.title}
          options={[...launches, { value: ANOTHER, label: ASK_PLACE.another }]}
          value={place.id ?? ANOTHER}
          onChange={(id) => put({ ...draft, place: id === ANOTHER || id === undefined ? {} : { id } })}
        />
      ) : null}
      {fresh ? (
        <>
          <TextInput
            mode="outlined"
            label={ASK_PLACE.name}
            accessibilityLabel={ASK_PLACE.name}
            value={place.name ?? ''}
            onChangeText={(name) => set({ name })}
            maxLength={120}
          />
          <Where
            where={place.where ?? ''}
            onWhere={(where, name) => set({ where, ...(name && !place.name ? { name } : {}) })}
          />
          <T as="section" heading={3}>
            {ASK_PLACE.water}
          </T>
          <Choice
            label={ASK_PLACE.water}
            unfolded
            options={KINDS}
            value={place.water}
            onChange={(water) => set({ water: water as Water })}
          />
        </>
      ) : null}
    </View>
  );
}

function Where({ where, onWhere }: { where: string; onWhere: (where: string, name?: string) => void }) {
  const { said, ask } = useHere();
  const [points, setPoints] = useState<GpxPoint[]>([]);
  const [fault, setFault] = useState<string>();
  const found = readPosition(where);
  const write = (at: { lat: number; lon: number }, name?: string) =>
    onWhere(`${at.lat.toFixed(5)}, ${at.lon.toFixed(5)}`, name);
  const load = async () => {
    const picked = await getDocumentAsync({ type: '*/*' });
    const file = picked.canceled ? undefined : picked.assets[0]?.file;
    if (!file) return;
    const read = pointsOf(await file.text());
    setPoints(read.length > 1 ? read : []);
    setFault(read.length === 0 ? ASK_PLACE.noPoint : undefined);
    if (read.length === 1) write(read[0], read[0].name);
  };
  return (
    <View style={{ gap: 8 }}>
      <TextInput
        mode="outlined"
        label={ASK_PLACE.where}
        accessibilityLabel={ASK_PLACE.where}
        value={where}
        onChangeText={(text) => onWhere(text)}
        maxLength={80}
      />
      <T as="small">{ASK_PLACE.help}</T>
      <Row>
        <Button onPress={() => ask(write)}>{ASK_PLACE.here}</Button>
        <Button onPress={() => void load()}>{ASK_PLACE.file}</Button>
      </Row>
      {points.length > 0 ? (
        <Choice
          label={ASK_PLACE.picked}
          options={points.map((pt, i) => ({ value: String(i), label: pt.name }))}
          value={undefined}
          onChange={(i) => i !== undefined && write(points[Number(i)], points[Number(i)].name)}
        />
      ) : null}
      {(said ?? fault) ? <T role="status">{said ?? fault}</T> : null}
      {where.trim() === '' ? null : found ? <Found at={found} /> : <T role="alert">{ASK_PLACE.unread}</T>}
    </View>
  );
}

/** What was read, and what follows from it. */
function Found({ at }: { at: { lat: number; lon: number } }) {
  const [is, setIs] = useState<Whereabouts>();
  const { lat, lon } = at;
  useEffect(() => {
    let there = true;
    void whereIs({ lat, lon }).then((known) => there && setIs(known));
    return () => {
      there = false;
    };
  }, [lat, lon]);
  return (
    <View role="status">
      <T as="strong">{plainly(ASK_PLACE.read, { lat: lat.toFixed(5), lon: lon.toFixed(5) })}</T>
      {is ? (
        <T as="soft">
          {is.country
            ? plainly(ASK_PLACE.zoneCountry, { zone: is.zone, country: countryNames([is.country]) })
            : plainly(ASK_PLACE.zone, { zone: is.zone })}
        </T>
      ) : null}
    </View>
  );
}
