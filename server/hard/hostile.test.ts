import supertest from 'supertest';

import { attackRoutes, hostileFiles } from '../test/hostile';
import { demoForTests, linesOfImport, promised } from '../test/service';

const service = demoForTests();

it('130 hostile bodies to each route, and 400 hostile files, leave no 5xx and no row outside its contract', async () => {
  const { sent, faults } = await attackRoutes({ request: supertest.agent(service.app), perRoute: 130 });
  expect(faults).toEqual([]);
  expect(sent).toBeGreaterThan(4000);
  for (const text of hostileFiles(400, 11)) {
    const last = (await linesOfImport(service.request, '/api/readings.csv', text)).at(-1)!;
    expect([text, last]).toEqual([text, expect.not.objectContaining({ failed: expect.anything() as unknown })]);
  }
  promised('listModels', (await service.request.get('/api/models').expect(200)).body);
});
