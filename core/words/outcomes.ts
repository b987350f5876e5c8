import { writeDays, writeWhen } from '../dates/write'
import type { Outcome, OutcomeReason, Step, Who } from '../requirements/requirement'
import type { Right } from '../rights/rights'
import type { Standing } from '../validity/validity'
import { credentialAmountWords } from './requirements'
import { say } from './say'
import { termsWords } from './standing'
import { writeValue } from './stored'

/** Why an outcome is as it is, as a sentence for the desk. */
export function outcomeWords(
  outcome: Pick<Outcome, 'reason' | 'title'>,
  nameOf: (key: string) => string = (key) => key,
): string {
  return reasonWords(outcome.reason, nameOf)
}

function reasonWords(reason: OutcomeReason, nameOf: (key: string) => string): string {
  const whom = 'source' in reason && reason.source ? reason.source : say('reason.theSource')
  const claim = () => ('claim' in reason && reason.claim ? writeValue(reason.claim) : '')
  switch (reason.code) {
    case 'met':
      return reason.claim ? say('reason.metBy', { claim: claim() }) : say('reason.met')
    case 'confirmed-since':
      return reason.until
        ? say('reason.confirmedUntil', {
            claim: claim(),
            since: writeWhen(reason.since),
            until: writeWhen(reason.until),
          })
        : say('reason.confirmedSince', { claim: claim(), since: writeWhen(reason.since) })
    case 'confirmed-long-ago':
      return say('reason.confirmedLongAgo', {
        claim: claim(),
        since: writeWhen(reason.since),
        until: writeWhen(reason.until ?? reason.since),
      })
    case 'waived':
      return say('reason.waived', { by: reason.by, reason: reason.reason })
    case 'exempt':
      return say('reason.exempt', { because: reason.because })
    case 'condition-false':
      return say('reason.conditionFalse')
    case 'condition-undecided':
      return say('reason.conditionUndecided', {
        questions: reason.deciding.map(nameOf).join(', '),
      })
    case 'answer-missing':
      return say('reason.answerMissing')
    case 'nothing-claimed':
      return say('reason.nothingClaimed')
    case 'paper-missing':
      return say('reason.paperMissing', { claim: claim() })
    case 'paper-to-look-at':
      return say('reason.paperToLookAt', { claim: claim() })
    case 'paper-sent-back':
      return say('reason.paperSentBack', { claim: claim() })
    case 'to-ask':
      return say('reason.toAsk', { claim: claim(), whom })
    case 'asked':
      return say('reason.asked', { claim: claim(), whom })
    case 'reply-in':
      return say('reason.replyIn', { claim: claim(), whom })
    case 'source-silent':
      return say('reason.sourceSilent', { claim: claim(), whom })
    case 'source-declined':
      return say('reason.sourceDeclined', { claim: claim(), whom })
    case 'contradicted':
      return say('reason.contradicted', { claim: claim() })
    case 'unconfirmable':
      return say('reason.unconfirmable', { claim: claim(), whom })
    case 'lapses-early':
      return say('reason.lapsesEarly', {
        claim: claim(),
        lastDay: writeWhen(reason.lastDay),
        shortBy: writeDays(reason.shortBy),
        needed: writeWhen(reason.needed),
      })
    case 'begins-late':
      return say('reason.beginsLate', {
        claim: claim(),
        firstDay: writeWhen(reason.firstDay),
        lateBy: writeDays(reason.lateBy),
        needed: writeWhen(reason.needed),
      })
    case 'met-for-now':
      return say('reason.metForNow', { claim: claim(), finalBy: writeWhen(reason.finalBy) })
    case 'interim-over':
      return say('reason.interimOver', { claim: claim(), finalBy: writeWhen(reason.finalBy) })
    case 'interim-not-enough':
      return say('reason.interimNotEnough', { claim: claim() })
    case 'portrait-none':
    case 'portrait-to look at':
    case 'portrait-sent back':
    case 'portrait-other':
      return say(`reason.${reason.code}`, { claim: claim() })
    case 'validity-unknown':
      return say('reason.validityUnknown', { claim: claim() })
    case 'decision-open':
      return say(`reason.decisionOpen.${reason.review}`, { claim: claim() })
    case 'letter-lacks':
      return say('reason.letterLacks', {
        claim: claim(),
        parts: reason.parts.map((part) => say(`reason.letterPart.${part}`)).join(', '),
      })
    case 'not-certified':
      return say('reason.notCertified', {
        claim: claim(),
        forms: reason.forms.map((form) => say(`names.attestation.${form}`)).join(say('condition.or')),
      })
    case 'series-open':
      return say('reason.seriesOpen', {
        claim: claim(),
        given: reason.given,
        of: reason.of,
        next: reason.next ? say('reason.nextDue', { day: writeWhen(reason.next) }) : '',
      })
    case 'too-low':
      return say('reason.tooLow', {
        claim: claim(),
        given: credentialAmountWords(reason.credential, reason.field, reason.given),
        needed: credentialAmountWords(reason.credential, reason.field, reason.needed),
      })
    case 'too-young':
    case 'too-old':
      return say(`reason.${reason.code}`, { age: reason.age, day: writeWhen(reason.on), needed: reason.needed })
    case 'standing':
      return say('reason.standing', { claim: claim(), standing: onTerms(reason.standing, reason) })
    case 'restricted':
      return say('reason.restricted', { claim: claim(), standing: onTerms('restricted', reason) })
    case 'gaps':
      return say('reason.gaps', {
        days: writeDays(reason.days),
        from: writeWhen(reason.first.from),
        through: writeWhen(reason.first.through),
        more: reason.count > 1 ? say('reason.andMore', { count: reason.count - 1 }) : '',
      })
    case 'possible-gaps':
      return say('reason.possibleGaps', {
        days: writeDays(reason.days),
      })
    case 'too-little-experience':
      return say('reason.tooLittleExperience', {
        months: monthsWords(reason.months),
        needed: monthsWords(reason.needed),
      })
    case 'experience-unclear':
      return say('reason.experienceUnclear', {
        least: monthsWords(reason.least),
        most: monthsWords(reason.most),
        needed: monthsWords(reason.needed),
        jobs: reason.inexact.map(writeValue).join(', '),
      })
    case 'no-work-entries':
      return say('reason.noWorkEntries')
    case 'work-open':
      return say('reason.workOpen', {
        open: reason.open,
        of: reason.of,
        claim: claim(),
      })
    case 'check-not-sat':
      return say('reason.checkNotSat')
    case 'check-under-way':
      return say('reason.checkUnderWay')
    case 'check-failed':
      return say('reason.checkFailed', { percent: reason.percent })
    case 'check-passed':
      return say('reason.checkPassed', { percent: reason.percent })
    case 'answer-other':
      return say('reason.answerOther', { answer: reason.answer, needed: reason.needed })
    case 'matter-settled':
    case 'matter-conditions':
    case 'matter-refused':
      return say(`reason.${reason.code}`, { on: writeWhen(reason.on) })
    case 'condition-met':
    case 'condition-missing':
    case 'condition-sent back':
    case 'condition-in the post':
    case 'condition-not come':
    case 'condition-to look at':
      return say(`reason.${reason.code}`, {
        source: reason.source || say('reason.theSource'),
        what: say(`condition.source.${reason.condition}`),
        because: reason.because,
      })
    case 'too-few-references':
      return say('reason.tooFewReferences', {
        confirmed: reason.confirmed,
        needed: reason.needed,
        asked: reason.asked > 0 ? say('reason.askedToo', { asked: reason.asked }) : '',
      })
    case 'too-few-vouch':
      return say('reason.tooFewVouch', {
        done: reason.done,
        needed: reason.needed,
        asked: reason.asked > reason.done ? say('reason.askedToo', { asked: reason.asked - reason.done }) : '',
      })
    case 'recipient-closed':
      return say('reason.recipientClosed', { recipient: writeValue(reason.recipient), because: reason.because })
    case 'recipient-not-authorised':
      return say('reason.recipientNotAuthorised', { recipient: writeValue(reason.recipient), count: reason.count })
    case 'fee-open':
      return say(reason.charged ? 'reason.notPaid' : 'reason.feeToCome')
    case 'fee-asked':
      return say('reason.feeAsked')
    case 'not-signed':
      return say('reason.notSigned')
    case 'no-offer':
      return say('reason.noOffer')
    case 'offer-open':
      return say('reason.offerOpen')
    case 'offer-expired':
      return say('reason.offerExpired')
    case 'offer-declined':
      return say('reason.offerDeclined')
    case 'task-open':
      return say('reason.taskOpen')
  }
}

/** The right by which somebody at the desk takes a step; candidates and sources are not at the desk. */
const rightFor: Record<Who, Right | undefined> = {
  candidate: undefined,
  desk: 'proof.settle',
  source: undefined,
  employer: undefined,
  'hiring manager': 'offers.make',
}

/** Whose turn it is and for what, in a few words for a list on the desk: "You" only where it is the reader. */
export function ballWords({ who, what }: Step, rights: readonly Right[]): string {
  const right = rightFor[who]
  const isReader = right !== undefined && rights.includes(right)
  return say('step.turn', {
    who: say(isReader ? 'step.who.reader' : `step.who.${who}`),
    what: say(`step.what.${what}`),
  })
}

const monthsWords = (months: number) =>
  [
    months >= 12 ? say('dates.years', { years: Math.floor(months / 12) }) : '',
    months % 12 || months < 12 ? say('dates.months', { months: months % 12 }) : '',
  ]
    .filter(Boolean)
    .join(' ')

/** A standing, with its terms where it has any. */
const onTerms = (standing: Standing['state'], reason: Pick<Standing, 'terms' | 'termsSaid'>): string =>
  [say(`names.standing.${standing}`), termsWords(reason)].filter(Boolean).join(': ')
