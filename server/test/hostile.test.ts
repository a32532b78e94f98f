import supertest from 'supertest';

import { createApp } from '../src/http/app';
import { attackRoutes, CREW_NAMES, crewTargetsOf, hostileFiles } from './hostile';
import { demoForTests, linesOfImport, promised } from './service';

const service = demoForTests();

describe('hostile requests', () => {
  it('to every route are refused or stored as the contract has it, and never break the service', async () => {
    const { sent, faults } = await attackRoutes({ request: supertest.agent(service.app), perRoute: 30 });
    expect(faults).toEqual([]);
    expect(sent).toBeGreaterThan(1000);
  });

  it('as files of readings are refused line by line, or stored as the contract has it', async () => {
    for (const text of hostileFiles(30, 7)) {
      const last = (await linesOfImport(service.request, '/api/readings.csv', text)).at(-1)!;
      expect([text, last]).toEqual([text, expect.not.objectContaining({ failed: expect.anything() as unknown })]);
    }
    promised('listModels', (await service.request.get('/api/models').expect(200)).body);
  });

  // The last: from then on nobody is answered who has not signed in.
  it('to sign in, to join and to the crew are refused, or taken as the contract has it', async () => {
    const post = { home: new URL('https://leggero.example.org'), send: async () => undefined, close: () => undefined };
    const request = supertest.agent(createApp({ database: service.database, studioId: service.studioId, post }));
    const crew = { routes: CREW_NAMES, targets: crewTargetsOf };
    const { sent, faults } = await attackRoutes({ request, perRoute: 40, ...crew });
    expect(faults).toEqual([]);
    expect(sent).toBeGreaterThan(400);
    await service.request.get('/api/models').expect(401);
    await request.get('/api/models').expect(200);
  });
});
