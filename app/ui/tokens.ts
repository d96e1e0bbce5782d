/** Our three themes. Every text pair keeps 4.5:1 (7:1 in night and sun); `tokens.test.ts` reckons it. */
export interface Palette {
  paper: string;
  raised: string;
  ink: string;
  soft: string;
  line: string;
  water1: string;
  water2: string;
  water3: string;
  /** A hand is needed; nothing else, ever. */
  call: string;
  onCall: string;
  skyNight: string;
  skyDusk: string;
  skyDay: string;
  land: string;
}

const DAY: Palette = {
  paper: '#F7F4EC',
  raised: '#FFFDF7',
  ink: '#12222E',
  soft: '#4C5D68',
  line: '#CFC9BA',
  water1: '#1F6F7A',
  water2: '#8FBFC0',
  water3: '#DCEAE6',
  call: '#BF3F0A',
  onCall: '#FFFFFF',
  skyNight: '#33475A',
  skyDusk: '#B9C3C6',
  skyDay: '#FBF3D6',
  land: '#EADFC4',
};
const NIGHT: Palette = {
  paper: '#000000',
  raised: '#0B0605',
  ink: '#F0915E',
  soft: '#D98250',
  line: '#3A2016',
  water1: '#8A4A2E',
  water2: '#5C321F',
  water3: '#1F110B',
  call: '#FF7A3C',
  onCall: '#000000',
  skyNight: '#120A07',
  skyDusk: '#1E110B',
  skyDay: '#2A1810',
  land: '#1A100B',
};
/** Day on white with black, and nothing soft. */
const SUN: Palette = {
  ...DAY,
  paper: '#FFFFFF',
  raised: '#FFFFFF',
  ink: '#000000',
  soft: '#000000',
  line: '#8A8A8A',
  call: '#9C2F00',
};

export const PALETTES = { day: DAY, night: NIGHT, sun: SUN } as const;
export type ThemeName = keyof typeof PALETTES;

export const FONT = {
  read: 'Atkinson, system-ui, sans-serif',
  narrow: 'Barlow, Atkinson, system-ui, sans-serif',
} as const;
export const SIZE = {
  title: 24,
  section: 18,
  body: 16,
  small: 14,
  label: 14,
  figure: 34,
  giant: 92,
} as const;
/** Least height of what is touched: ashore and on the water. */
export const TOUCH = 48,
  TOUCH_WET = 64;
export const GAP = { s: 6, m: 12, l: 20 } as const;
/** From this width sections stand side by side. */
export const WIDE = 1024;
