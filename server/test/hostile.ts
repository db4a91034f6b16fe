import { JSONSchemaFaker, type Schema } from 'json-schema-faker';

/** What is asked of a server: rightly, almost rightly, or out of spite. */
export interface Asked {
  method: string;
  url: string;
  headers: Record<string, string>;
  body?: string;
}

/** As much of an OpenAPI document as requests are made from. */
export interface ApiDocument {
  paths: Record<string, Record<string, Operation>>;
}
interface Operation {
  parameters?: { name: string; in: string; required?: boolean; schema: Schema }[];
  requestBody?: { content: Record<string, { schema: Schema }> };
}

/** Numbers from 0 to 1, the same for the same seed. */
export type Random = () => number;

/** Ids that are there, so that some requests come past the first question. */
export interface KnownIds {
  queens: readonly string[];
  places: readonly string[];
}

const METHODS = ['get', 'post', 'put', 'patch', 'delete'];

/** Makes requests by what the document says, and spoils most of them. */
export function hostile(doc: ApiDocument, known: KnownIds, random: Random): () => Asked {
  const jsf = JSONSchemaFaker as unknown as {
    option(options: object): void;
    generate(schema: object): unknown;
  };
  jsf.option({
    random,
    alwaysFakeOptionals: false,
    optionalsProbability: 0.7,
    maxItems: 4,
    failOnInvalidTypes: false,
    failOnInvalidFormat: false,
    ignoreMissingRefs: true,
    fillProperties: false,
  });
  const operations = Object.entries(doc.paths).flatMap(([path, all]) =>
    Object.entries(all).flatMap(([method, operation]) =>
      METHODS.includes(method) ? [{ path, method: method.toUpperCase(), operation }] : [],
    ),
  );
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)] as T;
  const id = () => pick([pick(known.queens), pick(known.places), uuid(random), 'x', '']);
  const made = (schema: object): unknown => {
    try {
      return withIds(jsf.generate(structuredClone(schema)));
    } catch {
      return pick(SPITE)();
    }
  };
  /** Half of what looks like an id is one that is there. */
  const withIds = (value: unknown): unknown => {
    if (typeof value === 'string' && UUID.test(value)) return random() < 0.5 ? id() : uuid(random);
    if (Array.isArray(value)) return value.map(withIds);
    if (typeof value !== 'object' || value === null) return value;
    return Object.fromEntries(Object.entries(value).map(([k, v]) => [k, withIds(v)]));
  };

  return () => {
    const { path, method, operation } = pick(operations);
    const query: string[] = [];
    let url = path;
    for (const p of operation.parameters ?? []) {
      const value = asText(random() < 0.8 ? made(p.schema) : pick(SPITE)()).slice(0, 4000);
      if (p.in === 'path') url = url.replace(`{${p.name}}`, random() < 0.7 ? id() : encoded(value));
      else if (p.in === 'query' && (p.required || random() < 0.7)) query.push(`${p.name}=${encoded(value)}`);
    }
    if (query.length > 0) url += `?${query.join('&')}`;
    if (random() < 0.03) url = pick(ADDRESSES);
    const [type, content] = Object.entries(operation.requestBody?.content ?? {})[0] ?? [];
    if (method === 'GET' || !content) return { method, url, headers: {} };
    let value = made(content.schema);
    for (let n = random() < 0.4 ? 0 : 1 + Math.floor(3 * random()); n > 0; n--)
      value = spoilt(value, pick, random);
    let body = JSON.stringify(value) ?? '';
    if (random() < 0.03) body = body.slice(0, Math.floor(body.length * random()));
    const headers = { 'content-type': random() < 0.95 ? (type ?? 'application/json') : pick(TYPES) };
    return { method, url, headers, body };
  };
}

const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/i;

/** UUID version 7, made of the same numbers each time. */
function uuid(random: Random): string {
  const hex = (n: number) => Array.from({ length: n }, () => Math.floor(16 * random()).toString(16)).join('');
  return `01${hex(6)}-${hex(4)}-7${hex(3)}-8${hex(3)}-${hex(12)}`;
}

const asText = (value: unknown): string =>
  typeof value === 'object' ? JSON.stringify(value) : String(value);

function encoded(text: string): string {
  try {
    return encodeURIComponent(text);
  } catch {
    // half a character has no address
    return '%ED%A0%80';
  }
}

/** Values that have brought servers down. */
const SPITE: (() => unknown)[] = [
  () => '\u0000',
  () => 'a\ud800',
  () => '0000-01-01T00:00:00.000Z',
  () => '9999-12-31T23:59:59.999Z',
  () => '2026-02-30T25:61:00Z',
  () => 'x'.repeat(100_000),
  () => '../../../../etc/passwd',
  () => "'; drop table entries; --",
  () => '<script>alert(1)</script>',
  () => -1,
  () => 0,
  () => 1e308,
  () => Number.MAX_SAFE_INTEGER,
  () => 0.1 + 0.2,
  () => null,
  () => true,
  () => [],
  () => ({}),
  () => Array.from({ length: 50_000 }, () => 0),
  () => Array.from({ length: 30 }).reduce<unknown>((deep) => [deep], 0),
  () => ({ constructor: { prototype: { x: 1 } } }),
  () => '',
];

/** One place of a value is changed, taken out or doubled. */
function spoilt(value: unknown, pick: <T>(list: readonly T[]) => T, random: Random): unknown {
  const deeper = typeof value === 'object' && value !== null && random() < 0.85;
  if (!deeper) return pick(SPITE)();
  if (Array.isArray(value)) {
    if (value.length === 0) return [pick(SPITE)()];
    const i = Math.floor(random() * value.length);
    return random() < 0.2
      ? [...value, ...value]
      : value.map((v, n) => (n === i ? spoilt(v, pick, random) : v));
  }
  const keys = Object.keys(value);
  if (keys.length === 0) return { [asText(pick(SPITE)()).slice(0, 50)]: pick(SPITE)() };
  const key = pick(keys);
  const { [key]: was, ...rest } = value as Record<string, unknown>;
  return random() < 0.15 ? rest : { ...rest, [key]: spoilt(was, pick, random) };
}

const ADDRESSES = [
  '/../x',
  '/api/../../x',
  '/%2e%2e/%2e%2e/etc/passwd',
  '/api/queens/%00',
  '/%',
  '//x',
  '/api/nothing',
  `/api/queens/${'x'.repeat(5000)}`,
  '/api/labels.pdf?queens=,,,&sheet=&skip=-1',
  '/api/openapi.json?x=%ED%A0%80',
];
const TYPES = [
  'text/plain',
  'application/xml',
  'multipart/form-data',
  'image/jpeg',
  'application/json; charset=utf-16',
  '',
];
