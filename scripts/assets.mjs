// Makes the fonts and icons that ship: Latin subsets of the packaged fonts, and the paths of the icons we use.
// Its results are committed; run it again when an icon or a font is added.
import { readFileSync, writeFileSync, mkdirSync } from 'node:fs';
import { createRequire } from 'node:module';
import subsetFont from 'subset-font';

const require = createRequire(new URL('../app/package.json', import.meta.url));
const root = new URL('..', import.meta.url);

const LATIN =
  Array.from({ length: 0x17f - 0x20 + 1 }, (_, i) => String.fromCodePoint(0x20 + i)).join('') +
  '–—‘’“”…•·×÷°′″←→↑↓−≤≥½¼¾€£';
const FONTS = [
  [
    '@expo-google-fonts/atkinson-hyperlegible-next/400Regular/AtkinsonHyperlegibleNext_400Regular.ttf',
    'atkinson-400',
  ],
  [
    '@expo-google-fonts/atkinson-hyperlegible-next/600SemiBold/AtkinsonHyperlegibleNext_600SemiBold.ttf',
    'atkinson-600',
  ],
  [
    '@expo-google-fonts/atkinson-hyperlegible-next/800ExtraBold/AtkinsonHyperlegibleNext_800ExtraBold.ttf',
    'atkinson-800',
  ],
  ['@expo-google-fonts/barlow-semi-condensed/500Medium/BarlowSemiCondensed_500Medium.ttf', 'barlow-500'],
  ['@expo-google-fonts/barlow-semi-condensed/600SemiBold/BarlowSemiCondensed_600SemiBold.ttf', 'barlow-600'],
];
mkdirSync(new URL('app/public/fonts/', root), { recursive: true });
for (const [file, name] of FONTS) {
  const subset = await subsetFont(readFileSync(require.resolve(file)), LATIN, { targetFormat: 'woff2' });
  writeFileSync(new URL(`app/public/fonts/${name}.woff2`, root), subset);
  console.log(`${name}.woff2 ${subset.length} bytes`);
}

// Names that React Native Paper asks for, and where they stand in the icon package.
const ICONS = {
  close: 'mdiClose',
  check: 'mdiCheck',
  'menu-down': 'mdiMenuDown',
  'arrow-left': 'mdiArrowLeft',
  plus: 'mdiPlus',
  alert: 'mdiAlertCircleOutline',
};
const mdi = createRequire(import.meta.url)('@mdi/js');
const rows = Object.entries(ICONS).map(([name, key]) => `  '${name}': '${mdi[key]}',`);
writeFileSync(
  new URL('app/ui/icon-paths.ts', root),
  '/** Made by `npm run assets` from @mdi/js (Apache 2.0): only the icons that are used. */\n' +
    `export const ICON_PATHS: Record<string, string> = {\n${rows.join('\n')}\n};\n`,
);
