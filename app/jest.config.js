const preset = require('jest-expo/web/jest-preset');

module.exports = {
  preset: 'jest-expo/web',
  testTimeout: 30_000,
  maxWorkers: 2,
  testMatch: ['**/*.test.ts', '**/*.test.tsx'],
  setupFiles: ['<rootDir>/test/setup.js'],
  transformIgnorePatterns: [
    '/node_modules/(?!(.pnpm|@?react-native|react-native|@expo|expo|standard-navigation|color|comlink|@neaps|@photostructure|geodesy|temporal-polyfill|@noble|uuid|geographiclib-geodesic|swr|idb|@escale|d3-|internmap|d3|temporal-utils|temporal-spec|flatbush|flatqueue|react-leaflet|@react-leaflet|pmtiles|fflate|polylabel|tinyqueue)[^/]*)',
  ],
  // Some packages come as .mjs only.
  transform: { ...preset.transform, '\\.mjs$': preset.transform['\\.[jt]sx?$'] },
  moduleNameMapper: {
    '^@escale/core/data/(.*)$': '<rootDir>/../core/data/$1',
    '^@escale/core/([a-z]+)/([a-z-]+)$': '<rootDir>/../core/src/$1/$2.ts',
    '^@escale/core/(.*)$': '<rootDir>/../core/src/$1/index.ts',
    '^astronomy-engine$': '<rootDir>/../node_modules/astronomy-engine/astronomy.js',
    '^@neaps/tide-predictor$': '<rootDir>/../node_modules/@neaps/tide-predictor/dist/index.js',
    '^expo-router$': '<rootDir>/test/router.tsx',
    '\\.css$': '<rootDir>/test/no-style.js',
  },
};
