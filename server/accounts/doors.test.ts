import { connect } from 'node:net'
import { generateSync } from 'otplib'
import { type House, openHouse } from '../../test/house'
import { Account, AccountLink, Session } from '../records/accounts/model'

/** Ways in that somebody might try. */
let house: House
beforeAll(async () => {
  house = await openHouse('doors')
}, 60_000)
afterAll(() => house.close())

const password = 'a-long-enough-secret'
const attackers = 'seven quiet marmots dig'
const linkTo = (place: string, text: string) => new RegExp(`/${place}/([\\w-]+)`).exec(text)![1]!
const six = <T>(act: () => Promise<T>) => Promise.all(Array.from({ length: 6 }, act))

async function askedFor(mail: string, given: { name: string; password: string }) {
  const browser = house.visitor()
  const before = house.mailbox.mails.filter(({ to }) => to === mail).length
  await browser.done('signUp', { body: { mail, ...given } })
  for (let tries = 0; tries < 100; tries += 1) {
    const mails = house.mailbox.mails.filter(({ to }) => to === mail)
    if (mails.length > before) return { browser, token: linkTo('confirm', mails.at(-1)!.text) }
    await new Promise((done) => setTimeout(done, 50))
  }
  throw new Error('no mail came')
}

describe('an account that is not confirmed yet', () => {
  test('is not taken over by asking for it again with another name and password', async () => {
    const mail = 'victim@mail.test'
    const victim = await askedFor(mail, { name: 'Vic Tim', password })
    const attacker = await askedFor(mail, { name: 'Not Vic', password: attackers })
    const confirmed = await victim.browser.done('confirmMail', { body: { token: victim.token } })
    expect([confirmed.signedIn, confirmed.account?.name]).toEqual([true, 'Vic Tim'])
    const enter = async (given: string) =>
      (await house.visitor().call('signIn', { body: { mail, password: given } })).status
    expect([await enter(attackers), await enter(password)]).toEqual([401, 200])
    // Confirming one voids the other.
    expect((await attacker.browser.call('confirmMail', { body: { token: attacker.token } })).status).toBe(410)
    expect((await Account.findOne({ where: { mail } }))?.name).toBe('Vic Tim')
  })

  test('is signed in only in the browser it was asked for in; elsewhere the link confirms and no more', async () => {
    const mail = 'elsewhere@mail.test'
    const { token } = await askedFor(mail, { name: 'Else Where', password })
    const other = house.visitor()
    const confirmed = await other.done('confirmMail', { body: { token } })
    expect([confirmed.signedIn, confirmed.account]).toEqual([false, null])
    expect((await other.done('readSession')).account).toBeNull()
    expect((await other.call('signIn', { body: { mail, password } })).status).toBe(200)
  })
})

test('a link that was left over opens nothing after a change of password', async () => {
  const candidate = await house.candidate('Left Over')
  const account = (await Account.findOne({ where: { mail: candidate.mail } }))!
  const left = async (ask: () => Promise<unknown>, place: string, about: string) => {
    await ask()
    return linkTo(place, (await house.mailTo(candidate.mail, about)).text)
  }
  const reset = await left(
    () => house.visitor().done('askReset', { body: { mail: candidate.mail } }),
    'new-password',
    'Set a new password',
  )
  await candidate.done('changePassword', { body: { password, next: 'four grey chamois climbing' } })
  expect(await AccountLink.count({ where: { accountId: account.id } })).toBe(0)
  const used = await house.visitor().call('resetPassword', { body: { token: reset, password: attackers } })
  expect(used.status).toBe(410)
})

