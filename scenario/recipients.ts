import { inTransaction } from '#server/platform/database/connection'
import { listOwnRecipients } from '#server/recipients/list'
import { permitRecipient } from '#server/recipients/permit'
import { takeBackOwnRecord } from '#server/recipients/takeBack'
import { accountOfCandidate } from '#server/records/accounts/candidate'
import { actorOf, Candidate } from '#server/records/accounts/model'
import { depsAt, isoIn, type World } from './world'

/** Whom somebody of the demo has had told what has been proven of them: one who can read it, and one taken back. */
const sent = [
  {
    name: 'Mateo Lindqvist',
    recipient: { name: 'Brennach Mountain Rescue', mail: 'records@brennach-rescue.example', language: 'de' },
    purpose: 'Volunteer driver of the rescue train',
    way: 'pdf',
    takenBack: true,
  },
  {
    name: 'Mateo Lindqvist',
    recipient: { name: 'Lower Alps Rail Inspectorate', mail: 'register@lari.example', language: 'en' },
    purpose: 'Entry in the register of rack-railway drivers',
    way: 'link',
    takenBack: false,
  },
] as const

export async function sendToRecipients(world: World) {
  for (const [nth, { name, recipient, purpose, way, takenBack }] of sent.entries()) {
    const deps = depsAt(world, -1, 90 + nth)
    const { id } = await Candidate.findOne({ where: { name }, rejectOnEmpty: true })
    const actor = actorOf(await accountOfCandidate(id))
    await inTransaction(world.fixed.sequelize, async () => {
      const { claims } = await listOwnRecipients(deps, actor)
      const proven = claims.filter(({ rung }) => rung === 'confirmed').map((claim) => claim.id)
      const wish = { recipient, purpose, claims: proven, through: isoIn(world, 90), fullName: name, send: { way } }
      await permitRecipient(deps, actor, wish)
      if (!takenBack) return
      const [permission] = (await listOwnRecipients(deps, actor)).permissions
      await takeBackOwnRecord(depsAt(world, -1, 95), actor, permission!.deliveries[0]!.id)
    })
  }
}
