import sharp from 'sharp'
import type { ClaimDetails } from '#contract/claims'
import { credentialKind } from '#core/catalogue/catalogue'
import type { Answers } from '#core/form/answer'
import { saveAnswers } from '#server/applications/saveAnswers'
import { addClaim, uploadDocument } from '#server/claims/change'
import { inTransaction } from '#server/platform/database/connection'
import type { Account } from '#server/platform/deps'
import { people } from './people/people'
import type { CredentialPlan, JobPlan, PersonPlan, StudyPlan } from './plan'
import { credentialPaper, drawnPaper, jobPaper, studyPaper } from './printed'
import { depsAt, isoIn, nameOfSource, shifted, type World } from './world'

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
            bytes: await drawnPaper(studyPaper(world, plan, study)),
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
            bytes: await drawnPaper(jobPaper(world, plan, job)),
          }
        : undefined,
    )
  }
  for (const credential of plan.credentials) {
    const printed = credentialPaper(world, plan, credential)
    const { bytes, extension } = credential.copyOf
      ? { bytes: await copiedPaper(world, credential.copyOf, credential), extension: 'jpg' }
      : { bytes: await drawnPaper(printed), extension: printed.photographed ? 'png' : 'pdf' }
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

/** Somebody else's paper of the same kind, as it comes out of a phone: a little turned, smaller, and compressed. */
async function copiedPaper(world: World, family: string, { credential }: CredentialPlan): Promise<Buffer> {
  const owner = people.find((one) => one.family === family)!
  const own = owner.credentials.find((one) => one.credential === credential)!
  const picture = await sharp(await drawnPaper(credentialPaper(world, owner, own)))
    .rotate(1.2, { background: '#ece8df' })
    .png()
    .toBuffer()
  const { width = 1 } = await sharp(picture).metadata()
  return sharp(picture)
    .resize({ width: Math.round(width * 0.8) })
    .jpeg({ quality: 60 })
    .toBuffer()
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