describe('six at once', () => {
  test('a link to set a password works once', async () => {
    const { mail } = await house.candidate('Six Links')
    await house.visitor().done('askReset', { body: { mail } })
    const token = linkTo('new-password', (await house.mailTo(mail, 'Set a new password')).text)
    const replies = await six(() => house.visitor().call('resetPassword', { body: { token, password: attackers } }))
    expect(replies.map(({ status }) => status).sort()).toEqual([200, 410, 410, 410, 410, 410])
  })

  test('a one-time code opens once', async () => {
    const candidate = await house.candidate('Six Codes')
    const { secret } = await candidate.done('beginOneTimeCodes', { body: { password } })
    await candidate.done('confirmOneTimeCodes', { body: { code: generateSync({ secret }) } })
    await house.mailTo(candidate.mail, 'switched on')
    // At rest the secret is sealed.
    expect((await Account.findOne({ where: { mail: candidate.mail } }))?.otpSecret).not.toContain(secret)
    const code = generateSync({ secret, epoch: Math.floor(Date.now() / 1000) + 30 })
    const replies = await six(() => house.visitor().call('signIn', { body: { mail: candidate.mail, password, code } }))
    expect(replies.map(({ status }) => status).sort()).toEqual([200, 401, 401, 401, 401, 401])
  })

  test('the same key does its work once, and whoever is second gets the same reply', async () => {
    const candidate = await house.candidate('Six Keys')
    const { id } = await candidate.done('beginApplication', { params: { slug: 'track-engineer' } })
    const named = { name: 'Vera Voucher', mail: '', relation: 'colleague' as const }
    const replies = await six(() => candidate.call('nameVoucher', { params: { id }, body: named, key: 'key-of-six' }))
    expect(replies.every(({ status }) => status === 200)).toBe(true)
    expect(new Set(replies.map(({ body }) => (body as { reference?: string }).reference)).size).toBe(1)
    const { vouchings } = await candidate.done('readDraft', { params: { id } })
    expect(vouchings).toHaveLength(1)
  })
})

describe('guessing', () => {
  const tryOnce = (who: ReturnType<House['visitor']>, mail: string, given: string) =>
    who.call('signIn', { body: { mail, password: given } })

  test('never locks its owner out where they have signed in before', async () => {
    const owner = await house.candidate('Owen Owner')
    const stranger = house.visitor()
    const tries = []
    for (let nth = 0; nth < 12; nth += 1) tries.push((await tryOnce(stranger, owner.mail, `wrong ${nth}`)).status)
    expect(tries.slice(-2)).toEqual([429, 429])
    expect((await tryOnce(house.visitor(), owner.mail, password)).status).toBe(429)
    await owner.done('signOut')
    expect((await owner.call('signIn', { body: { mail: owner.mail, password } })).status).toBe(200)
  })

  test('over many accounts is counted by address, whatever sign-ins of one’s own come between', async () => {
    const own = await house.candidate('Own Account')
    const attacker = house.visitor()
    await attacker.done('signIn', { body: { mail: own.mail, password } })
    let refused = 0
    for (let nth = 0; nth < 70 && refused === 0; nth += 1) {
      const { status } = await tryOnce(attacker, `nobody-${nth}@mail.test`, 'wrong')
      if (status === 429) refused = nth
      if (nth % 10 === 9) await attacker.done('signIn', { body: { mail: own.mail, password } })
    }
    expect(refused).toBeGreaterThan(20)
    expect(refused).toBeLessThan(60)
    await house.deps.sequelize.query('DELETE FROM rate_limits')
  }, 60_000)
})

