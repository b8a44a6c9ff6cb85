// TypeScript and ES modules for Jest, through esbuild: decorators as the server builds them.
const { transformSync } = require('esbuild');

module.exports = {
  process(source, path) {
    const { code, map } = transformSync(source, {
      loader: path.endsWith('.ts') ? 'ts' : 'js',
      format: 'cjs',
      target: 'node20',
      sourcemap: 'inline',
      sourcefile: path,
      tsconfigRaw: { compilerOptions: { experimentalDecorators: true, useDefineForClassFields: false } },
    });
    return { code, map };
  },
};
