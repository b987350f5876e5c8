import { usualChannels } from '#core/messages/notices'
import { changeClaim } from '#server/claims/change'
import { answerConversation } from '#server/conversations/answer'
import { startConversation } from '#server/conversations/ask'
import { raiseEnquiry } from '#server/enquiries/raise'
import { askRegister } from '#server/enquiries/register'
import { replyToEnquiry } from '#server/enquiries/reply'
import { answerOffer } from '#server/hiring/answerOffer'
import { doTask } from '#server/hiring/doTask'
import { passGate } from '#server/hiring/passGate'
import { waive } from '#server/hiring/waive'
import { receiveOriginal } from '#server/originals/keep'
import { inTransaction } from '#server/platform/database/connection'
import type { Account, Deps } from '#server/platform/deps'
import { hashOf } from '#server/platform/http/tokens'
import { Message } from '#server/platform/mail/model'
import { applicationById } from '#server/records/applications/find'
import { Claim } from '#server/records/claims/model'
import { claimFaces } from '#server/records/claims/view'
import { Conversation } from '#server/records/conversations/model'
import { Enquiry, EnquiryLink } from '#server/records/enquiries/model'
import { NoticeChoice } from '#server/records/messages/notices'
import { bankOf } from '#server/records/skills/checks'
import { Sitting } from '#server/records/skills/model'
import { vacancyById } from '#server/records/vacancies/vacancies'
import { beginSitting, handInSitting, saveSittingAnswer } from '#server/skills/sit'
import { decideClaim } from '#server/verification/decide'
import { seeDocument, sendDocumentBack } from '#server/verification/documents'
import type { Act, ActName, ActNamed, PersonPlan } from './plan'
import { readOff } from './readOff'
import { registersOf } from './registers'
import { fullName, shifted, type World } from './world'

/** One act of a person's story: who they are, what they have claimed, and the moment it happens at. */
export type Scene = {
  world: World
  plan: PersonPlan
  actor: Account
  applicationId: string
  claimIds: Map<string, string>
  deps: Deps
}

/** How each kind of act is done. Whoever adds one to the plan is asked for it here. */
const performances: { [Name in ActName]: (scene: Scene, act: ActNamed<Name>) => Promise<unknown> } = {
  see: async (scene, act) => {
    const view = await viewOf(claimOf(scene, act.see))
    const document = view.documents.find(({ state }) => state === 'to look at')
    if (!document) throw new Error(`${scene.plan.family}: nothing to look at for ${act.see}`)
    const seen = await readOff(scene.deps, document.id)
    await within(scene, () =>
      seeDocument(scene.deps, deskOf(scene), document.id, { version: document.version, ...seen }),
    )
  },
  sendBack: async (scene, { sendBack, reason }) => {
    const { id, version } = (await viewOf(claimOf(scene, sendBack))).documents[0]!
    await within(scene, () => sendDocumentBack(scene.deps, deskOf(scene), id, { version, reason }))
  },
  ask: (scene, { ask, by }) =>
    within(scene, () =>
      raiseEnquiry(scene.deps, deskOf(scene), claimOf(scene, ask), scene.applicationId, by ? { channel: by } : {}),
    ),
  question: (scene, { question, about }) =>
    within(scene, () =>
      startConversation(scene.deps, scene.actor, scene.applicationId, {
        about: about ? { kind: 'claim', key: claimOf(scene, about) } : { kind: 'nothing' },
        text: question,
      }),
    ),
  answerQuestion: async (scene, { answerQuestion: text }) => {
    const { id, version } = await Conversation.findOne({
      where: { applicationId: scene.applicationId, state: 'waiting' },
      rejectOnEmpty: true,
    })
    await within(scene, () => answerConversation(scene.deps, deskOf(scene), id, { version, text }))
  },
  tellByText: async ({ actor: { id: accountId }, deps }, { tellByText: phone }) => {
    const channels = { ...usualChannels, 'to do': ['mail', 'text'] as const }
    await NoticeChoice.create({ accountId, channels, phone, phoneConfirmedAt: deps.clock.now(), version: 1 })
  },
  original: async (scene, { original, place }) => {
    const { documents } = await viewOf(claimOf(scene, original))
    const received = { document: documents[0]!.id, way: 'in person' as const, from: fullName(scene.plan), place }
    await within(scene, () => receiveOriginal(scene.deps, deskOf(scene), scene.applicationId, received))
  },
  answer,
  register: (scene, { register }) =>
    askRegister(
      { ...scene.deps, registers: registersOf(scene.world) },
      deskOf(scene),
      claimOf(scene, register),
      scene.applicationId,
    ),
  decide: async (scene, { decide, as, note = '' }) => {
    const claimId = claimOf(scene, decide)
    const { version } = await viewOf(claimId)
    await within(scene, () => decideClaim(scene.deps, deskOf(scene), claimId, { version, decision: as, note }))
  },
  check: sit,
  pass: async (scene, { pass }) => {
    const { deps, applicationId } = scene
    const application = await applicationById(applicationId)
    const { payFrom, payTo } = await vacancyById(application.vacancyId)
    const isOffer = pass === 'offer'
    const terms = isOffer
      ? {
          salary: Math.round((payFrom + payTo) / 200_000) * 100_000,
          answerBy: deps.clock.today().add({ days: 9 }).toString(),
        }
      : {}
    const by = isOffer ? managerOf(scene) : deskOf(scene)
    await within(scene, () => passGate(deps, by, applicationId, { gate: pass, version: application.version, ...terms }))
  },
  waive: (scene, { waive: requirement, reason }) =>
    within(scene, () => waive(scene.deps, managerOf(scene), scene.applicationId, { requirement, reason })),
  accept: (scene) => within(scene, () => answerOffer(scene.deps, scene.actor, scene.applicationId, 'accepted')),
  acknowledge: (scene, { acknowledge }) =>
    within(scene, () => doTask(scene.deps, scene.actor, scene.applicationId, acknowledge)),
  shorten: correctEnd,
}

