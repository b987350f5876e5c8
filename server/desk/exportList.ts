import { pipeline, Readable } from 'node:stream'
import { stringify } from 'csv-stringify'
import type { ListFilter, lists } from '#contract/lists'
import { say } from '#core/words/say'
import { readTrail } from '../audit/trail'
import { listDuplicates } from '../duplicates/find'
import { listEnquiries } from '../enquiries/queue'
import { listImports } from '../incoming/imports/imports'
import { readTray } from '../incoming/tray/tray'
import { readOutbox } from '../messages/outbox'
import { listBehalf } from '../onBehalf/behalf'
import { readSafe } from '../originals/read'
import { fingerprint } from '../platform/audit/fingerprint'
import { recordEvent } from '../platform/audit/record'
import type { Account, Deps } from '../platform/deps'
import { notFound } from '../platform/errors/problems'
import type { FileToKeep } from '../platform/http/serve'
import { readAccessLog } from '../privacy/accessLog'
import { candidateById } from '../records/accounts/candidate'
import { refusedPassingOn } from '../records/messages/notices'
import { wholeDirectory } from '../sources/directory'
import { deskVacancies } from '../vacancies/directory'
import { chosenIn, queueStretch } from './queue'
import { placeOf, tableRow, tableRows } from './table'

const chunk = 1000

const vacancyStages = ['being written', 'sent', 'shortlisted', 'offered', 'cleared'] as const

type List = (typeof lists)[number]

/** A row has a cell under each heading of its list, and no other. */
type Row<L extends List> = Record<(typeof headings)[L][number], string | number | null>

/** A list as CSV with the filters of its page, row by row, so that a hundred thousand take no more memory than a hundred. */
export async function exportList(deps: Deps, actor: Account, list: List, filter: ListFilter): Promise<FileToKeep> {
  if (list === 'access-log' && !(await candidateById(filter.candidate ?? ''))) throw notFound()
  await recordEvent(deps, actor, {
    code: 'list-exported',
    values: { list: { code: `list.${list}` } },
    details: { filter },
  })
  // A cell that begins like a formula is not one (CWE-1236).
  const columns = headings[list].map((key) => ({ key, header: headerOf(list, key) }))
  const csv = stringify({ header: true, columns, bom: true, record_delimiter: 'windows', escape_formulas: true })
  return {
    fileName: `${list} ${deps.clock.today()}.csv`,
    mediaType: 'text/csv; charset=utf-8',
    // What fails on the way ends the file where it stands, and so does who reads it no further.
    body: pipeline(Readable.from(linesOf[list](deps, actor, filter)), csv, () => undefined),
  }
}

/** What a list is headed by, also where nobody is in it. */
const headings = {
  applications: [
    'Name',
    'Reference',
    'Vacancy',
    'Stage',
    'Sent',
    'Met',
    'Of',
    'Eligible',
    'Honest blanks',
    'Changed since',
    'Scores',
    'Score in per cent',
    'Slack in days',
    'Likely ready',
    'Held up by',
    'May be passed on',
  ],
  queue: ['Name', 'Vacancy', 'Slack in days', 'Waiting', 'Marks'],
  behalf: [
    'Name',
    'Mail',
    'Vacancy',
    'Told us',
    'Written down by',
    'Begun',
    'Asked to take over',
    'Theirs to write',
    'Closes',
  ],
  tray: ['Paper', 'Came', 'Came at', 'Pages', 'Waits because', 'May belong to'],
  imports: ['File', 'Format', 'State', 'Rows', 'Done', 'By', 'At', 'Finished'],
  'access-log': ['Person', 'When', 'Who', 'Saw', 'Why'],
  sources: ['Source', 'Also called', 'Kind', 'Town', 'Country', 'Asked at', 'Register', 'Asked', 'Open', 'Median days'],
  enquiries: [
    'Reference',
    'Name',
    'Claim',
    'Source',
    'Country',
    'Way',
    'How far',
    'Turn',
    'Asked',
    'Due',
    'Slack in days',
  ],
  outbox: ['Written', 'To', 'Subject', 'State', 'Last said', 'Reference'],
  safe: ['Paper', 'Name', 'Reference', 'Place', 'Since', 'Days', 'Compared'],
  vacancies: ['Vacancy', 'Place', 'State', 'Closes', 'Target start', 'Posts', ...vacancyStages],
  trail: ['When', 'Who', 'What', 'About'],
  fingerprint: ['Chain', 'Link', 'Hash'],
  duplicates: ['One', 'Other', 'Likelihood', 'Agreeing'],
} as const satisfies Record<List, readonly string[]>

type Heading = (typeof headings)[List][number]
const isStage = (heading: Heading): heading is (typeof vacancyStages)[number] =>
  vacancyStages.some((stage) => stage === heading)

/** A heading in the reader's language; a fingerprint is read by a program. */
function headerOf(list: List, heading: Heading): string {
  if (list === 'fingerprint') return heading
  return isStage(heading) ? say(`state.stage.${heading}`) : say(`list.column.${heading}`)
}

const yesOrNo = (value: boolean) => say(value ? 'names.answer.yes' : 'names.answer.no')

async function* enquiryLines(deps: Deps, actor: Account, filter: ListFilter) {
  for (let after: string | null | undefined; after !== null; ) {
    const { rows, next } = await listEnquiries(deps, actor, { ...filter, ...(after ? { after } : {}) })
    for (const row of rows)
      yield {
        ...{ Reference: row.reference, Name: row.candidate, Claim: row.claim, Source: row.source.name },
        ...{ Country: row.source.country, Way: say(`sources.channel.${row.channel}`) },
        'How far': say(`enquiries.stage.${row.stage}`),
        Turn: say(`enquiries.turn.${row.turn}`),
        ...{ Asked: row.askedAt, Due: row.answerBy, 'Slack in days': row.slack },
      }
    after = next
  }
}

