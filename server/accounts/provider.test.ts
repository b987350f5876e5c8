import { Account, ProviderSignIn } from '#server/records/accounts/model'
import { checkIdentityProvider } from '#server/setup/checks'
import type { KnownPerson } from '../../standins/identity'
import type { Visitor } from '../../test/client'
import { type House, openHouse, tokenIn } from '../../test/house'

let house: House
beforeAll(async () => {
  house = await openHouse('provider', { identityProvider: {}, secondFactorRoles: ['coordinator', 'administrator'] })
})
afterAll(() => house.close())

const password = 'a-long-enough-secret'
let nth = 0

/** Somebody the provider knows from now on. */
function knownPerson(over: Partial<KnownPerson> = {}): KnownPerson {
  nth += 1
  const person = {
    sub: `p-${nth}`,
    name: `Person ${nth}`,
    mail: `person${nth}@house.example`,
    roles: ['coordinator'],
    ...over,
  }
  house.known.push(person)
  return person
}

/** What a browser does at the provider: follows, chooses who it is, and gives what it is sent back with. */
async function chooseAt(address: string, sub: string): Promise<string> {
  const cookies = new Map<string, string>()
  const go = async (to: string, init: RequestInit = {}) => {
    const response = await fetch(to, {
      ...init,
      redirect: 'manual',
      headers: { ...init.headers, Cookie: [...cookies].map(([name, value]) => `${name}=${value}`).join('; ') },
    })
    for (const line of response.headers.getSetCookie()) {
      const [name = '', value = ''] = line.split(';')[0]!.split(/=(.*)/s)
      cookies.set(name, value)
    }
    return response
  }
  let next = address
  for (let steps = 0; steps < 8; steps += 1) {
    if (next.startsWith('http://house.test/')) return new URL(next).search
    const asks = next.includes('/who/')
    const response = asks ? await go(next, { method: 'POST', body: new URLSearchParams({ sub }) }) : await go(next)
    next = new URL(response.headers.get('location')!, next).href
  }
  throw new Error(`the provider did not send anybody back: ${next}`)
}

async function comeThrough(visitor: Visitor, sub: string, next?: string) {
  const { address } = await visitor.done('leaveForProvider', { body: next ? { next } : {} })
  const search = await chooseAt(address, sub)
  return { search, answer: await visitor.call('returnFromProvider', { body: { search } }) }
}

