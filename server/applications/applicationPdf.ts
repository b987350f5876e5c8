import type { ClaimDetails } from '#contract/claims'
import { writeWhen } from '#core/dates/write'
import { writeMomentAt } from '#core/dates/zoned'
import { isAsked, isEmpty } from '#core/form/answer'
import { becauseKey, claimsIn, type Section } from '#core/form/form'
import type { Rules } from '#core/rules/rules'
import { credentialFieldWords } from '#core/words/credentials'
import { answerWords } from '#core/words/form'
import { say } from '#core/words/say'
import { translated } from '#core/words/translations'
import type { Letterhead } from '../platform/pdf/letterhead'
import { sheetPdf } from '../platform/pdf/sheetPdf'
import type { LoadedFile } from '../readiness/facts'
import type { Application } from '../records/applications/model'
import { labelOf } from '../records/claims/label'

type Sent = {
  from: Letterhead
  application: Pick<Application, 'answers'>
  rules: Rules
  file: LoadedFile
  title: string
  reference: string
  name: string
  sentAt: Date
  timeZone: string
}

/** The whole application as it was sent, to read and to keep. */
export function applicationPdf({
  from,
  application,
  rules,
  file,
  title,
  reference,
  name,
  sentAt,
  timeZone,
}: Sent): Promise<Buffer> {
  const asked = rules.form.filter((section) => isAsked(section, file.facts.answers))
  return sheetPdf(
    {
      from,
      title: say('status.pdf.title', { reference }),
      paragraphs: [say('status.pdf.about', { name, title })],
      facts: [[say('status.pdf.sent'), writeMomentAt(sentAt, timeZone)]],
      sections: asked.map((section) => ({
        heading: translated(section).title,
        facts: [...answered(section, application, file), ...claimed(section, file)],
      })),
    },
    sentAt,
  )
}

const answered = (section: Section, { answers }: Sent['application'], { facts }: LoadedFile) =>
  section.questions
    .filter((question) => isAsked(question, facts.answers))
    .flatMap((question): [string, string][] => {
      const answer = answers[question.key]
      if (answer === undefined || isEmpty(answer)) return []
      const because = answers[becauseKey(question.key)]
      const words = answerWords(question, answer)
      return [[translated(question).label, typeof because === 'string' && because ? `${words}: ${because}` : words]]
    })

function claimed(section: Section, { claims, documents }: LoadedFile): [string, string][] {
  return claims
    .filter(({ kind }) => claimsIn[section.holds]?.includes(kind))
    .map(({ id, details }) => {
      const papers = documents.filter(({ claimId }) => claimId === id).map(({ fileName }) => fileName)
      return [labelOf(details), [...detailsWords(details), ...papers].filter(Boolean).join(', ')]
    })
}

function detailsWords(details: ClaimDetails): string[] {
  if ('from' in details) {
    const to = details.to === 'present' ? say('status.pdf.now') : writeWhen(details.to)
    const what =
      details.kind === 'work' ? details.position : details.kind === 'study' ? details.number : details.country
    return [details.sourceName, what, say('status.pdf.span', { from: writeWhen(details.from), to })]
  }
  if (details.kind === 'paper') return []
  if (details.kind === 'attestation')
    return [details.sourceName, details.capacity, details.on ? writeWhen(details.on) : '', details.number]
  return [
    details.sourceName,
    details.number,
    details.through ? say('status.pdf.through', { day: writeWhen(details.through) }) : '',
    ...('credential' in details
      ? credentialFieldWords(details.credential, details.fields).map(({ label, words }) => `${label}: ${words}`)
      : []),
  ]
}
