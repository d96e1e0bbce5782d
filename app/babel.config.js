// Only Jest reads this; Metro uses the preset by itself. Jest has no dynamic import without a flag that the preset can't bear.
module.exports = (api) => {
  api.cache(true);
  return {
    presets: ['babel-preset-expo'],
    ...(process.env.JEST_WORKER_ID ? { plugins: ['@babel/plugin-transform-dynamic-import'] } : {}),
  };
};