/** Does one of the acts of the plan, at the moment of the scene. */
export async function perform(scene: Scene, act: Act) {
  const name = (Object.keys(performances) as ActName[]).find((candidate) => candidate in act)!
  await (performances[name] as (scene: Scene, act: Act) => Promise<unknown>)(scene, act)
}

const within = <T>({ world }: Scene, work: () => Promise<T>) => inTransaction(world.fixed.sequelize, work)
const deskOf = ({ world }: Scene) => world.desk.coordinator!
const managerOf = ({ world }: Scene) => world.desk['hiring manager']!

function claimOf({ claimIds, plan }: Scene, key: string): string {
  const id = claimIds.get(key)
  if (!id) throw new Error(`${plan.family} has no ${key}`)
  return id
}

/** A correction the candidate made after sending: the job ended earlier than first said. */
async function correctEnd(scene: Scene, { shorten, to }: ActNamed<'shorten'>) {
  const claimId = claimOf(scene, shorten)
  const { details, version } = await viewOf(claimId)
  if (details.kind !== 'work') throw new Error('only jobs are shortened')
  await Claim.update({ rung: 'evidenced' }, { where: { id: claimId } })
  const shortened = { ...details, to: shifted(scene.world, to) }
  await within(scene, () => changeClaim(scene.deps, scene.actor, claimId, version, shortened))
}

async function answer(scene: Scene, act: ActNamed<'answer'>) {
  const { world, deps } = scene
  const claimId = claimOf(scene, act.answer)
  const enquiry = await Enquiry.findOne({ where: { claimId, state: 'open' }, rejectOnEmpty: true })
  const mails = await Message.findAll({ where: { applicationId: enquiry.applicationId }, order: [['id', 'DESC']] })
  const tokens = mails.flatMap(({ text }) => /\/reply\/([\w-]+)/.exec(text)?.[1] ?? [])
  const links = await EnquiryLink.findAll({ where: { batchId: enquiry.batchId } })
  const token = tokens.find((candidate) => links.some(({ tokenHash }) => tokenHash === hashOf(candidate)))!
  const fields = Object.fromEntries(
    Object.keys(enquiry.claimed).map((key) => {
      const value = act.differs?.[key]
      if (value !== undefined)
        return [key, { says: 'differs' as const, value: /^\d{4}-/.test(value) ? shifted(world, value) : value }]
      return [key, act.cannotSay?.includes(key) ? { says: 'cannot say' as const } : { says: 'agrees' as const }]
    }),
  )
  await within(scene, () =>
    replyToEnquiry(deps, token, {
      known: !act.unknown,
      fields,
      note: act.note ?? '',
      respondent: act.by ?? 'Registrar’s office',
      capacity: '',
    }),
  )
}

async function sit(scene: Scene, { check: right }: ActNamed<'check'>) {
  const { actor, applicationId, deps } = scene
  const { id } = await within(scene, () => beginSitting(deps, actor, applicationId, 'isolation'))
  const bank = new Map((await bankOf('isolation')).map((question) => [question.id, question]))
  const { paper } = await Sitting.findByPk(id, { rejectOnEmpty: true })
  for (const [index, { question }] of paper.entries()) {
    const option = bank.get(question)!.options.find((candidate) => candidate.right === index < right)!
    await within(scene, () => saveSittingAnswer(deps, actor, id, question, [option.id]))
  }
  await within(scene, () => handInSitting(deps, actor, id))
}

const viewOf = async (claimId: string) =>
  (await claimFaces([await Claim.findByPk(claimId, { rejectOnEmpty: true })]))[0]!