describe('Signing in through the identity provider', () => {
  it('makes somebody who was never here, with the roles of the claim and no second factor of ours', async () => {
    const person = knownPerson({ roles: ['boss', 'coordinator', 'somewhere-else'] })
    const browser = house.visitor()
    const { answer } = await comeThrough(browser, person.sub, '/desk/sources')
    expect([answer.status, answer.body.next, answer.body.codesFirst]).toEqual([200, '/desk/sources', false])
    expect(answer.body.account).toMatchObject({
      name: person.name,
      mail: person.mail,
      roles: ['administrator', 'coordinator'],
      throughProvider: true,
    })
    expect((await browser.call('listColleagues')).status).toBe(200)
    const { events } = await browser.done('readTrail', { query: {} })
    expect(events.find(({ about }) => about === person.mail)?.what).toBe(
      'Came through House Identity for the first time, as administrator, coordinator',
    )
  })

  it('opens the account it opened before, whatever the address is by now, and follows the address', async () => {
    const person = knownPerson()
    const first = (await comeThrough(house.visitor(), person.sub)).answer.body.account!
    person.mail = 'married@house.example'
    const again = (await comeThrough(house.visitor(), person.sub)).answer.body.account!
    expect([again.id, again.mail]).toEqual([first.id, 'married@house.example'])
  })

  it('gives roles anew each time, and lets nobody in whose last role is gone', async () => {
    const person = knownPerson({ roles: ['boss'] })
    await comeThrough(house.visitor(), person.sub)
    person.roles = ['coordinator']
    expect((await comeThrough(house.visitor(), person.sub)).answer.body.account!.roles).toEqual(['coordinator'])
    person.roles = ['nothing-here']
    const { answer } = await comeThrough(house.visitor(), person.sub)
    expect([answer.status, answer.body.code]).toEqual([403, 'no-role'])
    delete person.roles
    expect((await comeThrough(house.visitor(), person.sub)).answer.body.code).toBe('no-role')
  })

  it('joins the account somebody was invited to, and its password and its link open nothing from then on', async () => {
    const boss = knownPerson({ roles: ['boss'] })
    const administrator = house.visitor()
    await comeThrough(administrator, boss.sub)
    const mail = 'invited@house.example'
    await administrator.done('inviteColleague', {
      body: { name: 'In Vited', mail, roles: ['reviewer'], language: 'en' },
    })
    const token = tokenIn((await house.mailTo(mail)).text, 'join')
    const person = knownPerson({ mail })
    expect((await comeThrough(house.visitor(), person.sub)).answer.body.account!.roles).toEqual(['coordinator'])
    const late = await house.visitor().call('acceptInvitation', { params: { token }, body: { password } })
    expect(late.status).toBe(410)
    const typed = await house.visitor().call('signIn', { body: { mail, password: 'none' } })
    expect([typed.status, typed.body.code]).toEqual([401, 'wrong-mail-or-password'])
  })

  it('leaves the roles as the desk gave them where the provider is to say nothing about roles', async () => {
    const settings = house.fixed.config.identityProvider!
    const { rolesClaim } = settings
    settings.rolesClaim = ''
    const mail = (await (await house.staff('auditor')).done('readAccount')).mail
    const invited = await comeThrough(house.visitor(), knownPerson({ mail, roles: ['boss'] }).sub)
    const unknown = await comeThrough(house.visitor(), knownPerson({ roles: ['boss'] }).sub)
    settings.rolesClaim = rolesClaim
    expect(invited.answer.body.account!.roles).toEqual(['auditor'])
    expect(unknown.answer.body.code).toBe('no-role')
  })

  it('takes no account by an address the provider has not confirmed, and none of a candidate', async () => {
    const desk = await house.staff('reviewer')
    const { mail } = await desk.done('readAccount')
    const impostor = knownPerson({ mail, mailVerified: false })
    expect((await comeThrough(house.visitor(), impostor.sub)).answer.body.code).toBe('no-address')
    const candidate = await house.candidate('Ada Grau')
    const same = knownPerson({ mail: candidate.mail })
    expect((await comeThrough(house.visitor(), same.sub)).answer.body.code).toBe('address-taken')
  })

  it('lets nobody in who was suspended here', async () => {
    const person = knownPerson()
    const { answer } = await comeThrough(house.visitor(), person.sub)
    await Account.update({ suspendedAt: new Date() }, { where: { id: answer.body.account!.id } })
    expect((await comeThrough(house.visitor(), person.sub)).answer.body.code).toBe('suspended')
  })

  it('says so where the person is turned away at the provider, and where it does not answer', async () => {
    const { answer } = await comeThrough(house.visitor(), '')
    expect([answer.status, answer.body.code]).toEqual([403, 'provider-refused'])
    expect(answer.body.title).toContain('access_denied')
  })
})

describe('The way back', () => {
  it('leads back once, also when two come at the same moment', async () => {
    const person = knownPerson()
    const browser = house.visitor()
    const { address } = await browser.done('leaveForProvider', { body: {} })
    const search = await chooseAt(address, person.sub)
    const both = await Promise.all([1, 2].map(() => browser.call('returnFromProvider', { body: { search } })))
    expect(both.map(({ status }) => status).sort()).toEqual([200, 410])
    expect(await Account.count({ where: { mail: person.mail } })).toBe(1)
  })

  it('leads back only in the browser it began in', async () => {
    const person = knownPerson()
    const { address } = await house.visitor().done('leaveForProvider', { body: {} })
    const search = await chooseAt(address, person.sub)
    const other = house.visitor()
    await other.done('leaveForProvider', { body: {} })
    const answer = await other.call('returnFromProvider', { body: { search } })
    expect([answer.status, answer.body.code]).toEqual([410, 'sign-in-over'])
  })

  it('is over after a quarter of an hour', async () => {
    const person = knownPerson()
    const browser = house.visitor()
    const { address } = await browser.done('leaveForProvider', { body: {} })
    const search = await chooseAt(address, person.sub)
    await ProviderSignIn.update({ expiresAt: new Date(Date.now() - 1) }, { where: {} })
    expect((await browser.call('returnFromProvider', { body: { search } })).body.code).toBe('sign-in-over')
  })

  it('takes no code that was meant for another way', async () => {
    const [one, two] = [knownPerson(), knownPerson()]
    const browser = house.visitor()
    const first = await browser.done('leaveForProvider', { body: {} })
    const stolen = new URLSearchParams(await chooseAt(first.address, one.sub))
    const second = await browser.done('leaveForProvider', { body: {} })
    const own = new URLSearchParams(await chooseAt(second.address, two.sub))
    own.set('code', stolen.get('code')!)
    const answer = await browser.call('returnFromProvider', { body: { search: `?${own}` } })
    expect([answer.status, answer.body.code]).toEqual([403, 'provider-refused'])
  })
})

