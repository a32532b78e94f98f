import net from 'node:net';

import { startsForTests } from '../test/starts.mjs';

const starts = startsForTests();

it('a request that never ends is shut out, and keeps nobody else waiting', async () => {
  const started = await starts.start();
  const begun = performance.now();
  const sockets = Array.from({ length: 50 }, () => net.connect(started.port, '127.0.0.1'));
  const shut = sockets.map((socket) => {
    socket.write('GET /api/health HTTP/1.1\r\nHost: 127.0.0.1\r\nX-Slow: ');
    const drip = setInterval(() => socket.write('a'), 500);
    socket.on('error', () => {});
    return new Promise((resolve) => {
      socket.once('close', () => {
        clearInterval(drip);
        resolve(performance.now() - begun);
      });
    });
  });
  expect((await started.api('health')).status).toBe(200);
  // Headers have ten seconds, and are looked at every five.
  for (const ms of await Promise.all(shut)) expect(ms).toBeLessThan(30_000);
});
