import type { FileClaim } from '#contract/desk'
import type { Contract } from '#contract/index'
import type { Proof } from '#contract/verification'
import type { Right } from '#core/rights/rights'

export type Act =
  | 'look'
  | 'confirm'
  | 'note'
  | 'register'
  | 'ask'
  | 'again'
  | 'contradict'
  | 'unconfirmable'
  | 'candidate'
  | 'anew'

type Reader = { rights: readonly Right[]; may: (name: keyof Contract) => boolean }

const actOf = {
  confirmed: 'confirm',
  'confirmed with a note': 'note',
  contradicted: 'contradict',
  'ask again': 'again',
} as const

/**
 * What somebody may do about a claim, in the order the buttons stand, and which of them is the main one: to look at a
 * document nobody has seen, then what the evidence proposes, then whatever brings evidence. Where an answer proposes no
 * decision, no button is the main one, and asking again comes before deciding.
 */
export function actsFor(
  claim: Pick<FileClaim, 'rung' | 'details' | 'documents' | 'confirmed'>,
  proof: Proof,
  { rights, may }: Reader,
): { acts: Act[]; main: Act | undefined } {
  const stale = Boolean(claim.confirmed?.stale)
  const settled = (claim.rung === 'confirmed' && !stale) || claim.rung === 'waived'
  const open = proof.enquiries.some(({ state }) => state === 'open' || state === 'prepared')
  // What was answered before it was confirmed long ago decides nothing anew.
  const answered = proof.comparison.outcome !== 'no reply' && !open && !stale
  const asked = proof.enquiries.length > 0
  // What a body says of a licence may have changed since: one that is not good can be asked about anew, settled or not.
  const standsAgainst = proof.standing !== null && proof.standing.state !== 'good'
  const decides = may('decideClaim') && !settled
  const decided = proof.findings.some(({ undone }) => !undone)
  const asks = may('raiseEnquiry') && !open
  const issued = !['paper', 'identity', 'residence'].includes(claim.details.kind)
  const allowed: Record<Act, boolean> = {
    look: mayLook(rights) && claim.documents.some(({ state }) => state === 'to look at'),
    confirm: decides && answered && proof.comparison.outcome === 'agrees',
    note: decides && answered && proof.comparison.outcome !== 'agrees',
    register: asks && proof.register && (standsAgainst || (!settled && !answered)),
    ask: asks && issued && !settled && !answered,
    again: asks && answered && (standsAgainst || !settled),
    contradict: decides && claim.rung !== 'contradicted' && asked,
    unconfirmable: decides && claim.rung !== 'unconfirmable' && asked && !answered,
    candidate: may('askAboutClaim') && !settled && claim.rung !== 'claimed',
    // What was decided is only decided anew, with its reason.
    anew: may('decideClaim') && settled && claim.rung !== 'waived' && decided,
  }
  const acts = (Object.keys(allowed) as Act[]).filter((act) => allowed[act])
  const proposed = proof.proposed && proof.proposed !== 'unconfirmable' ? actOf[proof.proposed] : undefined
  if (allowed.look) return { acts, main: 'look' }
  // Everything was tried: that is what is proposed, before anybody begins anew.
  if (proof.proposed === 'unconfirmable' && allowed.unconfirmable)
    return { acts: ['unconfirmable', ...acts.filter((act) => act !== 'unconfirmable')], main: 'unconfirmable' }
  if (!answered || settled) return { acts, main: acts.find((act) => act === 'register' || act === 'ask') }
  if (proposed && allowed[proposed])
    return { acts: [proposed, ...acts.filter((act) => act !== proposed)], main: proposed }
  const asking = (act: Act) => act === 'register' || act === 'again'
  return { acts: [...acts.filter(asking), ...acts.filter((act) => !asking(act))], main: undefined }
}

/** Whether somebody may open the documents of a file. */
export const mayLook = (rights: readonly Right[]) => rights.includes('documents.read')
