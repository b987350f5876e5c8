import type { ClaimDetails } from '#contract/claims'
import { credentialKind } from '#core/catalogue/catalogue'
import { writeWhen } from '#core/dates/write'
import type { Answers } from '#core/form/answer'
import { saveAnswers } from '#server/applications/saveAnswers'
import { addClaim, uploadDocument } from '#server/claims/change'
import { inTransaction } from '#server/platform/database/connection'
import type { Account } from '#server/platform/deps'
import { claimedStatement } from '#server/records/enquiries/statement'
import { drawPdf, drawPhoto, type Paper } from './papers'
import type { CredentialPlan, JobPlan, PersonPlan, StudyPlan } from './plan'
import { sources } from './sources/sources'
import { depsAt, fullName, isoIn, nameOfSource, shifted, type World } from './world'

type PaperToPut = { what: Parameters<typeof uploadDocument>[3]; bytes: Buffer }

/** What people of the demo say of themselves, and the papers they show for it. */
export async function writeFile(
  world: World,
  plan: PersonPlan,
  actor: Account,
  applicationId: string,
  day: number,
): Promise<Map<string, string>> {
  const { sequelize } = world.fixed
  const deps = depsAt(world, day, 10)
  const complete = plan.sent !== undefined
  const [postcode = '', ...town] = plan.town.split(' ')
  const answers: Answers = {
    'about.givenNames': plan.given,
    'about.familyName': plan.family,
    ...(plan.former ? { 'about.formerName': plan.former } : {}),
    'about.born': plan.born,
    'contact.phone': plan.phone,
    'contact.home': { street: 'Dorfstrasse 4', postcode, town: town.join(' '), region: '', country: plan.country },
    ...(complete
      ? {
          'declare.dismissed': 'no',
          'declare.withdrawn': 'no',
          'declare.heights': 'yes',
          'declare.permit': 'yes',
          ...plan.declares,
        }
      : {}),
  }
  await inTransaction(sequelize, () =>
    saveAnswers(deps, actor, applicationId, { version: 0, changes: answers, section: 'about' }),
  )
  const ids = new Map<string, string>()
  const keep = async (key: string, details: ClaimDetails, paper: PaperToPut | undefined) => {
    const claim = await inTransaction(sequelize, () => addClaim(depsAt(world, day, 11 + ids.size), actor, details))
    ids.set(key, claim.id)
    if (paper)
      await inTransaction(sequelize, () =>
        uploadDocument(depsAt(world, day, 12 + ids.size), actor, claim.id, paper.what, paper.bytes),
      )
  }
  for (const [index, study] of plan.studies.entries()) {
    await keep(
      `study ${index + 1}`,
      studyDetails(world, study),
      study.paper === false
        ? undefined
        : {
            what: { fileName: `${study.award} ${plan.family}.pdf` },
            bytes: await drawPdf(studyPaper(world, plan, study)),
          },
    )
  }
  for (const [index, job] of plan.jobs.entries()) {
    await keep(
      `job ${index + 1}`,
      jobDetails(world, job),
      job.letter
        ? {
            what: { fileName: `Letter ${nameOfSource(world, job)}.pdf` },
            bytes: await drawPdf(jobPaper(world, plan, job)),
          }
        : undefined,
    )
  }
  for (const credential of plan.credentials) {
    const cutOff = plan.acts.some((act) => 'sendBack' in act && act.sendBack === credential.credential)
    const bytes =
      credential.credential === 'first-aid'
        ? drawPhoto(credentialPaper(world, plan, credential), { cutOff })
        : await drawPdf(credentialPaper(world, plan, credential))
    const extension = credential.credential === 'first-aid' ? 'png' : 'pdf'
    await keep(credential.credential, credentialDetails(world, credential), {
      what: {
        fileName: `${credentialKind(credential.credential)!.name} ${plan.family}.${extension}`,
        ...(credential.finalInDays === undefined
          ? {}
          : {
              part: 'receipt of application' as const,
              finalBy: isoIn(world, credential.finalInDays),
            }),
      },
      bytes,
    })
  }
  return ids
}

