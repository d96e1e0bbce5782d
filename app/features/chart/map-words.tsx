import { useMemo, useState } from 'react';
import L from 'leaflet';
import { Marker, useMap, useMapEvents } from 'react-leaflet';
import type { Place } from '@escale/core/model';
import { format } from '@escale/core/units';
import { FONT, SIZE, type Palette } from '../../ui/tokens';
import { plainly, useReader } from '../../data/settings';
import { depthNumbers } from '../sketch/depth-numbers';
import { cornerOf, type Corner, type Drawn } from '../sketch/drawn';
import { boxAround, boxesOf, meet, placed, type Box } from '../sketch/names';
import { wordsOf, type Stop } from '../sketch/stops';
import { GRIP } from './map-way';
import { CHART } from './words';

/** An area narrower than this carries no number, px. */
const ROOM = 30;

/** Words on the chart: text goes in as text. */
function textIcon(text: string, color: string, anchor?: [number, number]): L.DivIcon {
  const element = document.createElement('span');
  element.textContent = text;
  Object.assign(element.style, {
    fontFamily: FONT.narrow,
    fontSize: String(SIZE.label).concat('px'),
    fontWeight: '600',
    color,
    whiteSpace: 'nowrap',
    pointerEvents: 'none',
    ...(anchor ? {} : { display: 'inline-block', transform: 'translate(-50%, -50%)' }),
  });
  element.setAttribute('aria-hidden', 'true');
  return L.divIcon({ className: '', html: element, iconSize: [0, 0], iconAnchor: anchor ?? [0, 0] });
}

/** Names beside their marks, where there is room for them: those of the way first, then what one must know. */
export function Names({
  stops,
  places,
  depths,
  handles,
  middle,
  palette: p,
}: {
  stops: Stop[];
  places: Place[];
  depths: Drawn['depths'];
  /** Handles of the way, which words keep free. */
  handles: Corner[];
  middle: number;
  palette: Palette;
}) {
  const map = useMap();
  const { units } = useReader('UTC');
  const [seen, setSeen] = useState(() => seenOn(map));
  const look = () => setSeen(seenOn(map));
  useMapEvents({ moveend: look, zoomend: look, resize: look });
  const words = useMemo(() => {
    const wanted = wordsOf(stops, places, ({ position }) =>
      map.project(cornerOf(position, middle), seen.zoom),
    );
    const grips = handles.map((at) => {
      const { x, y } = map.project(at, seen.zoom);
      return { left: x - GRIP / 2, right: x + GRIP / 2, top: y - GRIP / 2, bottom: y + GRIP / 2 };
    });
    return placed(wanted, seen.view, grips);
  }, [map, stops, places, handles, middle, seen]);
  const numbers = useMemo(() => depthNumbers(depths), [depths]);
  // A depth stands where nothing else does.
  const taken = words.flatMap(boxesOf);
  const deep = numbers.flatMap(({ least, at, broad }) => {
    const text = plainly(least < 0 ? CHART.numberDry : CHART.numberDeep, {
      depth: format(Math.abs(least), 'height', units),
    });
    const { x, y } = map.project(at, seen.zoom);
    const box = boxAround(x, y, text);
    const wide = Math.abs(map.project([at[0] + broad, at[1]], seen.zoom).y - y);
    return wide < ROOM || taken.some((other) => meet(box, other)) ? [] : [{ at, text }];
  });
  return (
    <>
      {deep.map(({ at, text }) => (
        <Marker
          key={`${text} ${at.join(' ')}`}
          position={at}
          icon={textIcon(text, p.water1)}
          interactive={false}
          keyboard={false}
        />
      ))}
      {words.map(({ id, text, dx, dy }) => {
        const place = places.find((one) => one.id === id);
        return place ? (
          <Marker
            key={id}
            position={cornerOf(place.position, middle)}
            icon={textIcon(text, p.ink, [-dx, -dy])}
            interactive={false}
            keyboard={false}
          />
        ) : null;
      })}
    </>
  );
}

/** The zoom, and what is looked at, in the pixels of that zoom. */
function seenOn(map: L.Map): { zoom: number; view: Box } {
  const { min, max } = map.getPixelBounds();
  const view = min && max ? { left: min.x, top: min.y, right: max.x, bottom: max.y } : NO_VIEW;
  return { zoom: map.getZoom(), view };
}
const NO_VIEW: Box = { left: 0, top: 0, right: 0, bottom: 0 };
