const path = require('node:path');
const { getDefaultConfig } = require('expo/metro-config');
const { withNativeWind } = require('nativewind/metro');

const config = getDefaultConfig(__dirname);

// Zod carries the words of some fifty languages; the app words its problems itself.
const localesOfZod = /[\\/]locales[\\/]index(\.c?js)?$/;
const onlyEnglish = path.resolve(__dirname, 'zod-locales.js');
// The wrapper that tslib gives to importers has no default once Metro has turned it into a module.
const plainTslib = require.resolve('tslib/tslib.es6.js');
config.resolver.resolveRequest = (context, name, platform) => {
  if (localesOfZod.test(name) && /[\\/]zod[\\/]/.test(context.originModulePath)) {
    return { type: 'sourceFile', filePath: onlyEnglish };
  }
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
