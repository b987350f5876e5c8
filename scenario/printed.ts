import { credentialKind } from '#core/catalogue/catalogue'
import type { FieldKey } from '#core/comparison/compareClaim'
import { writeWhen } from '#core/dates/write'
import { drawPdf, drawPhoto, type Paper } from './papers'
import type { CredentialPlan, JobPlan, PersonPlan, StudyPlan } from './plan'
import { sources } from './sources/sources'
import { fullName, isoIn, nameOfSource, shifted, type World } from './world'

/** A paper of the demo: how it is drawn, and what it says, field by field, for measuring what a machine reads on it. */
export type Printed = {
  paper: Paper
  says: Partial<Record<FieldKey, string>>
  /** Taken with a camera; `cut off` at the foot. */
  photographed?: 'whole' | 'cut off'
}

export const drawnPaper = ({ paper, photographed }: Printed): Promise<Buffer> =>
  photographed ? Promise.resolve(drawPhoto(paper, { cutOff: photographed === 'cut off' })) : drawPdf(paper)

const longAward: Record<string, string> = { MSc: 'Master of Science', BSc: 'Bachelor of Science' }

export function studyPaper(world: World, plan: PersonPlan, study: StudyPlan): Printed {
  const says = {
    name: study.printedName ?? fullName(plan),
    born: plan.born,
    award: longAward[study.award] ?? study.award,
    subject: study.subject,
    number: study.printedNumber ?? study.number,
    awarded: shifted(world, study.to),
  }
  const paper = {
    issuer: world.sourceNames.get(study.source)!,
    place: townOf(study.source),
    heading: 'This is to certify that',
    number: says.number,
    signedBy: 'The registrar',
    on: writeWhen(says.awarded),
    lines: [
      'the award named below has been conferred on',
      says.name,
      `born ${writeWhen(plan.born)}`,
      says.award,
      study.subject,
    ],
  }
  return { paper, says }
}

export function jobPaper(world: World, plan: PersonPlan, job: JobPlan): Printed {
  const [from, to] = [shifted(world, job.from), job.to === 'present' ? 'present' : shifted(world, job.to)]
  const says = { name: fullName(plan), position: job.position, from, ...(to === 'present' ? {} : { to }) }
  const paper = {
    issuer: nameOfSource(world, job),
    place: townOf(job.source!),
    heading: 'Certificate of employment',
    signedBy: 'Human resources',
    signed: job.unsigned ? undefined : fullName(plan).length,
    on: writeWhen(isoIn(world, -40)),
    lines: [
      'We confirm that',
      fullName(plan),
      `has worked for us as ${job.position}`,
      `from ${writeWhen(from)}`,
      to === 'present' ? 'and still does.' : `to ${writeWhen(to)}.`,
    ],
  }
  return { paper, says }
}

export function credentialPaper(world: World, plan: PersonPlan, credential: CredentialPlan): Printed {
  const { name: title } = credentialKind(credential.credential)!
  const issued = isoIn(world, credential.issuedDays)
  const through = typeof credential.throughDays === 'number' ? isoIn(world, credential.throughDays) : undefined
  const says = {
    name: fullName(plan),
    born: plan.born,
    title,
    number: credential.number,
    issued,
    ...(through ? { through } : {}),
  }
  const paper = {
    issuer: world.sourceNames.get(credential.source)!,
    place: townOf(credential.source),
    heading: credential.finalInDays === undefined ? title : `Receipt of application: ${title}`,
    number: credential.number,
    signedBy: 'For the issuing office',
    on: `Issued ${writeWhen(issued)}`,
    lines: [
      'issued to',
      fullName(plan),
      `born ${writeWhen(plan.born)}`,
      through ? `valid through ${writeWhen(through)}` : 'does not expire',
    ],
  }
  if (credential.credential !== 'first-aid') return { paper, says }
  const cutOff = plan.acts.some((act) => 'sendBack' in act && act.sendBack === credential.credential)
  return { paper, says, photographed: cutOff ? 'cut off' : 'whole' }
}

const townOf = (key: string) => {
  const source = sources.find((candidate) => candidate.key === key)!
  return `${source.town}, ${source.country}`
}
