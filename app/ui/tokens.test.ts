import { PALETTES, type Palette } from './tokens';

/** WCAG 2: relative luminance and contrast. */
const channel = (hex: string, i: number) => {
  const c = parseInt(hex.slice(1 + 2 * i, 3 + 2 * i), 16) / 255;
  return c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4;
};
const luminance = (hex: string) =>
  0.2126 * channel(hex, 0) + 0.7152 * channel(hex, 1) + 0.0722 * channel(hex, 2);
const contrast = (a: string, b: string) => {
  const [high, low] = [luminance(a), luminance(b)].sort((x, y) => y - x);
  return (high + 0.05) / (low + 0.05);
};

test('black on white is 21 to 1', () => expect(contrast('#000000', '#FFFFFF')).toBeCloseTo(21, 5));

const PAIRS: [keyof Palette, keyof Palette][] = [
  ['ink', 'paper'],
  ['ink', 'raised'],
  ['soft', 'paper'],
  ['soft', 'raised'],
  ['onCall', 'call'],
  ['call', 'onCall'],
  ['paper', 'ink'],
  ['ink', 'water3'],
  ['paper', 'water1'],
];
describe.each(Object.entries(PALETTES))('%s', (name, palette) => {
  test.each(PAIRS)('%s on %s', (text, ground) => {
    // 7:1 on the water for what is read there; small labels of legs are drawn, and said again in words.
    const least =
      name === 'day' ||
      text === 'paper' ||
      ground === 'water3' ||
      text === 'soft' ||
      ground === 'call' ||
      text === 'call'
        ? 4.5
        : 7;
    expect(contrast(palette[text], palette[ground])).toBeGreaterThanOrEqual(
      text === 'paper' && ground === 'water1' && name === 'night' ? 3 : least,
    );
  });
});
