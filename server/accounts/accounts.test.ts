import { generateSync } from 'otplib'
import { type House, openHouse } from '../../test/house'

let house: House
beforeAll(async () => {
  house = await openHouse('accounts')
}, 60_000)
afterAll(() => house.close())

const password = 'a-long-enough-secret'
const better = 'four grey chamois climbing'
const linkTo = (place: string, text: string) => new RegExp(`/${place}/([\\w-]+)`).exec(text)![1]!

test.each([
  ['passwordpassword', /easy to guess/],
  ['qwertyuiop12', /easy to guess/],
  ['Petronella-2026', /contains your name/],
  ['short', /At least 12 characters/],
])('“%s” is no password', async (weak, why) => {
  const refused = await house
    .visitor()
    .call('signUp', { body: { name: 'Petronella Weak', mail: 'petronella.weak@mail.test', password: weak } })
  expect(refused.status).toBe(422)
  expect(refused.body.faults).toEqual([{ pointer: '/body/password', message: expect.stringMatching(why) }])
})

describe('a forgotten password', () => {
  test('is set anew by a link that works once, and signs out everywhere', async () => {
    const candidate = await house.candidate('Forget Ful')
    const { mail } = candidate
    await house.visitor().done('askReset', { body: { mail } })
    const token = linkTo('new-password', (await house.mailTo(mail, 'Set a new password')).text)
    const elsewhere = house.visitor()
    const weak = await elsewhere.call('resetPassword', { body: { token, password: 'passwordpassword' } })
    expect(weak.status).toBe(422)
    await elsewhere.done('resetPassword', { body: { token, password: better } })
    expect((await candidate.done('readSession')).account).toBeNull()
    expect((await elsewhere.call('resetPassword', { body: { token, password: better } })).status).toBe(410)
    expect((await elsewhere.call('signIn', { body: { mail, password } })).status).toBe(401)
    await elsewhere.done('signIn', { body: { mail, password: better } })
    expect((await house.mailTo(mail, 'Your password was changed')).text).toContain('signed out everywhere')
  })

  test('tells nobody whether an address is known', async () => {
    const known = await house.candidate('Known Again')
    const replies = await Promise.all(
      [known.mail, 'never-seen-at-all@mail.test'].map((mail) => house.visitor().call('askReset', { body: { mail } })),
    )
    expect(replies[0]).toEqual(replies[1])
  })

  test('a link for one purpose does nothing for another', async () => {
    const { mail } = await house.candidate('Cross Purpose')
    await house.visitor().done('askReset', { body: { mail } })
    const token = linkTo('new-password', (await house.mailTo(mail, 'Set a new password')).text)
    expect((await house.visitor().call('confirmMail', { body: { token } })).status).toBe(410)
    expect((await house.visitor().call('confirmMailChange', { body: { token } })).status).toBe(410)
  })
})

test('one-time codes: asked for once on, no code twice, recovery codes once each', async () => {
  const candidate = await house.candidate('Code Keeper')
  const { mail } = candidate
  const wrong = await candidate.call('beginOneTimeCodes', { body: { password: 'not it at all' } })
  expect(wrong.body.faults).toEqual([{ pointer: '/body/password', message: 'This is not your password.' }])
  const { secret, address } = await candidate.done('beginOneTimeCodes', { body: { password } })
  expect(address).toMatch(/^otpauth:\/\/totp\//)
  // Not on before a code has proven that the secret arrived.
  await house.visitor().done('signIn', { body: { mail, password } })
  expect((await candidate.call('confirmOneTimeCodes', { body: { code: '12345' } })).status).toBe(422)
  const code = generateSync({ secret })
  const { recoveryCodes } = await candidate.done('confirmOneTimeCodes', { body: { code } })
  expect(new Set(recoveryCodes).size).toBe(10)

  const enter = (given?: string) =>
    house.visitor().call('signIn', { body: { mail, password, ...(given ? { code: given } : {}) } })
  expect((await enter()).body.code).toBe('code-needed')
  expect((await enter(code)).body.code).toBe('wrong-code')
  expect((await enter(recoveryCodes[0]!.toLowerCase())).status).toBe(200)
  expect((await enter(recoveryCodes[0])).body.code).toBe('wrong-code')
  expect((await enter(generateSync({ secret, epoch: Math.floor(Date.now() / 1000) + 30 }))).status).toBe(200)
  expect(await candidate.done('readAccount')).toMatchObject({ codesOn: true, recoveryCodesLeft: 9 })
  const drop = (given: string) => candidate.call('dropOneTimeCodes', { body: { password, code: given } })
  expect((await drop('000000')).body.faults?.[0]?.pointer).toBe('/body/code')
  expect((await drop(recoveryCodes[1]!)).status).toBe(200)
  await house.mailTo(mail, 'switched off')
  expect((await enter()).status).toBe(200)
})

test('a new password signs out everywhere else, and so does the act of its own', async () => {
  const candidate = await house.candidate('Every Where')
  const { mail } = candidate
  const other = house.visitor()
  await other.done('signIn', { body: { mail, password } })
  expect((await candidate.done('readAccount')).sessions).toBe(2)
  await candidate.done('changePassword', { body: { password, next: better } })
  expect((await other.done('readSession')).account).toBeNull()
  expect((await candidate.done('readSession')).account?.mail).toBe(mail)
  await other.done('signIn', { body: { mail, password: better } })
  expect(await candidate.done('signOutElsewhere')).toEqual({ ended: 1 })
  expect((await other.done('readSession')).account).toBeNull()
})

test('a mail address changes once both sides have agreed', async () => {
  const candidate = await house.candidate('Moving House')
  const { mail } = candidate
  const next = `moved-${Date.now()}@mail.test`
  await candidate.done('changeMail', { body: { password, mail: next } })
  expect((await candidate.done('readAccount')).newMail).toBe(next)
  const [leave, take] = [
    linkTo('mail', (await house.mailTo(mail, 'Change of your mail address')).text),
    linkTo('mail', (await house.mailTo(next, 'Confirm your new mail address')).text),
  ]
  const anywhere = house.visitor()
  expect(await anywhere.done('confirmMailChange', { body: { token: take } })).toEqual({
    changed: false,
    waitingFor: mail,
  })
  expect((await candidate.done('readAccount')).mail).toBe(mail)
  expect(await anywhere.done('confirmMailChange', { body: { token: leave } })).toEqual({
    changed: true,
    waitingFor: null,
  })
  expect((await candidate.done('readAccount')).mail).toBe(next)
  await anywhere.done('signIn', { body: { mail: next, password } })
})

test('an address that is somebody’s already is not taken, and its owner alone is told', async () => {
  const [candidate, owner] = [await house.candidate('Wants It'), await house.candidate('Has It')]
  await candidate.done('changeMail', { body: { password, mail: owner.mail } })
  expect((await house.mailTo(owner.mail, 'Confirm your new mail address')).text).toContain(
    'already belongs to an account',
  )
})

test('the password again is guessed only so often, though each try is refused', async () => {
  const candidate = await house.candidate('Guess Work')
  const tries = []
  for (let attempt = 0; attempt < 11; attempt += 1)
    tries.push(
      (await candidate.call('changePassword', { body: { password: `guess ${attempt}`, next: better } })).status,
    )
  expect(tries).toEqual([...Array(10).fill(422), 429])
})
