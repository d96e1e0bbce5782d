import 'leaflet/dist/leaflet.css';
import { useEffect, useMemo } from 'react';
import L from 'leaflet';
import { MapContainer, Marker, Polygon, Polyline, TileLayer, useMap, useMapEvents } from 'react-leaflet';
import type { LatLon } from '@escale/core/earth';
import type { Chart, Place } from '@escale/core/model';
import { useBackdrop } from '../../data/hooks';
import { usePalette } from '../../ui/theme';
import type { Palette } from '../../ui/tokens';
import { cornerOf, drawn, middleOf, type Corner } from '../sketch/drawn';
import { formOf, MARK_SIZE, pictureOf, type Form } from '../sketch/marks';
import type { Stop } from '../sketch/stops';
import { handlesOf, plain, Way } from './map-way';
import { Names } from './map-words';

/** What is chosen on the chart. */
export type Picked =
  { is: 'place'; id: string } | { is: 'spot'; at: LatLon } | { is: 'leg'; leg: number; at: LatLon };

/** What the page can ask of the map. */
export interface Hand {
  nearer(): void;
  further(): void;
  all(): void;
  show(at: LatLon): void;
}

interface Props {
  label: string;
  chart: Chart | undefined;
  places: Place[];
  /** The way in order, each with what stands beside it; fewer than two: none. */
  stops: Stop[];
  picked: Picked | undefined;
  onPick: (picked: Picked) => void;
  onMove: (place: Place, to: LatLon) => void;
  /** The middle of a leg was dragged there; absent where the way can’t be led on. */
  onLead?: ((leg: number, to: LatLon) => void) | undefined;
  onHand: (hand: Hand) => void;
  tall: number;
}

/** How near one looks at a single place, and at nothing. */
const CLOSE = 14,
  FAR = 2;
const NONE: Corner[] = [];
const PAD: [number, number] = [36, 36];

/** The chart as it is worked on: shore and depths below, the way over them, places on top. */
export function ChartMap({
  label,
  chart,
  places,
  stops,
  picked,
  onPick,
  onMove,
  onLead,
  onHand,
  tall,
}: Props) {
  const p = usePalette();
  const middle = middleOf(chart, places);
  const lines = useMemo(() => drawn(chart, middle), [chart, middle]);
  const way = useMemo(() => stops.map(({ place }) => cornerOf(place.position, middle)), [stops, middle]);
  const leads = onLead !== undefined;
  const handles = useMemo(() => (leads ? handlesOf(way) : NONE), [way, leads]);
  const bounds = useMemo(() => boundsOf(way, places, lines, middle), [way, places, lines, middle]);
  return (
    <div role="region" aria-label={label} style={{ height: tall, position: 'relative', zIndex: 0 }}>
      <MapContainer
        {...(bounds
          ? { bounds, boundsOptions: { padding: PAD, maxZoom: CLOSE } }
          : { center: [0, 0], zoom: FAR })}
        zoomControl={false}
        attributionControl={false}
        style={{ height: '100%', background: p.water3, outlineColor: p.ink }}
      >
        <Behind />
        <Ground lines={lines} palette={p} />
        <Way way={way} handles={handles} palette={p} onPick={onPick} onLead={onLead} />
        {places.map((place) => (
          <Mark
            key={place.id}
            place={place}
            at={cornerOf(place.position, middle)}
            chosen={picked?.is === 'place' && picked.id === place.id}
            onPick={onPick}
            onMove={onMove}
          />
        ))}
        <Names
          stops={stops}
          places={places}
          depths={lines.depths}
          handles={handles}
          middle={middle}
          palette={p}
        />
        {picked && picked.is !== 'place' ? <Cross at={cornerOf(picked.at, middle)} palette={p} /> : null}
        <Listen onPick={onPick} onHand={onHand} bounds={bounds} />
      </MapContainer>
    </div>
  );
}

/** What is looked at first: the way, else the places, else what is drawn. */
function boundsOf(
  way: Corner[],
  places: Place[],
  { land, water, lines, depths }: ReturnType<typeof drawn>,
  middle: number,
): L.LatLngBounds | undefined {
  const corners =
    way.length > 1
      ? way
      : places.length > 0
        ? places.map(({ position }) => cornerOf(position, middle))
        : [
            ...land.flat(2),
            ...water.flat(2),
            ...lines.flat(),
            ...depths.flatMap(({ rings }) => rings.flat()),
          ];
  return corners.length === 0 ? undefined : L.latLngBounds(corners);
}

