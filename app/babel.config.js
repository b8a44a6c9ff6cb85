const straightImports = require('./straight-imports.js');

module.exports = (api) => {
  api.cache(true);
  // What a front names is written into whoever imports it: where a front changes, what was kept of them is void.
  return {
    presets: ['babel-preset-expo'],
    plugins: [[straightImports, { fronts: straightImports.versionOfFronts() }]],
  };
};
