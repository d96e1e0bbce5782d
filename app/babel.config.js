// Only Jest reads this; Metro uses the preset by itself.
module.exports = (api) => {
  api.cache(true);
  return { presets: ['babel-preset-expo'] };
};
