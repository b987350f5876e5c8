import { randomUUID } from 'node:crypto'
import type { Page } from '@playwright/test'
import type { Form } from '#core/form/form'
import { demoPassword } from '#scenario/staff'
import { visitor } from '../test/client'
import { linkIn, mailTo, signIn } from './people'
import { port } from './playwright.config'

const address = `http://127.0.0.1:${port}`

export async function deskVisitor(mail = 'ines@vallorne.example') {
  const desk = visitor(address)
  await desk.done('signIn', { body: { mail, password: demoPassword } })
  return desk
}

/** A post of its own that is open, with a form that a test needs. */
export async function openPost(title: string, form: Form, closesAt = new Date(Date.now() + 20 * 86_400_000)) {
  const desk = await deskVisitor()
  const { vacancies } = await desk.done('listVacancies')
  const like = vacancies.find(({ slug }) => slug === 'track-engineer')!
  const { id } = await desk.done('createVacancy', { body: { title, copyOf: like.id } })
  const { draft } = await desk.done('readDeskVacancy', { params: { id } })
  const saved = await desk.done('saveRulesDraft', {
    params: { id },
    body: { version: draft.version, rules: { form, requirements: [], onboarding: [] } },
  })
  await desk.done('publishRules', { params: { id }, body: { version: saved.version, note: '' } })
  const { version } = await desk.done('readDeskVacancy', { params: { id } })
  const changed = await desk.done('saveVacancy', {
    params: { id },
    body: {
      version,
      changes: { opensAt: new Date(Date.now() - 86_400_000).toISOString(), closesAt: closesAt.toISOString() },
    },
  })
  await desk.done('setVacancyState', { params: { id }, body: { version: changed.version, state: 'open' } })
  const { slug } = await desk.done('readDeskVacancy', { params: { id } })
  return { id, slug }
}

export const newPassword = 'seven quiet marmots'

/** Somebody new with a confirmed address, signed in. */
export async function newPerson(page: Page, name: string): Promise<string> {
  const mail = `${name.toLowerCase().replace(/[^a-z]/g, '.')}.${randomUUID().slice(0, 8)}@mail.example`
  const somebody = visitor(address)
  await somebody.done('signUp', { body: { name, mail, password: newPassword } })
  const link = linkIn((await mailTo(page, mail, 'Confirm your address')).text)
  await somebody.done('confirmMail', { body: { token: link.split('/').at(-1)! } })
  await signIn(page, mail, newPassword)
  return mail
}
