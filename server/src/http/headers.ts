import type { Request, RequestHandler } from 'express';
import helmet from 'helmet';

const YEAR_S = 365 * 86_400;

/** What a device can do that Leggero never asks for. */
const UNUSED = [
  'accelerometer',
  'autoplay',
  'bluetooth',
  'camera',
  'display-capture',
  'geolocation',
  'gyroscope',
  'hid',
  'magnetometer',
  'microphone',
  'midi',
  'payment',
  'serial',
  'usb',
  'xr-spatial-tracking',
];

/**
 * Headers that keep a page of Leggero to what it is made of: its own scripts, styles, fonts and pictures, and nothing
 * from elsewhere.
 */
export function securityHeaders({ strictTransport }: { strictTransport: boolean }): RequestHandler[] {
  const strictTransportSecurity = strictTransport && { maxAge: YEAR_S, includeSubDomains: false };
  const self = "'self'";
  const none = "'none'";
  const secure = helmet({
    contentSecurityPolicy: {
      useDefaults: false,
      directives: {
        'default-src': [none],
        'script-src': [self],
        'style-src': [self],
        // React Native for the web keeps its rules, and Expo its fonts, in style elements that they make as they run.
        'style-src-elem': [self, "'unsafe-inline'"],
        'style-src-attr': [none],
        'img-src': [self, 'data:', 'blob:'],
        'font-src': [self],
        'connect-src': [self],
        'worker-src': [self],
        'manifest-src': [self],
        'object-src': [none],
        'base-uri': [none],
        'form-action': [none],
        'frame-ancestors': [none],
      },
    },
    // The app is served over plain HTTP on loopback, where this would do nothing.
    strictTransportSecurity,
  });
  const policy = UNUSED.map((feature) => `${feature}=()`).join(', ');
  const permissions: RequestHandler = (_, response, next) => {
    response.setHeader('Permissions-Policy', policy);
    next();
  };
  // An answer of the API is no page: nothing of it runs, and it is asked for with every tap.
  const answers = helmet({
    contentSecurityPolicy: { useDefaults: false, directives: { 'default-src': [none], 'frame-ancestors': [none] } },
    strictTransportSecurity,
  });
  const isAnswer = ({ path }: Request) => path.startsWith('/api/');
  return [
    (request, response, next) => (isAnswer(request) ? answers : secure)(request, response, next),
    (request, response, next) => (isAnswer(request) ? next() : permissions(request, response, next)),
  ];
}
