import { Op } from 'sequelize'
import { receiveMail } from '#server/incoming/mail/receiveMail'
import { sendMessages } from '#server/messages/bulk'
import { inTransaction } from '#server/platform/database/connection'
import type { Account, Deps } from '#server/platform/deps'
import { Message } from '#server/platform/mail/model'
import { mailDomain } from '#server/platform/outside/mail'
import { drawPdf } from './papers'

const reminder = {
  english: {
    subject: 'Your first day at {{vacancy}}',
    text: '{{givenName}}, you would begin with us on {{start}}. Please look at {{link}}: something still waits for you there.{% if contact %} You reach us at {{contact}}.{% endif %}',
  },
  german: {
    subject: 'Ihr erster Tag: {{vacancy}}',
    text: '{{givenName}}, Sie würden am {{start}} bei uns beginnen. Bitte sehen Sie nach unter {{link}}: dort wartet noch etwas auf Sie.',
  },
}

/** What was written back and forth lately: a message by mail and text, an answer with a paper, a letter from a stranger. */
export async function correspond(deps: Deps, coordinator: Account) {
  const latest = await Message.findOne({
    where: { toMail: 'maelle.dreau-okafor@mail.example', applicationId: { [Op.not]: null } },
    order: [['createdAt', 'DESC']],
    rejectOnEmpty: true,
  })
  await inTransaction(deps.sequelize, () =>
    sendMessages(deps, coordinator, reminder, [latest.applicationId!], { alsoByText: true }),
  )
  const paper = await drawPdf({
    issuer: 'Technische Hochschule Tannberg',
    place: 'Tannberg',
    heading: 'Transcript of records',
    number: 'TB-2016-7785',
    signedBy: 'For the registry',
    on: 'Issued 2016',
    lines: ['issued to', 'Maëlle Dréau-Okafor', 'Electrical Engineering'],
  })
  const mails = [
    {
      from: 'Maëlle Dréau-Okafor <maelle.dreau-okafor@mail.example>',
      subject: `Re: ${latest.subject}`,
      answers: `<${latest.id}@${mailDomain(deps.config.mailFrom)}>`,
      text: 'Thank you for looking into it so quickly. I enclose the transcript as well; is there anything else you need before the first day?',
      paper: { name: 'Transcript.pdf', bytes: paper },
    },
    {
      from: 'Ottilie Brandtner <o.brandtner@mail.example>',
      subject: 'The post at the middle station',
      text: 'Good day. I sent you my papers by post two weeks ago and have heard nothing. Did they arrive?',
    },
  ]
  for (const [nth, mail] of mails.entries())
    await receiveMail(deps, written(mail, `<demo-${nth + 1}@mail.example>`), /<(.*)>/.exec(mail.from)![1]!)
}

type Written = {
  from: string
  subject: string
  text: string
  answers?: string
  paper?: { name: string; bytes: Uint8Array }
}

/** A mail as it stands on the wire (RFC 5322, RFC 2045). */
function written({ from, subject, text, answers, paper }: Written, id: string): Buffer {
  const encoded = (words: string) => `=?utf-8?B?${Buffer.from(words).toString('base64')}?=`
  const base64 = (bytes: Uint8Array) => Buffer.from(bytes).toString('base64').replace(/.{76}/g, '$&\r\n')
  const head = [
    `From: ${from.replace(/^[^<]*[^< ]/, encoded)}`,
    'To: applications@vallorne.example',
    `Subject: ${encoded(subject)}`,
    `Message-ID: ${id}`,
    ...(answers ? [`In-Reply-To: ${answers}`, `References: ${answers}`] : []),
    'MIME-Version: 1.0',
    'Content-Type: multipart/mixed; boundary="part"',
    '',
  ]
  const parts = [
    ['Content-Type: text/plain; charset=utf-8', 'Content-Transfer-Encoding: base64', '', base64(Buffer.from(text))],
    ...(paper
      ? [
          [
            `Content-Type: application/pdf; name="${paper.name}"`,
            `Content-Disposition: attachment; filename="${paper.name}"`,
            'Content-Transfer-Encoding: base64',
            '',
            base64(paper.bytes),
          ],
        ]
      : []),
  ]
  return Buffer.from([...head, ...parts.flatMap((part) => ['--part', ...part]), '--part--', ''].join('\r\n'))
}
