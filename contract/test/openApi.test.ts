import { NOUN_NAMES, NOUNS } from '../src';
import { ROUTES } from '../src/routes';
import { openApi } from '../src/openApi';

interface Schema {
  properties?: Record<string, { type?: string; anyOf?: { type: string }[]; enum?: string[]; default?: unknown }>;
  required?: string[];
}
interface Operation {
  requestBody?: { content: { 'application/json': { schema: Schema } } };
  responses: Record<string, unknown>;
}
interface Document {
  openapi: string;
  paths: Record<string, Record<string, Operation>>;
  components: { schemas: Record<string, Schema> };
}

const document = openApi() as unknown as Document;
const bodyOf = (path: string, method: string) =>
  document.paths[path]![method]!.requestBody!.content['application/json'].schema;

describe('the OpenAPI document', () => {
  it('has every route, and what can be done with a row of every noun', () => {
    expect(document.openapi).toBe('3.1.0');
    for (const { method, path } of Object.values(ROUTES))
      expect(document.paths[path.replace(':id', '{id}')]).toHaveProperty(method.toLowerCase());
    for (const name of NOUN_NAMES) {
      const of = document.paths[`/api/${NOUNS[name].path}/{id}`]!;
      expect(of).toHaveProperty('put');
      expect(of).toHaveProperty('delete');
      expect(Object.keys(document.components.schemas[name]!.properties!)).toEqual(Object.keys(NOUNS[name].row.shape));
    }
    // What was seen once is not changed.
    expect(document.paths['/api/readings/{id}']).not.toHaveProperty('patch');
    expect(document.paths['/api/pumps/{id}']).toHaveProperty('patch');
  });

  it('tells what must be given, what is filled in, and what the server decides', () => {
    const made = bodyOf('/api/pumps/{id}', 'put');
    expect(made.required).toEqual(['id', 'name', 'kind', 'doseVolumeL']);
    expect(made.properties!['mostKPa']).toMatchObject({ default: null });
    expect(made.properties).not.toHaveProperty('demo');
    expect(bodyOf('/api/pumps/{id}', 'patch').required).toBeUndefined();
    expect(bodyOf('/api/readings/{id}', 'put').properties!['outcome']!.enum).toEqual(['ok', 'hard', 'burst']);
  });

  it('names what it refers to', () => {
    const named = [...JSON.stringify(document).matchAll(/#\/components\/schemas\/(\w+)/g)].map(([, name]) => name!);
    expect(new Set(named)).toEqual(new Set([...NOUN_NAMES, 'problem']));
    for (const name of named) expect(document.components.schemas).toHaveProperty(name);
  });
});
