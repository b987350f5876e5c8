import type { Temporal } from 'temporal-polyfill'
import { mondayToFriday } from '#core/calendar/workingDays'
import { workingDayAfter, workingDayTable } from '#core/calendar/workingDayTable'
import type { Chain, Task } from '#core/forecast/chains'
import { forecast } from '#core/forecast/forecast'
import { usual } from '#core/forecast/usual'
import type { HeardSource } from '#core/hiring/heard'
import type { Step } from '#core/requirements/requirement'
import type { Asked } from '#core/turnaround/backtest'
import type { Wait } from '#core/turnaround/kaplanMeier'
import { pooled } from '#core/turnaround/pooled'
import { type Chance, chance } from './chance'
import { familyNames, givenNames } from './names'
import type { Round } from './rounds'

/** A source that was asked before. */
export type PastSource = { id: string; name: string; kind: string; country: string; channels: readonly string[] }

/** One question of the past; days are counted from the day the demo is loaded, and negative. */
export type PastEnquiry = {
  source: PastSource
  of: 'study' | 'work'
  channel: 'link' | 'letter' | 'telephone'
  askedOn: number
  endedOn: number
  answered: boolean
  answerByOn: number
}

/** One application of the past, from its sending to its end. */
export type PastFile = {
  round: Round
  given: string
  family: string
  heard: HeardSource | null
  sentOn: number
  shortlistedOn: number | null
  offeredOn: number | null
  end: 'cleared' | 'declined' | 'turned down' | 'withdrawn'
  endedOn: number
  enquiries: PastEnquiry[]
  /** What was said when it was sent, by every twentieth of the futures, and when it was ready. */
  days: number[]
  readyOn: number | null
}

const perRound = 62
/** Nothing of the past is later than this: what is under way is played by the people of the demo. */
const lastDay = -15
/** The median of days a source takes, by its name, so that each keeps its ways. */
const medianOf = ({ name, kind }: PastSource) =>
  (kind === 'university' ? 7 : kind === 'school' ? 10 : 5) + ((name.length * 7 + name.charCodeAt(1)) % 13)
/** Some have grown slower in the last half-year. */
const slowerLately = ({ name }: PastSource, day: number) => (day > -183 && name.length % 5 === 0 ? 1.6 : 1)

/** Applications of the last eighteen months, each ended, with what became of the questions that were put for them. */
export function pastFiles(
  today: Temporal.PlainDate,
  rounds: readonly Round[],
  sources: readonly PastSource[],
): PastFile[] {
  const luck = chance('the past of Vallorne')
  const asked: Asked[] = []
  const begun = rounds.flatMap((round) =>
    Array.from({ length: perRound }, () => ({ round, sentOn: luck.between(round.opened, round.closed) })),
  )
  return begun
    .sort((a, b) => a.sentOn - b.sentOn)
    .map(({ round, sentOn }, nth) => fileOf(luck, today, { round, sentOn, nth }, sources, asked))
}

type Begun = { round: Round; sentOn: number; nth: number }

function fileOf(
  luck: Chance,
  today: Temporal.PlainDate,
  begun: Begun,
  sources: readonly PastSource[],
  asked: Asked[],
): PastFile {
  const { round, sentOn, nth } = begun
  const schools = sources.filter(({ kind }) => kind === 'university' || kind === 'school')
  const employers = sources.filter(({ kind }) => kind === 'employer')
  const named = [luck.among(schools), luck.among(employers), luck.among(employers), luck.among(employers)]
  const table = workingDayTable(today.add({ days: sentOn }), mondayToFriday)
  const said = forecast(
    { chains: chainsFor(named, asked, sentOn), calendars: new Map([['ours', table]]) },
    { start: 90, seed: `past ${nth}` },
  )
  const looked = named.map(() => workingDayAfter(table, 0, drawn(luck, 'look') + drawn(luck, 'ask')))
  const enquiries = named.map((source, at) =>
    enquiryOf(luck, source, at === 0 ? 'study' : 'work', sentOn + looked[at]!),
  )
  for (const { source, askedOn, endedOn, answered } of enquiries)
    asked.push({
      source: source.id,
      kind: source.kind,
      country: source.country,
      at: askedOn,
      endedAt: endedOn,
      answered,
    })
  const compared = enquiries.map(({ endedOn }) => workingDayAfter(table, endedOn - sentOn, drawn(luck, 'compare')))
  const check = workingDayAfter(table, 0, drawn(luck, 'sit check'))
  const proven = Math.max(check, ...compared)
  const offered = workingDayAfter(table, proven, drawn(luck, 'make offer'))
  const ready = workingDayAfter(table, workingDayAfter(table, offered, drawn(luck, 'sign')), drawn(luck, 'do task'))
  const shortlistedOn = sentOn + workingDayAfter(table, 0, luck.between(2, 14))
  return {
    ...{ round, sentOn, enquiries, days: said.days },
    ...{ given: luck.among(givenNames), family: luck.among(familyNames) },
    heard:
      luck.share() < 0.15
        ? null
        : luck.among([
            'our page',
            'job site',
            'job site',
            'somebody',
            'school',
            'fair',
            'employment office',
            'search',
            'news',
          ] as const),
    ...endOf(luck, round, { sentOn, shortlistedOn, offeredOn: sentOn + offered, readyOn: sentOn + ready }),
  }
}

