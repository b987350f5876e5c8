import type { Temporal } from 'temporal-polyfill'
import { credentialKind } from '../catalogue/catalogue'
import type { CefrLevel } from '../catalogue/cefr'
import { partialDate } from '../dates/partialDate'
import { attestationForms } from '../documents/attestation'
import { type Answers, answeredKeys, factsOfAnswers } from '../form/answer'
import { choicesOf, type Form } from '../form/form'
import type { ClaimFacts, FileFacts, Rung } from '../requirements/requirement'

/** A person who does not exist, described in the few words that rules look at. */
export type MadeUp = {
  answers: Answers
  study?: { level: number; field: string; accredited: boolean; rung: Rung }
  credentials: readonly { credential: string; rung: Rung; through: string }[]
  languages?: readonly { language: string; level: CefrLevel }[]
  work?: { months: number; tags: readonly string[]; rung: Rung }
  checksPassed: readonly string[]
  permissionSigned: boolean
}

/**
 * The file that somebody described so would have on a day. A claim that is more than claimed has its document seen; what it is
 * for is enough, and whoever has to vouch for a paper does.
 */
export function fileOfMadeUp(
  madeUp: MadeUp,
  form: Form,
  today: Temporal.PlainDate,
  targetStart: Temporal.PlainDate,
): FileFacts {
  const facts = factsOfAnswers(form, madeUp.answers)
  const { study, work } = madeUp
  const claims: ClaimFacts[] = [
    ...(study ? [claim('study', 'study', 'the study', study.rung, { ...study })] : []),
    ...madeUp.credentials.map(({ credential, rung, through }, index) =>
      claim('certificate', `paper ${index}`, 'the paper', rung, {
        credential,
        amounts: enoughOf(credential),
        term: { through: through === 'does not expire' ? through : through ? partialDate(through) : 'unknown' },
      }),
    ),
    ...(madeUp.languages ?? []).map(({ language: key, level }, index) =>
      claim('language', `language ${index}`, 'the language', 'confirmed', { language: { key, level } }),
    ),
    ...(work
      ? [
          claim('work', 'work', 'the job', work.rung, {
            entry: {
              id: 'work',
              from: partialDate(today.subtract({ months: work.months }).toString()),
              to: 'present',
              tags: ['employment', ...work.tags],
            },
          }),
        ]
      : []),
  ]
  return {
    today,
    targetStart,
    claims: [...claims, ...claims.flatMap(vouchedFor)],
    answers: facts,
    blankAnswers: answeredKeys(form, madeUp.answers),
    skills: madeUp.checksPassed.map((check) => ({ check, state: 'marked', percent: 100, passed: true })),
    permissionSigned: madeUp.permissionSigned,
    // Whoever is made up and signs, signs for everybody they choose.
    authorised: madeUp.permissionSigned
      ? form.flatMap(({ questions }) => questions.flatMap((question) => choicesOf(question)))
      : [],
    offer: 'none',
    onboarding: [],
    waivers: [],
  }
}

function claim(kind: ClaimFacts['kind'], id: string, label: string, rung: Rung, more: Partial<ClaimFacts>): ClaimFacts {
  return {
    kind,
    id,
    label,
    paper: rung === 'claimed' ? 'none' : 'seen',
    enquiry: rung === 'asked' ? 'open' : 'none',
    ...more,
    rung,
  }
}

const enoughOf = (credential: string) =>
  Object.fromEntries(
    (credentialKind(credential)?.fields ?? []).flatMap(({ key, kind }) =>
      kind === 'money' || kind === 'number' ? [[key, Number.MAX_SAFE_INTEGER]] : [],
    ),
  )

const vouchedFor = ({ id, rung }: ClaimFacts): ClaimFacts[] =>
  rung === 'claimed'
    ? []
    : attestationForms.map((form) =>
        claim('attestation', `${id} ${form}`, form, 'confirmed', { attests: { of: id, form } }),
      )
