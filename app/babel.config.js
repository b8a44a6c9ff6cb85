const straightImports = require('./straight-imports.js');

module.exports = (api) => {
  api.cache(true);
  return { presets: ['babel-preset-expo'], plugins: [straightImports] };
};
