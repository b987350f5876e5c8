import type { Readable } from 'node:stream'
import { finished } from 'node:stream/promises'
import { ZipFile } from 'yazl'
import { say } from '#core/words/say'
import { AccessLogEntry, Event } from '../platform/audit/model'
import { eventWords, eventWordsForCandidate } from '../platform/audit/wording'
import type { Account, Deps } from '../platform/deps'
import type { FileToKeep } from '../platform/http/serve'
import { Message } from '../platform/mail/model'
import { accountOfCandidate, candidateOf } from '../records/accounts/candidate'
import { applicationsOf } from '../records/applications/find'
import { Reopening, Snapshot } from '../records/applications/model'
import { claimFaces, claimsOf } from '../records/claims/view'
import { conversationsOf } from '../records/conversations/find'
import { streamBytes } from '../records/documents/bytes'
import { documentsOfCandidates, originalName } from '../records/documents/documents'
import { chargesOf, feeAnswersIn, paymentsOf } from '../records/fees/find'
import { HeardOfUs } from '../records/heard/model'
import { IncomingMail } from '../records/mails/model'
import { mattersOfCandidates } from '../records/matters/find'
import { noticesOf } from '../records/messages/notices'
import { Original } from '../records/originals/model'
import { permissionsOf } from '../records/permissions/permissions'
import { deliveriesBy, permissionsFor } from '../records/recipients/find'
import { Report } from '../records/reports/model'
import { titlesOfVacancies } from '../records/vacancies/vacancies'
import { vouchingsOf } from '../records/vouching/vouchings'