const linesOf: { [L in List]: (deps: Deps, actor: Account, filter: ListFilter) => AsyncGenerator<Row<L>> } = {
  enquiries: enquiryLines,
  async *applications(deps, actor, filter) {
    let coming = tableRows(deps, actor, filter, undefined, chunk)
    for (;;) {
      const rows = await coming
      const last = rows.length < chunk ? undefined : rows.at(-1)
      // The next are on their way while these are written.
      if (last) coming = tableRows(deps, actor, filter, placeOf(last, filter), chunk)
      coming.catch(() => undefined)
      const refused = await refusedPassingOn(rows.map(({ applicationId }) => applicationId))
      for (const row of rows) {
        const shown = tableRow(row)
        yield {
          Name: shown.name,
          Reference: shown.reference,
          Vacancy: shown.vacancy,
          Stage: say(`state.stage.${shown.stage}`),
          Sent: shown.sentAt,
          Met: shown.met.done,
          Of: shown.met.of,
          Eligible: shown.eligible,
          'Honest blanks': shown.blanks,
          'Changed since': shown.changes,
          Scores: shown.reviews,
          'Score in per cent': shown.score,
          'Slack in days': shown.slack,
          'Likely ready': shown.likely,
          'Held up by': shown.heldUpBy,
          'May be passed on': yesOrNo(!refused.has(shown.id)),
        }
      }
      if (!last) return
    }
  },
  async *queue(deps, actor, { queue = 'today', vacancy, whose }) {
    const chosen = await chosenIn(deps, actor, queue, { vacancy, whose })
    for (let after: string | undefined; ; ) {
      const { people, next } = await queueStretch(queue, chosen, after, chunk)
      for (const { candidate, vacancy: title, slack, why, marks } of people)
        yield { Name: candidate, Vacancy: title, 'Slack in days': slack, Waiting: why, Marks: marks.join('; ') }
      if (!next) return
      after = next
    }
  },
  async *behalf() {
    for (const { name, mail, title, how, by, at, askedAt, theirs, closesAt } of await listBehalf())
      yield {
        Name: name,
        Mail: mail,
        Vacancy: title,
        'Told us': how,
        'Written down by': by,
        Begun: at,
        'Asked to take over': askedAt,
        'Theirs to write': yesOrNo(theirs),
        Closes: closesAt,
      }
  },
  async *tray(deps) {
    for (const { fileName, came, cameAt, pages, why, guesses } of (await readTray(deps)).waiting)
      yield {
        Paper: fileName,
        Came: came,
        'Came at': cameAt,
        Pages: pages,
        'Waits because': why,
        'May belong to': guesses.map((guess) => `${guess.name}: ${guess.label}`).join('; '),
      }
  },
  async *imports() {
    for (const { fileName, format, state, total, done, by, at, finishedAt } of await listImports())
      yield {
        File: fileName,
        Format: format,
        State: state,
        Rows: total,
        Done: done,
        By: by,
        At: at,
        Finished: finishedAt,
      }
  },
  async *'access-log'(_deps, _actor, { candidate = '' }) {
    for (let before: string | undefined; ; ) {
      const { name, entries, next } = await readAccessLog(candidate, before)
      for (const { at, who, what, reason } of entries)
        yield { Person: name, When: at, Who: who, Saw: what, Why: reason }
      if (!next) return
      before = next
    }
  },
  async *sources(deps, actor) {
    for await (const source of wholeDirectory(deps, actor))
      yield {
        Source: source.name,
        'Also called': source.aliases.join('; '),
        Kind: say(`names.sourceKind.${source.kind}`),
        Town: source.town,
        Country: source.country,
        'Asked at': source.mail,
        Register: yesOrNo(source.register !== null),
        Asked: source.asked,
        Open: source.open,
        'Median days': source.medianDays,
      }
  },
  async *outbox(deps, actor) {
    for (const { at, to, subject, state, because, application } of await readOutbox(deps, actor))
      yield {
        Written: at,
        To: to,
        Subject: subject,
        State: state,
        'Last said': because,
        Reference: application?.reference ?? null,
      }
  },
  async *safe(deps, actor) {
    for (const { title, name, application, place, since, days, compared } of await readSafe(deps, actor))
      yield {
        Paper: title,
        Name: name,
        Reference: application.reference,
        Place: place,
        Since: since,
        Days: days,
        Compared: compared && say(`overviews.compared.${compared}`),
      }
  },
  async *vacancies(deps, actor) {
    for (const vacancy of await deskVacancies(deps, actor))
      yield {
        Vacancy: vacancy.title,
        Place: vacancy.place,
        State: say(`state.vacancyState.${vacancy.state}`),
        Closes: vacancy.closesAt,
        'Target start': vacancy.targetStart,
        Posts: vacancy.headcount,
        ...(Object.fromEntries(vacancyStages.map((stage) => [stage, vacancy.byStage[stage] ?? 0])) as Record<
          (typeof vacancyStages)[number],
          number
        >),
      }
  },
  async *trail(_deps, _actor, { text }) {
    for (let before: string | undefined; ; ) {
      const { events, next } = await readTrail({ before, text })
      for (const { at, who, what, about } of events) yield { When: at, Who: who, What: what, About: about }
      if (!next) return
      before = next
    }
  },
  fingerprint,
  async *duplicates(deps) {
    for (const { names, likelihood, agreeing } of (await listDuplicates(deps)).pairs)
      yield { One: names[0], Other: names[1], Likelihood: likelihood, Agreeing: agreeing.join(', ') }
  },
}
