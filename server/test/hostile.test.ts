import supertest from 'supertest';

import { attackRoutes, hostileFiles } from './hostile';
import { demoForTests, linesOfImport, promised } from './service';

jest.setTimeout(240_000);

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
});
