import { type FirstStep, firstSteps } from '#contract/firstSteps'
import { writeValue } from '#core/words/stored'
import { readSetting, readVersioned, writeSetting } from '../platform/database/settings'
import type { Account as Actor, Deps } from '../platform/deps'
import { countMailTo } from '../platform/http/limits'
import { hashOf, newToken } from '../platform/http/tokens'
import { Message } from '../platform/mail/model'
import { queueMail } from '../platform/mail/queueMail'
import { colleagues } from '../records/accounts/staff'
import { Source } from '../records/sources/model'
import { allVacancies } from '../records/vacancies/vacancies'
import { problems } from './problems'

type TestMail = { tokenHash: string; to: string; messageId: string | null; arrivedAt: string | null }

/** What is still to be done before the first application can come. */
export async function readFirstSteps(deps: Deps) {
  const [left, testMail, { version }, people, vacancies, sources] = await Promise.all([
    leftForLater(),
    readSetting<TestMail>('test-mail'),
    readVersioned('organisation'),
    colleagues(),
    allVacancies(),
    Source.count({ where: { retiredAt: null } as never }),
  ])
  const { name, contact, town, country } = deps.organisation
  const done: Record<FirstStep, boolean> = {
    organisation: version > 0 && name !== '' && contact !== '' && town !== '',
    holidays: country !== 'ZZ',
    mail: Boolean(testMail?.arrivedAt),
    colleagues: people.filter(({ suspendedAt }) => !suspendedAt).length > 1,
    source: sources > 0,
    vacancy: vacancies.some(({ state }) => state !== 'draft'),
  }
  return {
    steps: firstSteps.map((step) => ({ step, done: done[step], later: left.includes(step) })),
    testMail: testMail ? await stateOf(testMail) : null,
  }
}

async function stateOf({ to, messageId, arrivedAt }: TestMail) {
  const message = messageId ? await Message.findByPk(messageId) : null
  const because = message?.refusedBecause ? writeValue(message.refusedBecause) : null
  if (arrivedAt) return { to, state: 'arrived' as const, because: null }
  if (message?.state === 'refused') return { to, state: 'refused' as const, because }
  return { to, state: message?.state === 'accepted' ? ('taken' as const) : ('on its way' as const), because }
}

/** A row for each step, so that two who leave different ones do not write over each other. */
const nameOfLeft = (step: FirstStep) => `first-step-later ${step}`

async function leftForLater(): Promise<FirstStep[]> {
  const left = await Promise.all(firstSteps.map((step) => readSetting<boolean>(nameOfLeft(step))))
  return firstSteps.filter((_, nth) => left[nth] === true)
}

export async function leaveForLater(step: FirstStep, later: boolean) {
  await writeSetting(nameOfLeft(step), later)
  return { done: true as const }
}

/** Mails the asker a link, which shows that mails go out and arrive. */
export async function sendTestMail(deps: Deps, actor: Actor) {
  await countMailTo(deps, actor.mail)
  const { token, tokenHash } = newToken()
  await queueMail(deps, {
    to: { name: actor.name, mail: actor.mail },
    words: 'testMail',
    values: { organisation: deps.organisation.name, link: `${deps.config.publicUrl}/desk/first-steps?mail=${token}` },
  })
  const message = await Message.findOne({ where: { toMail: actor.mail }, order: [['id', 'DESC']] })
  const testMail: TestMail = { tokenHash, to: actor.mail, messageId: message?.id ?? null, arrivedAt: null }
  await writeSetting('test-mail', testMail)
  return { done: true as const }
}

/** Notes that the test mail has arrived. Throws where it was another. */
export async function confirmTestMail({ clock }: Deps, token: string) {
  const testMail = await readSetting<TestMail>('test-mail')
  if (!testMail || testMail.tokenHash !== hashOf(token)) throw problems.anotherTestMail()
  if (!testMail.arrivedAt) await writeSetting('test-mail', { ...testMail, arrivedAt: clock.now().toISOString() })
  return { done: true as const }
}
