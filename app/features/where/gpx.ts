export interface GpxPoint {
  name: string;
  lat: number;
  lon: number;
}

/** Way points of a GPX file, then points of its routes, then the ends of its tracks. A file that brings a document type is refused. */
export function pointsOf(text: string): GpxPoint[] {
  if (/<!DOCTYPE/i.test(text)) return [];
  const file = new DOMParser().parseFromString(text, 'application/xml');
  if (file.querySelector('parsererror')) return [];
  const read = (element: Element): GpxPoint[] => {
    const lat = Number(element.getAttribute('lat')),
      lon = Number(element.getAttribute('lon'));
    const there =
      element.hasAttribute('lat') &&
      element.hasAttribute('lon') &&
      Math.abs(lat) <= 90 &&
      Math.abs(lon) <= 180;
    const name = element.getElementsByTagName('name')[0]?.textContent?.trim();
    return there ? [{ name: name || `${lat.toFixed(4)}, ${lon.toFixed(4)}`, lat, lon }] : [];
  };
  const all = (tag: string) => [...file.getElementsByTagName(tag)];
  const track = all('trkpt');
  return [...all('wpt'), ...all('rtept'), ...track.slice(0, 1), ...track.slice(-1)]
    .flatMap(read)
    .slice(0, MOST);
}
/** So many points are offered. */
const MOST = 100;