describe('sessions of staff', () => {
  test('end after half an hour away and after twelve hours; those of candidates do not', async () => {
    const moments = { idle: new Date(Date.now() - 31 * 60_000), long: new Date(Date.now() - 13 * 3_600_000) }
    for (const change of [{ seenAt: moments.idle }, { createdAt: moments.long }]) {
      const desk = await house.staff('coordinator')
      const { account } = await desk.done('readSession')
      await Session.update(change, { where: { accountId: account!.id } })
      expect((await desk.call('readCounts')).status).toBe(401)
      const candidate = await house.candidate('Stays In')
      const own = (await candidate.done('readSession')).account!
      await Session.update(change, { where: { accountId: own.id } })
      expect((await candidate.call('myApplications')).status).toBe(200)
    }
  })

  test('a page that asks by itself keeps none alive', async () => {
    const desk = await house.staff('coordinator')
    const { account } = await desk.done('readSession')
    const aWhileAgo = new Date(Date.now() - 10 * 60_000)
    await Session.update({ seenAt: aWhileAgo }, { where: { accountId: account!.id } })
    await desk.request('/api/desk/counts', { headers: { 'X-Probatum-Idle': 'yes' } })
    const seen = async () => (await Session.findOne({ where: { accountId: account!.id } }))!.seenAt.getTime()
    expect(await seen()).toBe(aWhileAgo.getTime())
    await desk.done('readCounts')
    expect(await seen()).toBeGreaterThan(aWhileAgo.getTime())
  })

  test('taking a list along wants the password once more, if it was given a while ago', async () => {
    const desk = await house.staff('coordinator')
    const { account } = await desk.done('readSession')
    expect((await desk.call('readConfirmed')).status).toBe(200)
    await Session.update({ confirmedAt: new Date(Date.now() - 11 * 60_000) }, { where: { accountId: account!.id } })
    expect((await desk.call('readConfirmed')).body.code).toBe('password-again')
    const list = await desk.request('/api/desk/lists/sources')
    expect(list.status).toBe(403)
    expect((await desk.call('confirmSession', { body: { password: 'wrong' } })).status).toBe(422)
    await desk.done('confirmSession', { body: { password } })
    expect((await desk.request('/api/desk/lists/sources')).status).toBe(200)
  })

  test('an offer wants the password once more where it names a salary, and other gates do not', async () => {
    const manager = await house.staff('hiring manager')
    const { account } = await manager.done('readSession')
    const pass = (body: { version: number; salary?: number }) =>
      manager.call('passGate', { params: { id: account!.id, gate: 'offer' }, body, key: `${Math.random()}` })
    expect((await pass({ version: 1, salary: 5_000_000 })).status).toBe(404)
    await Session.update({ confirmedAt: new Date(Date.now() - 11 * 60_000) }, { where: { accountId: account!.id } })
    expect((await pass({ version: 1, salary: 5_000_000 })).body.code).toBe('password-again')
    expect((await pass({ version: 1 })).status).toBe(404)
  })

  test('a role that signs in with a second factor sets it up before anything else', async () => {
    const { config } = house.fixed
    ;(config as { secondFactorRoles: readonly string[] }).secondFactorRoles = ['coordinator']
    try {
      const desk = await house.staff('coordinator')
      expect((await desk.done('readSession')).codesFirst).toBe(true)
      expect((await desk.call('readCounts')).body.code).toBe('codes-first')
      const { secret } = await desk.done('beginOneTimeCodes', { body: { password } })
      const { recoveryCodes } = await desk.done('confirmOneTimeCodes', { body: { code: generateSync({ secret }) } })
      expect((await desk.call('readCounts')).status).toBe(200)
      const drop = await desk.call('dropOneTimeCodes', { body: { password, code: recoveryCodes[0]! } })
      expect(drop.body.code).toBe('codes-needed')
      expect((await (await house.staff('assessor')).call('readCounts')).status).toBe(200)
    } finally {
      ;(config as { secondFactorRoles: readonly string[] }).secondFactorRoles = []
    }
  })
})

test('whichever way an address is written to, it gets five mails in an hour', async () => {
  const victim = 'victim@mailbox.example'
  const visitor = house.visitor()
  const signUps = []
  for (const name of ['One Mail', 'Two Mails', 'Three Mails'])
    signUps.push(await visitor.call('signUp', { body: { name, mail: victim, password } }))
  expect(signUps.map(({ status }) => status)).toEqual([200, 200, 200])
  expect((await visitor.call('askReset', { body: { mail: victim } })).status).toBe(200)
  const candidate = await house.candidate('Sends Mails')
  expect((await candidate.call('changeMail', { body: { password, mail: 'Victim@mailbox.example' } })).status).toBe(200)
  expect((await candidate.call('changeMail', { body: { password, mail: victim } })).status).toBe(429)
  expect((await visitor.call('askReset', { body: { mail: victim } })).status).toBe(429)
})

