// The validator brings its messages in sixty languages; the application speaks one, and that one it names itself.
const { getDefaultConfig } = require('expo/metro-config');

const config = getDefaultConfig(__dirname);
const before = config.resolver.resolveRequest;

config.resolver.resolveRequest = (context, name, platform) => {
  const found = (before ?? context.resolveRequest)(context, name, platform);
  return found.type === 'sourceFile'
    ? { ...found, filePath: found.filePath.replace(/(zod\/v4\/locales)\/index\.(c?js)$/, '$1/en.$2') }
    : found;
};

module.exports = config;