describe('Who comes through the provider', () => {
  it('shows there that it is still they, for what asks for a password', async () => {
    const person = knownPerson({ roles: ['boss'] })
    const browser = house.visitor()
    await comeThrough(browser, person.sub)
    const { Session } = await import('#server/records/accounts/model')
    await Session.update({ confirmedAt: new Date(0) }, { where: {} })
    expect((await browser.call('readConfirmed')).body.code).toBe('password-again')
    const { address } = await browser.done('confirmThroughProvider')
    const asked = new URL(address).searchParams
    expect([asked.get('prompt'), asked.get('max_age'), asked.get('login_hint')]).toEqual(['login', '0', person.mail])
    const search = await chooseAt(address, person.sub)
    expect((await browser.done('returnFromProvider', { body: { search } })).confirmed).toBe(true)
    expect((await browser.call('readConfirmed')).status).toBe(200)
  })

  it('is not confirmed by somebody else', async () => {
    const [person, other] = [knownPerson(), knownPerson()]
    const browser = house.visitor()
    await comeThrough(browser, person.sub)
    const { address } = await browser.done('confirmThroughProvider')
    const search = await chooseAt(address, other.sub)
    const answer = await browser.call('returnFromProvider', { body: { search } })
    expect([answer.status, answer.body.code]).toEqual([403, 'somebody-else'])
  })

  it('is told by mail where to sign in when a new password is asked for', async () => {
    const person = knownPerson()
    await comeThrough(house.visitor(), person.sub)
    await house.visitor().done('askReset', { body: { mail: person.mail } })
    expect((await house.mailTo(person.mail, 'How you sign in')).text).toContain('House Identity')
  })

  it('signs in by password as well with a break-glass account, and everybody who looks after people is told', async () => {
    const person = knownPerson({ roles: ['boss'] })
    const browser = house.visitor()
    const { answer } = await comeThrough(browser, person.sub)
    const { id } = answer.body.account!
    const { colleagues } = await browser.done('listColleagues')
    const { version } = colleagues.find((one) => one.id === id)!
    await browser.done('setBreakGlass', { params: { id }, body: { version, breakGlass: true } })
    await house.visitor().done('askReset', { body: { mail: person.mail } })
    const token = /new-password\/([\w-]+)/.exec((await house.mailTo(person.mail, 'new password')).text)![1]!
    const next = 'quiet-harbour-at-seven'
    await house.visitor().done('resetPassword', { body: { token, password: next } })
    const signedIn = await house.visitor().done('signIn', { body: { mail: person.mail, password: next } })
    // By password our own second factor is asked for again.
    expect([signedIn.account!.throughProvider, signedIn.codesFirst]).toEqual([false, true])
    expect((await house.mailTo(person.mail, 'by password')).text).toContain(person.name)
  })

  it('goes on looking after people and rights where the claim would leave nobody who does', async () => {
    const last = knownPerson({ roles: ['boss'] })
    const { answer } = await comeThrough(house.visitor(), last.sub)
    const everybody = await Account.findAll()
    const others = everybody.filter(
      ({ id, roles }) => id !== answer.body.account!.id && roles.includes('administrator'),
    )
    await Account.update({ suspendedAt: new Date() }, { where: { id: others.map(({ id }) => id) } })
    last.roles = ['coordinator']
    const again = await comeThrough(house.visitor(), last.sub)
    expect(again.answer.body.account!.roles).toEqual(['coordinator', 'administrator'])
  })
})

test('setting up says whether the provider answers, and where it has to send people back to', async () => {
  const settings = house.fixed.config.identityProvider!
  const looked = (issuer: string) =>
    checkIdentityProvider({ identityProvider: { ...settings, issuer }, publicUrl: 'https://jobs.example.org' })
  const [fine] = await looked(settings.issuer)
  expect([fine!.state, fine!.said]).toEqual([
    'fine',
    'House Identity answers; it has to send people back to https://jobs.example.org/sign-in/return',
  ])
  const [silent] = await looked('http://127.0.0.1:1')
  expect([silent!.state, silent!.said]).toEqual(['care', expect.stringContaining('Look at OIDC_ISSUER')])
  expect(await checkIdentityProvider({ identityProvider: undefined, publicUrl: 'https://jobs.example.org' })).toEqual(
    [],
  )
})
