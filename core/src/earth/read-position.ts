/// <reference path="./dms.d.ts" />
import Dms from 'geodesy/dms.js';
import type { LatLon } from './geodesic';

/** Degrees, minutes and seconds of one half, with what stands between them. */
const HALF = String.raw`\d+(?:\.\d+)?(?:[\s°ºd:]+\d+(?:\.\d+)?(?:[\s'′’m:]+\d+(?:\.\d+)?)?)?[\s°º'′’"″”]*`;
const LATITUDE = { after: `(${HALF})\\s*([NS])`, before: `([NS])\\s*(${HALF})` };
const LONGITUDE = { after: `(${HALF})\\s*([EWO])`, before: `([EWO])\\s*(${HALF})` };
const BETWEEN = String.raw`[\s,;/]*`;
const LETTERED = [
  new RegExp(`^${LATITUDE.after}${BETWEEN}${LONGITUDE.after}$`, 'i'),
  new RegExp(`^${LATITUDE.before}${BETWEEN}${LONGITUDE.before}$`, 'i'),
];
const SIGNED = new RegExp(String.raw`^([-+]?)\s*(${HALF})\s*[,;/]\s*([-+]?)\s*(${HALF})$`);
const SPACED = /^([-+]?)(\d+(?:\.\d+)?)°?\s+([-+]?)(\d+(?:\.\d+)?)°?$/;
/** Decimal commas: told from a comma between the halves by a dot never standing with them. */
const COMMAS = /^[^.]*\d,\d+[^.,\d]*[;\s/]+[^.]*\d,\d+[^.]*$/;

/**
 * A position as people write it: decimal degrees, degrees and minutes, or degrees, minutes and seconds; with letters before or
 * after, or signed, latitude first; a decimal comma where the halves are parted by something else. W is also written O.
 * @returns degrees north and east; undefined where it is not read as one place on the globe
 */
export function readPosition(text: string): LatLon | undefined {
  const plain = text.trim().replaceAll('−', '-').replaceAll('´', "'");
  const line = COMMAS.test(plain) ? plain.replace(/(\d),(\d)/g, '$1.$2') : plain;
  for (const shape of LETTERED) {
    const found = shape.exec(line);
    if (!found) continue;
    const letterFirst = /[NS]/i.test(found[1]);
    const [a, b] = letterFirst ? [found[2], found[4]] : [found[1], found[3]];
    const [ns, we] = letterFirst ? [found[1], found[3]] : [found[2], found[4]];
    return place(half(a, /s/i.test(ns)), half(b, /[wo]/i.test(we)));
  }
  const found = SIGNED.exec(line) ?? SPACED.exec(line);
  return found ? place(half(found[2], found[1] === '-'), half(found[4], found[3] === '-')) : undefined;
}

/** One half in degrees; undefined where minutes or seconds are no such. */
function half(text: string, negative: boolean): number | undefined {
  const parts = (text.match(/\d+(?:\.\d+)?/g) ?? []).map(Number);
  const [, ...sixtieths] = parts;
  const whole = parts.slice(0, -1).every(Number.isInteger);
  if (!whole || sixtieths.some((part) => part >= SIXTY)) return undefined;
  return Dms.parse(parts.join(' ')) * (negative ? -1 : 1);
}
const SIXTY = 60;

const place = (lat: number | undefined, lon: number | undefined): LatLon | undefined =>
  lat === undefined || lon === undefined || Math.abs(lat) > POLE || Math.abs(lon) > DATE_LINE
    ? undefined
    : { lat, lon };
const POLE = 90,
  DATE_LINE = 180;
