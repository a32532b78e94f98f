const path = require('node:path');
const { buildSync } = require('esbuild');
const { getDefaultConfig } = require('expo/metro-config');
const { withNativeWind } = require('nativewind/metro');

const config = getDefaultConfig(__dirname);

// Later pages share one file: each evaluates its own modules when it opens, not those of all the others.
config.transformer.getTransformOptions = async () => ({ transform: { inlineRequires: true } });

// Zod carries the words of some fifty languages; the app words its problems itself.
const localesOfZod = /[\\/]locales[\\/]index(\.c?js)?$/;
const onlyEnglish = path.resolve(__dirname, 'zod-locales.js');
// The wrapper that tslib gives to importers has no default once Metro has turned it into a module.
const plainTslib = require.resolve('tslib/tslib.es6.js');
// Metro keeps all of a package: of three it is given a copy with what one file asks of it, and no more.
const asksOfThree = path.resolve(__dirname, 'src/parts/space/three.ts');
const someOfThree = path.resolve(__dirname, '../node_modules/.cache/leggero/three.js');
buildSync({ entryPoints: [asksOfThree], outfile: someOfThree, bundle: true, format: 'esm', logLevel: 'error' });
// Left to itself one half of this package comes as a module and the other not: neither then knows of the other.
const gestures = path.dirname(require.resolve('@use-gesture/core/package.json'));
const halvesOfGestures = {
  '@use-gesture/core': path.join(gestures, 'dist/use-gesture-core.esm.js'),
  '@use-gesture/core/actions': path.join(gestures, 'actions/dist/use-gesture-core-actions.esm.js'),
};
config.resolver.resolveRequest = (context, name, platform) => {
  if (localesOfZod.test(name) && /[\\/]zod[\\/]/.test(context.originModulePath)) {
    return { type: 'sourceFile', filePath: onlyEnglish };
  }
  if (halvesOfGestures[name]) return { type: 'sourceFile', filePath: halvesOfGestures[name] };
  if (name === 'three') return { type: 'sourceFile', filePath: someOfThree };
  if (name === 'tslib') return { type: 'sourceFile', filePath: plainTslib };
  return context.resolveRequest(context, name, platform);
};

// In development the API runs beside Metro, on the port that `npm run dev` names.
const apiPort = process.env.LEGGERO_API_PORT;
if (apiPort) {
  const http = require('node:http');
  config.server.enhanceMiddleware = (metro) => (request, response, next) => {
    if (!request.url.startsWith('/api/')) return metro(request, response, next);
    const { method, headers, url } = request;
    const onward = http.request({ host: '127.0.0.1', port: apiPort, path: url, method, headers }, (answer) => {
      response.writeHead(answer.statusCode, answer.headers);
      answer.pipe(response);
    });
    onward.on('error', () => response.writeHead(503).end());
    request.pipe(onward);
  };
}

module.exports = withNativeWind(config, { input: './global.css' });
