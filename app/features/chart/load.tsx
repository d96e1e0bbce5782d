import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { getDocumentAsync } from 'expo-document-picker';
import { MOST_POINTS } from '@escale/core/formats/drawing';
import type { Place, Water } from '@escale/core/model';
import { PLACE_KINDS } from '@escale/core/model/lists';
import { Button, Row } from '../../ui/button';
import { Choice, optionsOf } from '../../ui/choice';
import { Check } from '../../ui/mark';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { run } from '../../data/jobs';
import { plainly } from '../../data/settings';
import { chartOf, MOST_PLACES, waysOf, type Areas, type Brought, type Read } from './brought';
import { CHART } from './words';

/** A file of positions: read aside, looked at, and taken whole or left. */
export function LoadDrawing({
  water,
  hasTrip,
  onTake,
}: {
  water: Water | undefined;
  hasTrip: boolean;
  onTake: (brought: Brought) => void;
}) {
  const [read, setRead] = useState<Read>();
  const [faults, setFaults] = useState<string[]>([]);
  const [busy, setBusy] = useState(false);
  const load = async () => {
    const picked = await getDocumentAsync({ type: '*/*' });
    const file = picked.canceled ? undefined : picked.assets[0]?.file;
    if (!file) return;
    setBusy(true);
    setRead(undefined);
    setFaults([]);
    try {
      await run('drawing', { text: await file.text() }, ({ part }) => {
        if (part?.ok) setRead({ file: file.name, drawing: part.drawing });
        else if (part) setFaults(part.faults);
      });
    } catch (error) {
      console.error('a drawing could not be read', error);
      setFaults([CHART.unread]);
    } finally {
      setBusy(false);
    }
  };
  return (
    <>
      <Row>
        <Button busy={busy} onPress={() => void load()}>
          {CHART.load}
        </Button>
      </Row>
      {busy ? <T role="status">{CHART.reading}</T> : null}
      {faults.length > 0 ? (
        <View role="alert">
          {faults.map((fault) => (
            <T key={fault}>{fault}</T>
          ))}
        </View>
      ) : null}
      {read ? (
        <Look
          key={read.file}
          read={read}
          water={water}
          hasTrip={hasTrip}
          onTake={(brought) => {
            setRead(undefined);
            onTake(brought);
          }}
          onLeave={() => setRead(undefined)}
        />
      ) : null}
    </>
  );
}

function Look({
  read,
  water,
  hasTrip,
  onTake,
  onLeave,
}: {
  read: Read;
  water: Water | undefined;
  hasTrip: boolean;
  onTake: (brought: Brought) => void;
  onLeave: () => void;
}) {
  const p = usePalette();
  const { file, drawing } = read;
  const [kind, setKind] = useState<Place['kind']>('waypoint');
  const [points, setPoints] = useState(true);
  const [way, setWay] = useState<string>();
  const [areas, setAreas] = useState<Areas>('leave');
  const [tracks, setTracks] = useState(false);
  const ways = useMemo(() => waysOf(drawing), [drawing]);
  const drawnOnes = useMemo(
    () => (water ? chartOf(read, water.chart, areas, tracks) : undefined),
    [read, water, areas, tracks],
  );
  const { shore, depths } = drawing;
  const forWater = shore.length + depths.length + drawing.areas.length > 0;
  const anything = drawing.points.length + ways.length > 0 || forWater;
  const chosen = ways[Number(way)];
  const take = () =>
    onTake({
      file,
      places: points
        ? drawing.points.slice(0, MOST_PLACES).map((point) => ({ point, kind: point.place?.kind ?? kind }))
        : [],
      ...(chosen ? { way: chosen.points } : {}),
      ...(drawnOnes ? { chart: drawnOnes } : {}),
    });
  return (
    <View role="status" style={{ borderWidth: 2, borderColor: p.ink, padding: 12, gap: 10 }}>
      <T as="strong">{plainly(CHART.holds, { file })}</T>
      {drawing.points.length > 0 ? (
        <>
          <Check label={plainly(CHART.points, { n: drawing.points.length })} on={points} onChange={setPoints}>
            <T>{plainly(CHART.points, { n: drawing.points.length })}</T>
          </Check>
          {drawing.points.length > MOST_PLACES ? (
            <T as="small">{plainly(CHART.moreThan, { most: MOST_PLACES })}</T>
          ) : null}
          {points && drawing.points.some(({ place }) => !place?.kind) ? (
            <>
              <T as="label">{CHART.asKind}</T>
              <Choice
                label={CHART.asKind}
                options={optionsOf(PLACE_KINDS)}
                value={kind}
                onChange={(next) => next && setKind(next as Place['kind'])}
              />
            </>
          ) : null}
        </>
      ) : null}
      {ways.length > 0 && hasTrip ? (
        <>
          <T as="label">{CHART.asWay}</T>
          <Choice
            label={CHART.asWay}
            options={ways.map(({ said }, i) => ({ value: String(i), label: said }))}
            value={way}
            onChange={setWay}
            clearable
          />
          {chosen && chosen.points.length < chosen.of ? (
            <T as="small">{plainly(CHART.led, { n: chosen.points.length })}</T>
          ) : null}
        </>
      ) : (
        ways.map(({ said }) => <T key={said}>{said}</T>)
      )}
      {drawing.tracks.length > 0 && water ? (
        <Check
          label={plainly(CHART.keepTracks, { n: drawing.tracks.length })}
          on={tracks}
          onChange={setTracks}
        >
          <T>{plainly(CHART.keepTracks, { n: drawing.tracks.length })}</T>
        </Check>
      ) : null}
      {shore.length > 0 ? <T>{plainly(CHART.shoreIn, { n: shore.length })}</T> : null}
      {depths.length > 0 ? <T>{plainly(CHART.depthsIn, { n: depths.length })}</T> : null}
      {drawing.areas.length > 0 ? (
        <>
          <T>{plainly(CHART.areasIn, { n: drawing.areas.length })}</T>
          <Choice
            label={CHART.areasAre}
            options={[
              { value: 'land', label: CHART.areasLand },
              { value: 'water', label: CHART.areasWater },
              { value: 'leave', label: CHART.areasLeave },
            ]}
            value={areas}
            onChange={(next) => next && setAreas(next as Areas)}
          />
        </>
      ) : null}
      {forWater ? <T as="small">{water ? CHART.replaces : CHART.noWater}</T> : null}
      {drawing.off ? (
        <T as="small">{plainly(CHART.thinned, { most: MOST_POINTS, off: drawing.off })}</T>
      ) : null}
      {drawing.leftOut.map(({ why, n }) => (
        <T key={why} as="small">
          {plainly(CHART.leftOut, { n, why: CHART.why[why] })}
        </T>
      ))}
      {anything ? null : <T>{CHART.nothing}</T>}
      <Row>
        {anything ? (
          <Button kind="main" once onPress={take}>
            {CHART.take}
          </Button>
        ) : null}
        <Button onPress={onLeave}>{CHART.leaveIt}</Button>
      </Row>
    </View>
  );
}
