import type { ExpoConfig } from 'expo/config';

const config: ExpoConfig = {
  name: 'Escale',
  slug: 'escale',
  version: '0.1.0',
  platforms: ['web'],
  plugins: ['expo-router'],
  userInterfaceStyle: 'automatic',
  web: { bundler: 'metro', output: 'single' },
  experiments: { typedRoutes: false },
};

export default config;