describe('a body that comes drop by drop', () => {
  const config = () => house.fixed.config as { bodyPatienceMs: number }
  let patience: number
  beforeAll(() => {
    patience = config().bodyPatienceMs
    config().bodyPatienceMs = 600
  })
  afterAll(() => {
    config().bodyPatienceMs = patience
  })

  /** Sends a head and then a space now and then, until the other side has had enough. */
  async function drip(path: string, headers: Record<string, string> = {}) {
    const { hostname, port } = new URL(house.address)
    const socket = connect(Number(port), hostname)
    const head = { Host: hostname, 'Content-Type': 'application/json', 'Content-Length': '800', ...headers }
    const lines = Object.entries(head).map(([name, value]) => `${name}: ${value}\r\n`)
    socket.write(`POST ${path} HTTP/1.1\r\n${lines.join('')}\r\n{`)
    const drops = setInterval(() => socket.write(' '), 50)
    const begun = Date.now()
    let said = ''
    socket.on('data', (bytes) => {
      said += bytes.toString()
    })
    socket.on('error', () => undefined)
    await new Promise<void>((done) => socket.once('close', () => done()))
    clearInterval(drops)
    return { said, after: Date.now() - begun }
  }

  test('is given up with a sentence, and the connection ends', async () => {
    const session = await fetch(`${house.address}/api/session`)
    const { csrf } = (await session.json()) as { csrf: string }
    const cookie = session.headers.getSetCookie()[0]!.split(';')[0]!
    const { said, after } = await drip('/api/accounts', { 'X-Probatum-Form': csrf, Cookie: cookie })
    expect(said).toMatch(/^HTTP\/1\.1 408 /)
    expect(said).toContain('too-slow')
    expect(after).toBeGreaterThanOrEqual(600)
    expect(after).toBeLessThan(3000)
  })

  test.each([
    ['/api/accounts', 403],
    ['/api/no-such-place', 404],
    ['/no-such-page', 404],
  ])('holds no connection where %s refuses it at once', async (path, status) => {
    const { said, after } = await drip(path)
    expect(said).toMatch(new RegExp(`^HTTP/1\\.1 ${status} `))
    expect(after).toBeGreaterThanOrEqual(600)
    expect(after).toBeLessThan(3000)
  })
})

describe('what comes in', () => {
  const details = {
    kind: 'study',
    sourceId: null,
    sourceName: 'X',
    award: 'BSc',
    subject: 'Y',
    level: 6,
    field: '0713',
    number: '',
    from: '2015',
    to: '2018',
  }
  test.each([
    ['NUL', { ...details, subject: 'a\u0000b' }, '/body/details/subject'],
    ['half a pair of surrogates', { ...details, subject: '\ud83d' }, '/body/details/subject'],
    ['a line break in a name', { ...details, sourceName: 'a\nb' }, '/body/details/sourceName'],
    ['what nobody asked for', { ...details, isAdmin: true }, '/body/details'],
  ])('%s is refused by its field', async (_what, given, pointer) => {
    const candidate = await house.candidate('Bad Text')
    const refused = await candidate.call('addClaim', { body: { details: given } })
    expect(refused.status).toBe(422)
    expect(refused.body.faults?.some(({ pointer: at }) => at.startsWith(pointer))).toBe(true)
  })

  test('the value of a page belongs to its session: that of somebody else is refused', async () => {
    const [one, other] = [await house.candidate('One Session'), await house.candidate('Other Session')]
    const { csrf } = await one.done('readSession')
    const begin = (formToken: string) =>
      other.call('beginApplication', { params: { slug: 'track-engineer' }, formToken })
    expect((await begin(csrf)).body.code).toBe('stale-page')
    expect((await begin((await other.done('readSession')).csrf)).status).toBe(200)
  })
})
