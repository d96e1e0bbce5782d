/** Degrees north and east to a metre, as they are typed. */
export const positionText = ({ lat, lon }: { lat: number; lon: number }) =>
  `${lat.toFixed(5)}, ${lon.toFixed(5)}`;