/** Pictures that whoever runs the server set, below everything. */
function Behind() {
  const map = useMap();
  const backdrop = useBackdrop();
  const file = backdrop.kind === 'pmtiles' ? backdrop.url : undefined;
  useEffect(() => {
    if (!file) return;
    let layer: L.Layer | undefined,
      wanted = true;
    void import('pmtiles').then(({ leafletRasterLayer, PMTiles }) => {
      if (wanted) layer = (leafletRasterLayer(new PMTiles(file), {}) as L.Layer).addTo(map);
    });
    return () => {
      wanted = false;
      layer?.remove();
    };
  }, [map, file]);
  return backdrop.kind === 'tiles' ? <TileLayer url={backdrop.url} /> : null;
}

/** Less than this at chart datum is drawn as thin water, metres. */
const THIN = 2;

function Ground({ lines, palette: p }: { lines: ReturnType<typeof drawn>; palette: Palette }) {
  const still = { interactive: false };
  const look = (least: number) =>
    least < 0
      ? { fillColor: p.land, fillOpacity: 0.55, color: p.ink, weight: 1, dashArray: '2 5' }
      : {
          fillColor: p.water2,
          fillOpacity: least < THIN ? 0.5 : 0.2,
          color: p.water1,
          weight: 1,
          opacity: 0.5,
        };
  return (
    <>
      {lines.water.map((rings, i) => (
        <Polygon
          key={i}
          positions={rings}
          pathOptions={{ color: p.ink, weight: 1.2, fill: false }}
          {...still}
        />
      ))}
      {[...lines.depths]
        .sort((a, b) => b.least - a.least)
        .map(({ least, rings }, i) => (
          <Polygon key={i} positions={rings} pathOptions={look(least)} {...still} />
        ))}
      {lines.land.map((rings, i) => (
        <Polygon
          key={i}
          positions={rings}
          pathOptions={{ color: p.ink, weight: 1.2, fillColor: p.land, fillOpacity: 1 }}
          {...still}
        />
      ))}
      {lines.lines.map((line, i) => (
        <Polyline key={i} positions={line} pathOptions={{ color: p.ink, weight: 1.2 }} {...still} />
      ))}
      {lines.tracks.map((line, i) => (
        <Polyline
          key={i}
          positions={line}
          pathOptions={{ color: p.soft, weight: 1.5, dashArray: '1 5' }}
          {...still}
        />
      ))}
    </>
  );
}

function Mark({
  place,
  at,
  chosen,
  onPick,
  onMove,
}: {
  place: Place;
  at: Corner;
  chosen: boolean;
  onPick: (picked: Picked) => void;
  onMove: (place: Place, to: LatLon) => void;
}) {
  const p = usePalette();
  const form = formOf(place);
  const icon = useMemo(() => iconOf(form, p, chosen), [form, p, chosen]);
  return (
    <Marker
      position={at}
      icon={icon}
      title={place.name}
      alt={place.name}
      draggable={chosen}
      autoPan
      zIndexOffset={chosen ? 1000 : 0}
      eventHandlers={{
        click: () => onPick({ is: 'place', id: place.id }),
        dragend: ({ target }) => onMove(place, plain((target as L.Marker).getLatLng())),
      }}
    />
  );
}

function Cross({ at, palette: p }: { at: Corner; palette: Palette }) {
  const icon = useMemo(() => iconOf('spot', p, false), [p]);
  return <Marker position={at} icon={icon} interactive={false} keyboard={false} />;
}

const iconOf = (form: Form, p: Palette, chosen: boolean) =>
  L.divIcon({
    className: '',
    html: pictureOf(form, p, chosen),
    iconSize: [MARK_SIZE, MARK_SIZE],
    iconAnchor: [MARK_SIZE / 2, MARK_SIZE / 2],
  });

function Listen({
  onPick,
  onHand,
  bounds,
}: Pick<Props, 'onPick' | 'onHand'> & { bounds: L.LatLngBounds | undefined }) {
  const map = useMapEvents({ click: ({ latlng }) => onPick({ is: 'spot', at: plain(latlng) }) });
  useEffect(() => {
    // Taking the focus by a press must not scroll the page away under the finger.
    const container = map.getContainer();
    container.focus = () => HTMLElement.prototype.focus.call(container, { preventScroll: true });
  }, [map]);
  useEffect(() => {
    onHand({
      nearer: () => void map.zoomIn(),
      further: () => void map.zoomOut(),
      all: () => {
        if (bounds) map.fitBounds(bounds, { padding: PAD, maxZoom: CLOSE });
      },
      show: ({ lat, lon }) => void map.setView([lat, lon], Math.max(map.getZoom(), CLOSE)),
    });
  }, [map, onHand, bounds]);
  return null;
}
