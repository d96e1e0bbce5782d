/* eslint-disable @typescript-eslint/no-require-imports -- an import can't wait its turn, and a dynamic one is a file of its own */
/**
 * The program comes to life in pieces with a breath between them, so that no piece holds a tap up for long; and what the
 * first page reads is asked for before the pages themselves are made. Expo would do all of it in one piece.
 */
const warm = () => require('./features/shell/warm') as typeof import('./features/shell/warm');
const hooks = () => require('./data/hooks') as typeof import('./data/hooks');
const PIECES: (() => unknown)[] = [
  () => require('@expo/metro-runtime'),
  () => require('expo'),
  () => require('@escale/core/say'),
  () => require('@escale/core/model'),
  () => hooks().readAhead(warm().tripHere()),
  () => require('react-dom/client'),
  () => require('react-native'),
  () => require('react-native-svg'),
  () => require('./ui/theme'),
  () => require('expo-router'),
  ...warm().partsHere(),
  () => require('./app/_layout'),
  () => require('expo-router/entry'),
  () => warm().fetchRestLater(),
];

void (async () => {
  for (const piece of PIECES) {
    piece();
    await new Promise((on) => setTimeout(on, 0));
  }
})();
