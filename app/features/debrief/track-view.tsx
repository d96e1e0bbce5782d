import { useState } from 'react';
import { View } from 'react-native';
import { getDocumentAsync } from 'expo-document-picker';
import Svg, { Polyline } from 'react-native-svg';
import { civilDate } from '@escale/core/earth';
import type { Hours, ReadTrack } from '@escale/core/logbook/track';
import { besidePlan, flatOf } from '@escale/core/logbook/way-gone';
import type { Patch, Track } from '@escale/core/model';
import type { Says } from '@escale/core/say';
import { Button, Row } from '../../ui/button';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { run } from '../../data/jobs';
import { useUndo } from '../mishap/undo';
import { useTrip } from '../trip/use-trip';
import { keep, leftAt, set, type OfDebrief } from './keep';
import { TRACK } from './words';

/** The track of the trip: brought as a file, measured, held against the plan. */
export function TrackView({ held }: OfDebrief) {
  const { trip, assessment, reader, says } = useTrip();
  const [said, setSaid] = useState<string>();
  const [busy, setBusy] = useState(false);
  const { track, left, home } = held.doc;
  const hours = { left: instantOf(left), home: instantOf(home) };
  const days = (): [string, string] => {
    const last = hours.home ?? assessment.schedule?.home;
    const from = hours.left === undefined ? trip.leave.date : civilDate(hours.left, reader.zone);
    const until = last === undefined ? from : civilDate(last, reader.zone);
    return [from, until < from ? from : until];
  };
  const took = (read: ReadTrack) => {
    if (read.is === 'read') keep(held, ...fromTrack(read.track, hours, reader.zone));
    else setSaid(faultOf(read, says));
  };
  const bring = async () => {
    setSaid(undefined);
    const picked = await getDocumentAsync({ type: '*/*' });
    const file = picked.canceled ? undefined : picked.assets[0]?.file;
    if (!file) return;
    setBusy(true);
    try {
      const text = await file.text();
      await run('track', { text, days: days(), zone: reader.zone, hours }, ({ part }) => {
        if (part) took(part);
      });
    } catch {
      setSaid(TRACK.lost);
    }
    setBusy(false);
  };
  return (
    <View style={{ gap: 8 }} role="group" aria-label={TRACK.title}>
      <T as="label">{TRACK.title}</T>
      {track ? <Beside held={held} track={track} /> : null}
      <Row>
        <Button busy={busy} onPress={() => void bring()}>
          {TRACK.attach}
        </Button>
      </Row>
      {said === undefined ? null : <T role="alert">{said}</T>}
    </View>
  );
}

const instantOf = (iso: string | undefined) => (iso === undefined ? undefined : Date.parse(iso));

/** Why a file gave no track. */
function faultOf(read: Exclude<ReadTrack, { is: 'read' }>, says: Says): string {
  if (read.is === 'empty') return TRACK.empty;
  if (read.is === 'refused') return says(TRACK.refused, { fault: read.fault });
  if (read.is === 'another') return says(TRACK.another, { from: read.from, until: read.until });
  return says(TRACK.outside, { from: read.from, until: read.until });
}

/** A track says how far and for how long; when one left and was ashore, only where nobody said. */
const fromTrack = (track: Track, { left, home }: Hours, zone: string): Patch[] => [
  set('/track', track),
  set('/met/metres', track.metres),
  set('/met/moving', track.moving),
  ...(left === undefined ? leftAt(Date.parse(track.from), zone) : []),
  ...(home === undefined ? [set('/home', track.until)] : []),
];

/** What a track came to, beside the plan. */
function Beside({ held, track }: OfDebrief & { track: Track }) {
  const { assessment, says, input } = useTrip();
  const undo = useUndo();
  const p = usePalette();
  const { gone, planned, metres, by, astray } = besidePlan(track, assessment.schedule, input.shed.places);
  const { lines, width, height } = flatOf([gone, planned], SIDE);
  const drop = () => {
    // What it said of the way goes with it, unless somebody said otherwise since.
    const its = (['metres', 'moving'] as const).filter((name) => held.doc.met?.[name] === track[name]);
    const put = (on: boolean) =>
      keep(
        held,
        set('/track', on ? track : undefined),
        ...its.map((name) => set(`/met/${name}`, on ? track[name] : undefined)),
      );
    put(false);
    undo(TRACK.removed, async () => put(true));
  };
  return (
    <View style={{ gap: 6 }}>
      <T as="strong">
        {says(TRACK.sums, {
          from: Date.parse(track.from),
          until: Date.parse(track.until),
          metres: track.metres,
          moving: track.moving,
        })}
      </T>
      {track.moving > 0 ? <T>{says(TRACK.speed, { speed: track.metres / track.moving })}</T> : null}
      {by === undefined ? (
        <T as="soft">{TRACK.noPlan}</T>
      ) : (
        <T>{says(TRACK.planned, { metres, by: Math.abs(by), more: by < 0 ? TRACK.less : TRACK.more })}</T>
      )}
      {astray === undefined ? null : <T>{says(TRACK.astray, { metres: astray })}</T>}
      <Svg
        width="100%"
        height={height}
        viewBox={`0 0 ${String(width)} ${String(height)}`}
        role="img"
        aria-label={TRACK.drawn}
      >
        <Polyline points={lines[1]} fill="none" stroke={p.soft} strokeWidth={2} strokeDasharray="6 5" />
        <Polyline points={lines[0]} fill="none" stroke={p.water1} strokeWidth={3} />
      </Svg>
      <T as="small">{TRACK.drawn}</T>
      <Row>
        <Button kind="quiet" onPress={drop}>
          {TRACK.remove}
        </Button>
      </Row>
    </View>
  );
}
/** Of the drawing, px. */
const SIDE = 320;
