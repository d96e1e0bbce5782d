/* eslint-disable @typescript-eslint/no-require-imports -- an import can't wait its turn, and a dynamic one is a file of its own */
/**
 * The program comes to life in pieces with a breath between them, so that no piece holds a tap up for long; and what the
 * first page reads is asked for before the pages themselves are made. Expo would do all of it in one piece.
 */
const warm = () => require('./features/shell/warm') as typeof import('./features/shell/warm');
const hooks = () => require('./data/hooks') as typeof import('./data/hooks');
/** The frame of a trip comes while the router is made, what stands in it after: both at once would be one long piece. */
const [frame, ...inside] = warm().partsHere();
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
  () => frame?.(),
  () => require('expo-router'),
  ...inside,
  () => require('./app/_layout'),
  () => require('expo-router/entry'),
  () => warm().fetchRestLater(),
];

/** A breath: taps and drawing have their turn. A timer would wait four milliseconds each time, once they are nested. */
const breath = () =>
  new Promise<void>((on) => {
    const { port1, port2 } = new MessageChannel();
    port1.onmessage = () => {
      port1.close();
      on();
    };
    port2.postMessage(undefined);
  });

void (async () => {
  for (const piece of PIECES) {
    piece();
    await breath();
  }
})();
