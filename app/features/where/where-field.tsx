import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { TextInput } from 'react-native-paper';
import { getDocumentAsync } from 'expo-document-picker';
import { readPosition } from '@escale/core/earth/read-position';
import { countryNames } from '@escale/core/rules';
import { Button, Row } from '../../ui/button';
import { Choice } from '../../ui/choice';
import { T } from '../../ui/text';
import { plainly } from '../../data/settings';
import { useHere } from '../../data/here';
import { pointsIn, type FilePoint } from './file-points';
import { whereIs, type Whereabouts } from './where-is';
import { positionText } from './position-text';
import { WHERE } from './words';

/** A position as people have it: typed or pasted in any usual form, read from this device, or out of a file. */
export function WhereField({
  label,
  text,
  id,
  wrong,
  labelled = false,
  onText,
  onLeave,
}: {
  label: string;
  text: string;
  id?: string;
  wrong?: boolean;
  /** What it is stands over it already. */
  labelled?: boolean;
  /** @param name of the point of a file that was taken */
  onText: (text: string, name?: string) => void;
  /** What is written is whole: the field was left, or a point was taken. */
  onLeave?: () => void;
}) {
  const { said, ask } = useHere();
  const [points, setPoints] = useState<FilePoint[]>([]);
  const [fault, setFault] = useState<string>();
  const found = readPosition(text);
  const write = (at: { lat: number; lon: number }, name?: string) => {
    onText(positionText(at), name);
    onLeave?.();
  };
  const load = async () => {
    const picked = await getDocumentAsync({ type: '*/*' });
    const file = picked.canceled ? undefined : picked.assets[0]?.file;
    if (!file) return;
    const read = await pointsIn(await file.text());
    setPoints(read.length > 1 ? read : []);
    setFault(read.length === 0 ? WHERE.noPoint : undefined);
    if (read.length === 1) write(read[0], read[0].name);
  };
  return (
    <View style={{ gap: 8 }}>
      <TextInput
        mode="outlined"
        {...(labelled ? {} : { label })}
        accessibilityLabel={label}
        {...(id ? { id } : {})}
        error={wrong === true}
        value={text}
        onChangeText={(next) => onText(next)}
        onBlur={() => onLeave?.()}
        maxLength={80}
      />
      <T as="small">{WHERE.help}</T>
      <Row>
        <Button onPress={() => ask(write)}>{WHERE.here}</Button>
        <Button onPress={() => void load()}>{WHERE.file}</Button>
      </Row>
      {points.length > 0 ? (
        <Choice
          label={WHERE.picked}
          options={points.map((pt, i) => ({ value: String(i), label: pt.name }))}
          value={undefined}
          onChange={(i) => i !== undefined && write(points[Number(i)], points[Number(i)].name)}
        />
      ) : null}
      {(said ?? fault) ? <T role="status">{said ?? fault}</T> : null}
      {text.trim() === '' ? null : found ? <Found at={found} /> : <T role="alert">{WHERE.unread}</T>}
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
      <T as="strong">{plainly(WHERE.read, { lat: lat.toFixed(5), lon: lon.toFixed(5) })}</T>
      {is ? (
        <T as="soft">
          {is.country
            ? plainly(WHERE.zoneCountry, { zone: is.zone, country: countryNames([is.country]) })
            : plainly(WHERE.zone, { zone: is.zone })}
        </T>
      ) : null}
    </View>
  );
}