type Course = { sentOn: number; shortlistedOn: number; offeredOn: number; readyOn: number }

/** How far it came: one of six is cleared, and most of those who are not hear so by the promised day. */
function endOf(luck: Chance, { decides }: Round, { sentOn, shortlistedOn, offeredOn, readyOn }: Course) {
  const none = { shortlistedOn: null, offeredOn: null, readyOn: null }
  const told = () => Math.min(lastDay, Math.max(sentOn + 3, decides + luck.between(-14, luck.share() < 0.15 ? 12 : 0)))
  const fate = luck.share()
  if (fate < 0.3) return { ...none, end: 'turned down' as const, endedOn: told() }
  if (fate < 0.4) return { ...none, end: 'withdrawn' as const, endedOn: sentOn + luck.daysAround(12) }
  const shortlisted = { ...none, shortlistedOn: Math.max(sentOn + 1, shortlistedOn) }
  if (fate < 0.68) return { ...shortlisted, end: 'turned down' as const, endedOn: Math.max(told(), shortlistedOn + 2) }
  if (fate < 0.74) return { ...shortlisted, end: 'withdrawn' as const, endedOn: shortlistedOn + luck.daysAround(9) }
  const late = Math.max(offeredOn, shortlistedOn + 1)
  if (fate < 0.8)
    return { ...shortlisted, offeredOn: late, end: 'declined' as const, endedOn: late + luck.daysAround(5) }
  if (readyOn > lastDay) return { ...shortlisted, end: 'turned down' as const, endedOn: lastDay }
  return {
    shortlistedOn: shortlisted.shortlistedOn,
    offeredOn: late,
    readyOn,
    end: 'cleared' as const,
    endedOn: readyOn + luck.between(0, 2),
  }
}

function enquiryOf(luck: Chance, source: PastSource, of: PastEnquiry['of'], askedOn: number): PastEnquiry {
  const byTelephone = source.channels.includes('telephone') && luck.share() < 0.4
  const byLetter = source.channels.includes('letter') && !source.channels.includes('link')
  const channel = byTelephone ? 'telephone' : byLetter ? 'letter' : 'link'
  const median = medianOf(source) * slowerLately(source, askedOn) + (byLetter ? 6 : 0)
  const days = byTelephone ? luck.daysAround(3) : luck.daysAround(median)
  const answered = days < 70 && luck.share() > 0.04
  return {
    ...{ source, of, channel, askedOn, answered, answerByOn: askedOn + 14 },
    endedOn: Math.min(lastDay, askedOn + (answered ? days : 60)),
  }
}

/** Working days a step takes, as it is assumed to: early, likely, late. */
function drawn(luck: Chance, what: Step['what']): number {
  const [early, likely, late] = usual[what]
  const share = luck.share()
  const turn = (likely - early) / (late - early)
  return Math.round(
    share < turn
      ? early + Math.sqrt(share * (late - early) * (likely - early))
      : late - Math.sqrt((1 - share) * (late - early) * (late - likely)),
  )
}

/** The open steps on the day it was sent, by what was known of sources then. */
function chainsFor(named: readonly PastSource[], asked: readonly Asked[], today: number): Chain[] {
  const step = (who: Step['who'], what: Step['what'], work: string): Task => {
    const [early, likely, late] = usual[what]
    return {
      work: `${work} ${what}`,
      step: { who, what },
      calendar: 'ours',
      took: { kind: 'assumed', early, likely, late, waited: 0 },
    }
  }
  const proofs = named.map((source, nth): Chain => {
    const { curve } = pooled(waitsBy(source, asked, today))
    const reply = step('source', 'reply', `${nth}`)
    const known: Task = curve.rate > 0 ? { ...reply, took: { kind: 'measured', curve, in: 'days', waited: 0 } } : reply
    return {
      ...{ requirement: `proof ${nth}`, after: [] },
      tasks: [step('desk', 'look', `${nth}`), step('desk', 'ask', `${nth}`), known, step('desk', 'compare', `${nth}`)],
    }
  })
  return [
    ...proofs,
    { requirement: 'check', tasks: [step('candidate', 'sit check', 'check')], after: [] },
    {
      requirement: 'offer',
      tasks: [step('hiring manager', 'make offer', 'offer'), step('candidate', 'sign', 'offer')],
      after: [...proofs.keys(), proofs.length],
    },
    { requirement: 'task', tasks: [step('candidate', 'do task', 'task')], after: [proofs.length + 1] },
  ]
}

/** What was known of a source and its like by a day. */
function waitsBy(source: PastSource, asked: readonly Asked[], today: number) {
  const before = asked.filter(({ at }) => at < today).slice(-400)
  const wait = ({ at, endedAt, answered }: Asked): Wait =>
    endedAt !== null && endedAt <= today ? { days: endedAt - at, ended: answered } : { days: today - at, ended: false }
  const others = before.filter((one) => one.source !== source.id)
  return {
    source: asked.filter((one) => one.source === source.id && one.at < today).map(wait),
    'kind and country': others.filter((one) => one.kind === source.kind && one.country === source.country).map(wait),
    kind: others.filter((one) => one.kind === source.kind && one.country !== source.country).map(wait),
    all: others.filter((one) => one.kind !== source.kind).map(wait),
  }
}
