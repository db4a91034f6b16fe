import { networkInterfaces } from 'node:os';
import { testServer } from '../test-kit';
import { isLoopback, knownHosts } from './guard';

let server: Awaited<ReturnType<typeof testServer>>;
beforeAll(async () => (server = await testServer()), 60_000);
afterAll(() => server.close());
const ask = (host: string, url = '/api/export.jsonl?places=exact') =>
  server.app.inject({ method: 'GET', url, headers: { host } });

test.each(['localhost', 'localhost:4860', '127.0.0.1:4860', '[::1]:4860', 'LOCALHOST:1', 'localhost.:4860'])(
  'asked as %s it answers',
  async (host) => expect((await ask(host)).statusCode).toBe(200),
);

test.each(['rebound.example', 'localhost.evil.example:4860', '10.0.0.7:4860', 'localhost@evil.example'])(
  'asked as “%s” it tells nothing: the name may be that of another site',
  async (host) => {
    const answer = await ask(host);
    expect(answer.statusCode).toBe(421);
    expect(answer.json().error.message).toMatch(/add the name to BURROW_HOSTS/);
    expect((await ask(host, '/')).statusCode).toBe(421);
  },
);

test('it is known by where it listens, by the addresses of the machine when it listens everywhere, and by what it is told', () => {
  const names = [
    'localhost',
    '127.0.0.1',
    '::1',
    '192.168.1.5',
    'burrow.lan',
    'ants.home',
    '192.168.1.6',
    '',
  ];
  expect(names.filter(knownHosts('192.168.1.5', 'Burrow.lan, ants.home'))).toEqual(names.slice(0, -2));
  const own = Object.values(networkInterfaces()).flatMap((all) => (all ?? []).map((a) => a.address));
  for (const address of own) expect(knownHosts('0.0.0.0')(address.toLowerCase())).toBe(true);
  expect(knownHosts('127.0.0.1')('10.0.0.7')).toBe(false);
  expect(knownHosts('0.0.0.0')('203.0.113.9')).toBe(false);
  expect(['127.0.0.1', '::1', 'localhost', '0.0.0.0', '192.168.1.5'].map(isLoopback)).toEqual([
    true,
    true,
    true,
    false,
    false,
  ]);
});

test('every answer says what its page may do: no script but its own, in no frame, and nothing but the camera', async () => {
  for (const url of ['/api/health', '/nothing']) {
    const { headers } = await ask('localhost', url);
    const policy = String(headers['content-security-policy']);
    const scripts = /script-src ([^;]*)/.exec(policy)?.[1];
    expect(scripts).toBe("'self'");
    expect(policy).toMatch(/frame-ancestors 'none'/);
    expect(headers['permissions-policy']).toMatch(/camera=\(self\), geolocation=\(\)/);
  }
});
