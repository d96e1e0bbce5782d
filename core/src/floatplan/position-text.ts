/** Latitude and longitude as a radio operator reads them: degrees and decimal minutes. */
export function positionText({ lat, lon }: { lat: number; lon: number }): string {
  const part = (value: number, plus: string, minus: string) => {
    const whole = Math.abs(value),
      degrees = Math.floor(whole);
    const minutes = (whole - degrees) * 60;
    // Rounding must not print 60.000 minutes.
    const rounded = Number(minutes.toFixed(3));
    return rounded === 60
      ? `${degrees + 1}° 00.000′ ${value < 0 ? minus : plus}`
      : `${degrees}° ${minutes.toFixed(3).padStart(6, '0')}′ ${value < 0 ? minus : plus}`;
  };
  return `${part(lat, 'N', 'S')}, ${part(lon, 'E', 'W')}`;
}