export const studyDetails = (
  world: World,
  { source, award, subject, level, field, number, from, to }: StudyPlan,
): ClaimDetails => ({
  kind: 'study',
  sourceId: world.sourceIds.get(source)!,
  sourceName: world.sourceNames.get(source)!,
  award,
  subject,
  level,
  field,
  number,
  from: shifted(world, from),
  to: shifted(world, to),
})

const jobDetails = (world: World, job: JobPlan): ClaimDetails => ({
  kind: 'work',
  sourceId: job.source ? world.sourceIds.get(job.source)! : null,
  sourceName: nameOfSource(world, job),
  activity: job.activity ?? 'employment',
  position: job.position,
  from: shifted(world, job.from),
  to: shifted(world, job.to),
  fullTimeShare: 100,
  tags: job.tags,
  confirmBy: '',
  mayAsk: job.mayAsk ?? 'now',
})

export const credentialDetails = (
  world: World,
  { credential, source, number, issuedDays, throughDays, fields }: CredentialPlan,
): ClaimDetails => ({
  kind: credentialKind(credential)!.claim,
  sourceId: world.sourceIds.get(source)!,
  sourceName: world.sourceNames.get(source)!,
  credential,
  number,
  issued: isoIn(world, issuedDays),
  through: typeof throughDays === 'number' ? isoIn(world, throughDays) : throughDays,
  ...(fields ? { fields } : {}),
})

const townOf = (key: string) => {
  const source = sources.find((candidate) => candidate.key === key)!
  return `${source.town}, ${source.country}`
}

const longAward: Record<string, string> = { MSc: 'Master of Science', BSc: 'Bachelor of Science' }

const studyPaper = (world: World, plan: PersonPlan, study: StudyPlan): Paper => ({
  issuer: world.sourceNames.get(study.source)!,
  place: townOf(study.source),
  heading: 'This is to certify that',
  number: study.printedNumber ?? study.number,
  signedBy: 'The registrar',
  on: writeWhen(shifted(world, study.to)),
  lines: [
    'the award named below has been conferred on',
    study.printedName ?? fullName(plan),
    `born ${writeWhen(plan.born)}`,
    longAward[study.award] ?? study.award,
    study.subject,
  ],
})

const jobPaper = (world: World, plan: PersonPlan, job: JobPlan): Paper => ({
  issuer: nameOfSource(world, job),
  place: townOf(job.source!),
  heading: 'Certificate of employment',
  signedBy: 'Human resources',
  on: writeWhen(isoIn(world, -40)),
  lines: [
    'We confirm that',
    fullName(plan),
    `has worked for us as ${job.position}`,
    `from ${writeWhen(shifted(world, job.from))}`,
    job.to === 'present' ? 'and still does.' : `to ${writeWhen(shifted(world, job.to))}.`,
  ],
})

const credentialPaper = (world: World, plan: PersonPlan, credential: CredentialPlan): Paper => ({
  issuer: world.sourceNames.get(credential.source)!,
  place: townOf(credential.source),
  heading:
    credential.finalInDays === undefined
      ? credentialKind(credential.credential)!.name
      : `Receipt of application: ${credentialKind(credential.credential)!.name}`,
  number: credential.number,
  signedBy: 'For the issuing office',
  on: `Issued ${writeWhen(isoIn(world, credential.issuedDays))}`,
  lines: [
    'issued to',
    fullName(plan),
    `born ${writeWhen(plan.born)}`,
    typeof credential.throughDays === 'number'
      ? `valid through ${writeWhen(isoIn(world, credential.throughDays))}`
      : 'does not expire',
  ],
})

/** What the coordinator reads off a paper: what is printed, which is mostly what was claimed. */
export function printedOn(plan: PersonPlan, key: string, details: ClaimDetails): Record<string, string> {
  const claimed = claimedStatement(details, { name: fullName(plan), born: plan.born })
  const study = key.startsWith('study') ? plan.studies[Number(key.split(' ')[1]) - 1] : undefined
  if (!study) return claimed
  return {
    ...claimed,
    award: longAward[study.award] ?? study.award,
    name: study.printedName ?? claimed.name!,
    number: study.printedNumber ?? claimed.number!,
  }
}
