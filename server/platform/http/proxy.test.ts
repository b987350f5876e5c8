import { type ChildProcess, execFileSync, spawn } from 'node:child_process'
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { request } from 'node:https'
import { createServer } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { type House, openHouse, until } from '../../../test/house'
import { makeApp } from '../../app'

/** Real proxies that end TLS, set up by the files we give to operators, with a certificate of their own making. */
let house: House
let proxy: ChildProcess
let port: number
let folder: string
let app: ReturnType<ReturnType<typeof makeApp>['listen']>
beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'probatum-proxy-'))
  const given = '-x509 -newkey rsa:2048 -nodes -days 2 -subj /CN=127.0.0.1 -addext subjectAltName=IP:127.0.0.1'
  execFileSync('openssl', ['req', ...given.split(' '), '-keyout', inFolder('key.pem'), '-out', inFolder('chain.pem')], {
    stdio: 'ignore',
  })
})

const inFolder = (name: string) => join(folder, name)

async function freePort(): Promise<number> {
  const server = createServer().listen(0, '127.0.0.1')
  await new Promise((ready) => server.once('listening', ready))
  const { port: free } = server.address() as { port: number }
  await new Promise((done) => server.close(done))
  return free
}

/** How each is started, from the file in `deploy/` with our own ports and certificate in it. */
const proxies: Record<string, (behind: number) => ChildProcess> = {
  nginx: (behind) => {
    const site = readFileSync('deploy/nginx.conf', 'utf8')
      .replace('listen 443 ssl;', `listen 127.0.0.1:${port} ssl;`)
      .replace('listen 80;', `listen unix:${folder}/plain.sock;`)
      .replace(/ssl_certificate \S+;/, `ssl_certificate ${inFolder('chain.pem')};`)
      .replace(/ssl_certificate_key \S+;/, `ssl_certificate_key ${inFolder('key.pem')};`)
      .replace('http://127.0.0.1:4100', `http://127.0.0.1:${behind}`)
    const temporary = ['client_body', 'proxy', 'fastcgi', 'uwsgi', 'scgi'].map((name) => `${name}_temp_path ${folder};`)
    writeFileSync(
      inFolder('nginx.conf'),
      `daemon off; pid ${folder}/pid; error_log ${folder}/error.log;\nevents {}\nhttp { access_log off; ${temporary.join(' ')}\n${site} }`,
    )
    return spawn('/usr/sbin/nginx', ['-p', folder, '-c', inFolder('nginx.conf')], { stdio: 'ignore' })
  },
  caddy: (behind) => {
    const site = readFileSync('deploy/Caddyfile', 'utf8')
      .replace(
        'jobs.example.org {',
        `https://127.0.0.1:${port} {\n\tbind 127.0.0.1\n\ttls ${inFolder('chain.pem')} ${inFolder('key.pem')}`,
      )
      .replace('127.0.0.1:4100', `127.0.0.1:${behind}`)
    writeFileSync(inFolder('Caddyfile'), `{\n\tadmin off\n\tauto_https off\n}\n${site}`)
    return spawn('caddy', ['run', '--config', inFolder('Caddyfile'), '--adapter', 'caddyfile'], {
      stdio: 'ignore',
      env: { ...process.env, XDG_DATA_HOME: folder, XDG_CONFIG_HOME: folder },
    })
  },
}

async function startBehind(name: string) {
  house = await openHouse(`proxy_${name}`)
  port = await freePort()
  const config = { ...house.fixed.config, publicUrl: `https://127.0.0.1:${port}`, trustProxy: 1 }
  app = makeApp({ ...house.fixed, config }).listen(0, '127.0.0.1')
  await new Promise((ready) => app.once('listening', ready))
  proxy = proxies[name]!((app.address() as { port: number }).port)
  await until(() => call('GET', '/api/session').catch(() => undefined))
}

async function stopBehind() {
  const gone = new Promise((done) => proxy.once('exit', done))
  proxy.kill('SIGTERM')
  await gone
  app.closeAllConnections()
  await new Promise((done) => app.close(done))
  await house.close()
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

describe.each(Object.keys(proxies))('behind %s', (name) => {
  beforeAll(() => startBehind(name), 60_000)
  afterAll(stopBehind)

  test('one signs in over TLS, with cookies no other page can set', async () => {
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

  test('what is too large is told in our words, not in the proxy’s', async () => {
    const candidate = await house.candidate(`Paula Paper ${name}`)
    const { cookies, body } = await call('GET', '/api/session')
    const entered = await call(
      'POST',
      '/api/session',
      { Cookie: held(cookies), 'X-Probatum-Form': body.csrf! },
      { mail: candidate.mail, password: 'a-long-enough-secret' },
    )
    const headers = { Cookie: held(entered.cookies), 'X-Probatum-Form': entered.body.csrf! }
    const large = await call('POST', '/api/my/claims', headers, { details: 'x'.repeat(3_000_000) })
    expect([large.status, large.body.code]).toEqual([413, 'too-large'])
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
})
