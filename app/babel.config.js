// Jest has no dynamic import without a flag that the preset can't bear.
module.exports = (api) => {
  api.cache(true);
  return {
    presets: ['babel-preset-expo'],
    // Of Paper only the parts that are used come along.
    plugins: process.env.JEST_WORKER_ID
      ? ['@babel/plugin-transform-dynamic-import']
      : ['react-native-paper/babel'],
  };
};
