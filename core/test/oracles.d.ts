declare module 'geodesy/latlon-ellipsoidal-vincenty.js' {
  export default class LatLonEllipsoidal {
    constructor(lat: number, lon: number);
    distanceTo(point: LatLonEllipsoidal): number;
    initialBearingTo(point: LatLonEllipsoidal): number;
  }
}
declare module 'js-quantities' {
  interface Quantity {
    to(unit: string): Quantity;
    scalar: number;
  }
  export default function Qty(text: string): Quantity;
}
