import { expect, test } from '@playwright/test'
import { createTransport } from 'nodemailer'
import { expectAccessible } from './accessible'
import { mailbox, mailTo, signIn, windowOf } from './people'
import { port } from './playwright.config'

const mail = 'maelle.dreau-okafor@mail.example'
const mark = process.env.E2E_RUNNING ?? 'once'

test('a question is asked on a phone, answered at the desk, and the answer to that mail is found in the file', async ({
  browser,
}) => {
  const candidate = await windowOf(browser, { width: 390, height: 844 })
  const desk = await windowOf(browser)
  await signIn(candidate, mail)
  await candidate
    .getByRole('link', { name: /electrical supervisor/i })
    .first()
    .click()
  await candidate.getByRole('button', { name: 'Ask something' }).click()
  await candidate.getByLabel('What it is about').selectOption({ label: 'First aid at work' })
  await candidate.getByLabel('Your question').fill(`Does a course abroad count? (${mark})`)
  await expectAccessible(candidate, 'asking us')
  await candidate.getByRole('button', { name: 'Send it' }).first().click()
  await expect(candidate.getByText(`Does a course abroad count? (${mark})`)).toBeVisible()

  await signIn(desk, 'ines@vallorne.example')
  const id = new URL(candidate.url()).pathname.split('/').at(-1)!
  await desk.goto(`/desk/verification/${id}`)
  const waiting = desk.getByRole('listitem').filter({ hasText: `(${mark})` })
  await expect(waiting.getByText(/^to answer by/)).toBeVisible()
  await waiting.getByLabel('Your answer').fill(`It does, with a copy. (${mark})`)
  await expectAccessible(desk, 'a question at the desk')
  await waiting.getByRole('button', { name: 'Send the answer' }).click()
  await expect(waiting.getByText('answered', { exact: true })).toBeVisible()
  await candidate.reload()
  await expect(candidate.getByText(`It does, with a copy. (${mark})`)).toBeVisible()

  const about = 'An answer to your question'
  expect((await mailTo(candidate, mail, about)).text).toContain(`It does, with a copy. (${mark})`)
  const mails = (await (
    await candidate.request.get(`${mailbox}/mailbox.json?to=${encodeURIComponent(mail)}`)
  ).json()) as { subject: string; text: string; headers: Record<string, string> }[]
  const answer = mails.find(({ text }) => text.includes(`It does, with a copy. (${mark})`))!
  const transport = createTransport({ host: '127.0.0.1', port: port + 4, ignoreTLS: true })
  await transport.sendMail({
    from: `Maëlle <${mail}>`,
    to: 'applications@vallorne.example',
    subject: `Re: ${answer.subject}`,
    inReplyTo: answer.headers['message-id']!,
    text: `Here is the copy. (${mark})`,
  })
  transport.close()
  await desk.reload()
  await expect(waiting.getByText(`Here is the copy. (${mark})`)).toBeVisible()
  await expect(waiting.getByText(/by mail$/)).toBeVisible()
  await waiting.getByRole('button', { name: 'It needs no answer' }).click()
  await expect(waiting.getByText('closed', { exact: true })).toBeVisible()
})
