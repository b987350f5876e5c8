import { type ChildProcess, execFileSync, spawn } from 'node:child_process'
import { mkdtempSync, writeFileSync } from 'node:fs'
import { request } from 'node:https'
import { createServer } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { type House, openHouse } from '../../../test/house'
import { makeApp } from '../../app'

/** A real proxy that ends TLS, with a certificate of its own making. */
let house: House
let proxy: ChildProcess
let port: number
let app: ReturnType<ReturnType<typeof makeApp>['listen']>
beforeAll(async () => {
  house = await openHouse('proxy')
  port = await freePort()
  const config = { ...house.fixed.config, publicUrl: `https://127.0.0.1:${port}`, trustProxy: 1 }
  app = makeApp({ ...house.fixed, config }).listen(0, '127.0.0.1')
  await new Promise((ready) => app.once('listening', ready))
  proxy = await startProxy((app.address() as { port: number }).port)
}, 60_000)
afterAll(async () => {
  const gone = new Promise((done) => proxy.once('exit', done))
  proxy.kill('SIGTERM')
  await gone
  app.closeAllConnections()
  await new Promise((done) => app.close(done))
  await house.close()
})

async function freePort(): Promise<number> {
  const server = createServer().listen(0, '127.0.0.1')
  await new Promise((ready) => server.once('listening', ready))
  const { port: free } = server.address() as { port: number }
  await new Promise((done) => server.close(done))
  return free
}

async function startProxy(behind: number): Promise<ChildProcess> {
  const folder = mkdtempSync(join(tmpdir(), 'probatum-proxy-'))
  const [key, certificate] = [join(folder, 'key.pem'), join(folder, 'certificate.pem')]
  execFileSync(
    'openssl',
    [
      'req',
      '-x509',
      '-newkey',
      'rsa:2048',
      '-nodes',
      '-days',
      '2',
      '-subj',
      '/CN=127.0.0.1',
      '-keyout',
      key,
      '-out',
      certificate,
    ],
    { stdio: 'ignore' },
  )
  writeFileSync(
    join(folder, 'nginx.conf'),
    `daemon off; pid ${folder}/pid; error_log ${folder}/error.log;
    events {}
    http {
      access_log off;
      client_body_temp_path ${folder}; proxy_temp_path ${folder}; fastcgi_temp_path ${folder}; uwsgi_temp_path ${folder}; scgi_temp_path ${folder};
      server {
        listen 127.0.0.1:${port} ssl;
        ssl_certificate ${certificate}; ssl_certificate_key ${key};
        location / {
          proxy_pass http://127.0.0.1:${behind};
          proxy_set_header Host $http_host;
          proxy_set_header X-Forwarded-For $proxy_add_x_forwarded_for;
          proxy_set_header X-Forwarded-Proto https;
        }
      }
    }`,
  )
  const started = spawn('/usr/sbin/nginx', ['-p', folder, '-c', join(folder, 'nginx.conf')], { stdio: 'ignore' })
  for (let tries = 0; tries < 100; tries += 1) {
    const up = await call('GET', '/api/session').catch(() => undefined)
    if (up) return started
    await new Promise((done) => setTimeout(done, 50))
  }
  throw new Error('the proxy did not come up')
}

type Reply = {
  status: number
  cookies: string[]
  body: { csrf?: string; code?: string; account?: { name: string } | null }
}

/** A call from a network address of its own, as if another proxy had written it down before. */
const call = (method: string, path: string, headers: Record<string, string> = {}, body?: object): Promise<Reply> =>
  new Promise((done, fail) => {
    const asked = request(
      {
        host: '127.0.0.1',
        port,
        path,
        method,
        rejectUnauthorized: false,
        headers: { 'Content-Type': 'application/json', ...headers },
      },
      (reply) => {
        const parts: Buffer[] = []
        reply.on('data', (part: Buffer) => parts.push(part))
        reply.on('end', () =>
          done({
            status: reply.statusCode ?? 0,
            cookies: reply.headers['set-cookie'] ?? [],
            body: JSON.parse(Buffer.concat(parts).toString() || 'null'),
          }),
        )
      },
    )
    asked.on('error', fail)
    asked.end(body && JSON.stringify(body))
  })

const held = (cookies: string[]) => cookies.map((line) => line.split(';')[0]).join('; ')

test('behind a proxy that ends TLS one signs in, with cookies no other page can set', async () => {
  const candidate = await house.candidate('Tilda Tls')
  const first = await call('GET', '/api/session')
  expect(first.status).toBe(200)
  for (const cookie of first.cookies) expect(cookie).toMatch(/^__Host-[\w-]+=.*; path=\/.*; secure; httponly/i)
  const entered = await call(
    'POST',
    '/api/session',
    { Cookie: held(first.cookies), 'X-Probatum-Form': first.body.csrf! },
    { mail: candidate.mail, password: 'a-long-enough-secret' },
  )
  expect([entered.status, entered.body.account?.name]).toEqual([200, 'Tilda Tls'])
  expect(entered.cookies.some((cookie) => /^__Host-probatum=.*secure/i.test(cookie))).toBe(true)
  const again = await call('GET', '/api/session', { Cookie: held(entered.cookies) })
  expect(again.body.account?.name).toBe('Tilda Tls')
})

test('what a visitor writes into the forwarded address changes nothing: the proxy’s own word counts', async () => {
  const { cookies, body } = await call('GET', '/api/session')
  const headers = { Cookie: held(cookies), 'X-Probatum-Form': body.csrf! }
  const tries = []
  // Each with an address of its own making and an account of its own, so that only the true address is the same.
  for (let nth = 0; nth < 52; nth += 1)
    tries.push(
      await call(
        'POST',
        '/api/session',
        { ...headers, 'X-Forwarded-For': `203.0.113.${nth}` },
        { mail: `nobody${nth}@mail.test`, password: 'wrong password here' },
      ),
    )
  expect(tries[0]?.body.code).toBe('wrong-mail-or-password')
  expect(tries.at(-1)?.body.code).toBe('too-many-attempts')
}, 60_000)
