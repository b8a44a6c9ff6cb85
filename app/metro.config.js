const http = require('node:http');
const { getDefaultConfig } = require('expo/metro-config');
const { versionOfFronts } = require('./straight-imports.js');

const config = getDefaultConfig(__dirname);
config.cacheVersion = versionOfFronts();
config.resolver.assetExts.push('woff2');

// Their ESM builds assign to exports in a way the bundle refuses at run time; the CJS builds do not.
const commonJs = new Set(['class-validator', 'class-transformer']);
// Half of it would be taken as ESM and half as CJS: two copies, and gestures told to the one are not known to the other.
const isGestures = (name) => name.startsWith('@use-gesture/');
const original = config.resolver.resolveRequest;
config.resolver.resolveRequest = (context, name, platform) => {
  if (commonJs.has(name) || isGestures(name)) return { type: 'sourceFile', filePath: require.resolve(name) };
  // The solver looks for Node only when it runs there; its wasm file is served beside the app.
  if (name === 'highs') return { type: 'sourceFile', filePath: require.resolve('highs') };
  if (name.startsWith('node:')) return { type: 'empty' };
  // Phone number metadata: 150 kB behind a validator we do not use.
  if (name.startsWith('libphonenumber-js')) return { type: 'empty' };
  return (original ?? context.resolveRequest)(context, name, platform);
};

// The app starts once its script has been read through, not from within it: what is thrown and caught on the way (style rules a
// browser does not know) has the engine look up where it stood, and inside a script that means reading all of it again.
config.serializer.getRunModuleStatement = (id) => `queueMicrotask(()=>__r(${id}));`;

// In development the app is served here and the API by Express.
config.server.enhanceMiddleware = (middleware) => (req, res, next) => {
  if (!req.url.startsWith('/api/')) return middleware(req, res, next);
  const proxied = http.request(
    { host: '127.0.0.1', port: 4310, path: req.url, method: req.method, headers: req.headers },
    (answer) => {
      res.writeHead(answer.statusCode, answer.headers);
      answer.pipe(res);
    },
  );
  proxied.on('error', () => res.writeHead(502).end());
  return req.pipe(proxied);
};

module.exports = config;
