import { useMemo, useState } from 'react';
import L from 'leaflet';
import { Marker, Polyline } from 'react-leaflet';
import type { LatLon } from '@escale/core/earth';
import type { Palette } from '../../ui/tokens';
import type { Corner } from '../sketch/drawn';
import type { Picked } from './map';

/** A position of the map as ours; one that lies a world further on is the same place. */
export const plain = (at: L.LatLng): LatLon => {
  const { lat, lng } = at.wrap();
  return { lat: Math.max(-90, Math.min(90, lat)), lon: lng };
};

/** How broad a leg is to a finger, px. */
const BROAD = 28;

/** The handle in the middle of a leg, px. */
export const GRIP = 16;

/** The way over the chart: its legs, each to be tapped, and led round by the handle in its middle. */
export function Way({
  way,
  handles,
  palette: p,
  onPick,
  onLead,
}: {
  way: Corner[];
  /** They keep their identity, so that none is put back under the finger while its leg bends. */
  handles: Corner[];
  palette: Palette;
  onPick: (picked: Picked) => void;
  onLead: ((leg: number, to: LatLon) => void) | undefined;
}) {
  // A leg that is being dragged bends with the finger.
  const [bent, setBent] = useState<{ leg: number; at: Corner }>();
  // Each handle has one of its own, and keeps it.
  const grips = useMemo(() => handles.map(() => gripOf(p)), [handles, p]);
  return (
    <>
      {way.slice(1).map((to, leg) => {
        const line = bent?.leg === leg ? [way[leg], bent.at, to] : [way[leg], to];
        return (
          <Polyline
            key={leg}
            positions={line}
            pathOptions={{ color: p.ink, weight: 3 }}
            interactive={false}
          />
        );
      })}
      {way.slice(1).map((to, leg) => (
        <Polyline
          key={leg}
          positions={[way[leg], to]}
          pathOptions={{ color: p.ink, weight: BROAD, opacity: 0 }}
          bubblingMouseEvents={false}
          eventHandlers={{ click: ({ latlng }) => onPick({ is: 'leg', leg, at: plain(latlng) }) }}
        />
      ))}
      {onLead
        ? way.slice(1).map((to, leg) => (
            <Marker
              key={`${leg} ${String(way[leg])} ${String(to)}`}
              position={handles[leg]}
              icon={grips[leg]}
              draggable
              // By keyboard a leg is led round from its card.
              keyboard={false}
              eventHandlers={{
                click: () => onPick({ is: 'leg', leg, at: at(handles[leg]) }),
                drag: ({ target }) => setBent({ leg, at: cornerAt((target as L.Marker).getLatLng()) }),
                dragend: ({ target }) => {
                  setBent(undefined);
                  onLead(leg, plain((target as L.Marker).getLatLng()));
                },
              }}
            />
          ))
        : null}
    </>
  );
}

/** Where on a leg its handle stands: a little before its middle, so that out and back along one line have two. */
const ALONG = 0.42;
const partOf = ([a, b]: Corner, [c, d]: Corner): Corner => [a + ALONG * (c - a), b + ALONG * (d - b)];
const cornerAt = ({ lat, lng }: L.LatLng): Corner => [lat, lng];
const at = ([lat, lon]: Corner): LatLon => plain(L.latLng(lat, lon));

function gripOf(p: Palette): L.DivIcon {
  const element = document.createElement('span');
  Object.assign(element.style, {
    display: 'block',
    boxSizing: 'border-box',
    width: '100%',
    height: '100%',
    borderStyle: 'solid',
    borderWidth: '2px',
    borderColor: p.ink,
    borderRadius: '50%',
    background: p.paper,
  });
  element.setAttribute('aria-hidden', 'true');
  return L.divIcon({
    className: '',
    html: element,
    iconSize: [GRIP, GRIP],
    iconAnchor: [GRIP / 2, GRIP / 2],
  });
}

/** Where the handles of a way stand, leg by leg. */
export const handlesOf = (way: Corner[]): Corner[] => way.slice(1).map((to, leg) => partOf(way[leg], to));