/** All that is known of a person, for themselves: JSON files, and every paper as it was sent. Streamed. */
export async function exportPersonalData(deps: Deps, actor: Account): Promise<FileToKeep> {
  const candidate = await candidateOf(deps, actor)
  const applications = await applicationsOf(candidate.id)
  const ids = applications.map(({ id }) => id)
  const [
    account,
    claims,
    documents,
    vouchings,
    permissions,
    messages,
    received,
    conversations,
    happenings,
    sights,
    reopenings,
    snapshots,
    reports,
    recipients,
    titles,
  ] = await Promise.all([
    accountOfCandidate(candidate.id),
    claimsOf(candidate.id).then((own) => claimFaces(own)),
    documentsOfCandidates([candidate.id]),
    vouchingsOf(ids),
    permissionsOf(ids),
    Message.findAll({ where: { candidateId: candidate.id }, order: ['createdAt'] }),
    IncomingMail.findAll({ where: { candidateId: candidate.id }, order: ['receivedAt'] }),
    conversationsOf(ids),
    Event.findAll({ where: { candidateId: candidate.id }, order: ['id'] }),
    AccessLogEntry.findAll({ where: { candidateId: candidate.id }, order: ['id'] }),
    Reopening.findAll({ where: { applicationId: ids }, order: ['askedAt'] }),
    Snapshot.findAll({ where: { applicationId: ids } }),
    Report.findAll({ where: { candidateId: candidate.id }, order: ['madeAt'] }),
    permissionsFor(candidate.id),
    titlesOfVacancies(applications.map(({ vacancyId }) => vacancyId)),
  ])
  const charges = await chargesOf(ids)
  const [given, payments] = await Promise.all([feeAnswersIn(ids), paymentsOf(charges.map(({ id }) => id))])
  const zip = new ZipFile()
  const addJson = (name: string, value: unknown) => zip.addBuffer(Buffer.from(JSON.stringify(value, null, 2)), name)
  const { name, born, otherNames, phone, createdAt } = candidate
  addJson('person.json', { name, born, otherNames, phone, mail: account.mail, language: account.language, createdAt })
  const { channels, phone: confirmedPhone, noPassingOn } = await noticesOf(account.id)
  addJson('notices.json', { channels, phone: confirmedPhone, noPassingOn })
  addJson('claims.json', claims)
  for (const application of applications) {
    const { id, reference, stage, answers, answeredAt, sentAt, targetStart } = application
    addJson(`applications/${reference ?? id}.json`, {
      vacancy: titles.get(application.vacancyId),
      reference,
      stage,
      sentAt,
      targetStart,
      answers,
      answeredAt,
      asSent: snapshots.find(({ applicationId }) => applicationId === id)?.content ?? null,
      reopened: reopenings.filter(({ applicationId }) => applicationId === id),
      vouching: vouchings
        .filter(({ applicationId }) => applicationId === id)
        .map(({ name: named, relation, state, askedAt }) => ({ name: named, relation, state, askedAt })),
    })
  }
  addJson(
    'fees.json',
    charges.map(({ id, applicationId, quote, total, owed, currency, dueOn, state, reference }) => ({
      ...{ application: applicationId, quote, total, owed, currency, dueOn, state, reference },
      given: given
        .filter((one) => one.applicationId === applicationId)
        .map(({ facts, leftOut }) => ({ facts, leftOut })),
      payments: (payments.get(id) ?? []).map(({ means, amount, state: paid, givenBack, settledAt }) => ({
        ...{ means, amount, state: paid, givenBack, settledAt },
      })),
    })),
  )
  addJson(
    'messages.json',
    messages.map(({ subject, text, createdAt: at, state }) => ({ at, subject, text, state })),
  )
  addJson(
    'received.json',
    received.map(({ fromMail, subject, text, encloses, receivedAt: at }) => ({
      at,
      fromMail,
      subject,
      text,
      encloses,
    })),
  )
  addJson(
    'asked.json',
    conversations.map(({ conversation: { askedAt, state }, entries }) => ({
      askedAt,
      state,
      entries: entries.map(({ at, name, via, text }) => ({ at, name, via, text })),
    })),
  )
  addJson(
    'declared.json',
    (await mattersOfCandidates([candidate.id])).map(
      ({ question, answer, explanation, outcome, reason, decidedAt }) => ({
        ...{ question, answer, explanation, outcome, reason, decidedAt },
      }),
    ),
  )
  addJson(
    'originals.json',
    (await Original.findAll({ where: { candidateId: candidate.id }, order: ['announcedAt'] })).map(
      ({ title, state, way, announcedAt, receivedAt, returnedAt, returnedTo, returnTracking }) => ({
        ...{ title, state, way, announcedAt, receivedAt, returnedAt, returnedTo, returnTracking },
      }),
    ),
  )
  addJson(
    'heard-of-us.json',
    (await HeardOfUs.findAll({ where: { candidateId: candidate.id } })).map(({ source, recommendedBy, saidAt }) => ({
      ...{ source, recommendedBy, saidAt },
    })),
  )
  addJson(
    'happenings.json',
    happenings.map((event) => ({ at: event.at, what: eventWordsForCandidate(event) ?? eventWords(event) })),
  )
  addJson(
    'seen-by.json',
    sights.map(({ at, who, what, reason }) => ({ at, who, what, reason })),
  )
  addJson(
    'reports.json',
    reports.map(({ reference, asAt, madeAt, madeBy, audience, revokedAt, content, jwt, sdJwt }) => ({
      ...{ reference, asAt, madeAt, madeBy, audience, revokedAt },
      // What was made for those who check us says things that are not for the person alone.
      ...(audience === 'inside' ? {} : { content, jwt, sdJwt }),
    })),
  )
  const deliveries = await deliveriesBy(recipients.map(({ id }) => id))
  addJson(
    'recipients.json',
    recipients.map(({ id, name, mail, purpose, fullName, given, signedOn, through, withdrawnAt }) => ({
      ...{ recipient: name, mail, purpose, signedBy: fullName, given, signedOn, through, withdrawnAt },
      received: deliveries
        .filter(({ permissionId }) => permissionId === id)
        .map(({ reportId, way, sentAt, linkEndsAt, openings, takenBackAt }) => ({
          ...{ report: reports.find((one) => one.id === reportId)?.reference, way, sentAt, linkEndsAt, openings },
          takenBackAt,
        })),
    })),
  )
  void addPapers(zip, [
    ...recipients.flatMap(({ id, sha256 }) => (sha256 ? [{ path: `recipients/${id}.pdf`, sha256 }] : [])),
    ...reports.flatMap(({ audience, reference, pdfSha256 }) =>
      audience === 'inside' ? [] : [{ path: `reports/${reference}.pdf`, sha256: pdfSha256 }],
    ),
    ...documents.flatMap(({ id, fileName, sha256, originalSha256 }) => [
      ...(sha256 ? [{ path: `papers/${id.slice(-6)} ${fileName}`, sha256 }] : []),
      ...(originalSha256 ? [{ path: `papers/${id.slice(-6)} ${originalName(fileName)}`, sha256: originalSha256 }] : []),
    ]),
    ...snapshots.flatMap(({ applicationId, pdfSha256 }) =>
      pdfSha256 ? [{ path: `applications/${applicationId}.pdf`, sha256: pdfSha256 }] : [],
    ),
    ...permissions.map(({ applicationId, sha256 }) => ({
      path: `applications/${applicationId} permission.pdf`,
      sha256,
    })),
  ])
  return {
    fileName: say('privacy.exportFile', { name }),
    mediaType: 'application/zip',
    body: zip.outputStream as Readable,
  }
}

/** One paper after the other, so that never more than one is in memory beyond what the reader has not taken yet. */
async function addPapers(zip: ZipFile, papers: readonly { path: string; sha256: string }[]) {
  try {
    for (const { path, sha256 } of papers) {
      const { body, size } = await streamBytes(sha256)
      zip.addReadStream(body, path, { compress: false, size })
      await finished(body)
    }
    zip.end()
  } catch (error) {
    ;(zip.outputStream as Readable).destroy(error as Error)
  }
}
