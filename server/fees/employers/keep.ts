import { literal, Op } from 'sequelize'
import { v7 as uuid } from 'uuid'
import type { EmployerDetail, EmployerTerms } from '#contract/employers'
import { say } from '#core/words/say'
import { recordEvent } from '../../platform/audit/record'
import { compareAndSet } from '../../platform/database/compareAndSet'
import type { Account, Deps } from '../../platform/deps'
import { invalidField } from '../../platform/errors/problems'
import { Employer, EmployerInvoice, employerById, PayerRequest } from '../../records/fees/employers'
import { lapse, newCode } from './ask'
import { employerView, invitePerson } from './own'
import { invoiceLines, requestLines } from './view'

/** Employers who pay for their people, by name. */
export async function listEmployers({ clock }: Deps) {
  const today = Employer.sequelize!.escape(clock.today().toString())
  const employers = await Employer.findAll({
    attributes: {
      include: [
        [
          literal(
            `(SELECT COUNT(*) FROM employer_invoices i WHERE i.employerId = Employer.id AND i.state = 'open' AND i.dueOn < ${today})`,
          ),
          'late',
        ],
        [
          literal(`(SELECT COUNT(*) FROM payer_requests r WHERE r.employerId = Employer.id AND r.state = 'asked')`),
          'asked',
        ],
      ],
    },
    order: ['name', 'id'],
    limit: 500,
  })
  return {
    employers: employers.map((employer) => {
      const { id, name, town, currency, owes, limit, closedAt } = employer
      return {
        ...{ id, name, town, currency, owes: owes ?? 0, limit: limit ?? null, closed: Boolean(closedAt) },
        ...{ late: Number(employer.get('late' as never)), asked: Number(employer.get('asked' as never)) },
      }
    }),
  }
}

/** Employers of whom somebody has to do something: an invoice is late, or more was paid than was owed. */
export const countLateInvoices = ({ clock }: Deps): Promise<number> =>
  EmployerInvoice.count({
    where: {
      [Op.or]: [{ state: 'open', dueOn: { [Op.lt]: clock.today().toString() } }, { owed: { [Op.lt]: 0 } }],
    },
  })

type NewEmployer = { terms: EmployerTerms; person: { name: string; mail: string } }

/** Opens an organisation account, and invites the first person who decides for it. */
export async function addEmployer(deps: Deps, actor: Account, { terms, person }: NewEmployer) {
  const employer = await Employer.create({
    ...{ id: uuid(), code: newCode(), ...tidied(terms), version: 1, createdAt: deps.clock.now() },
  })
  await recordEvent(deps, actor, { code: 'employer-added', about: employer.name })
  await invitePerson(deps, actor, employer, person, '/body/person')
  return { id: employer.id }
}

const tidied = (terms: EmployerTerms) => ({
  ...terms,
  name: terms.name.trim(),
  receiptMail: terms.receiptMail.trim().toLowerCase(),
})

/** What is agreed with an employer; closed, nobody asks it any more, and what it took over it still owes. */
export async function changeEmployer(
  deps: Deps,
  actor: Account,
  id: string,
  { version, terms, closed }: { version: number; terms: EmployerTerms; closed: boolean },
) {
  const employer = await employerById(id)
  // What it took over stands in its currency until it is paid.
  if (terms.currency !== employer.currency && (employer.owes ?? 0) !== 0)
    throw invalidField('/body/terms/currency', say('problem.employerOwesStill'))
  const closedAt = closed ? (employer.closedAt ?? deps.clock.now()) : null
  const saved = await compareAndSet(employer, version, { ...tidied(terms), closedAt })
  // Nobody could take over any more what it was asked: it is the candidate's again at once.
  if (closed)
    for (const request of await PayerRequest.findAll({ where: { employerId: id, state: 'asked' } }))
      await lapse(deps, actor, request)
  await recordEvent(deps, actor, { code: 'employer-changed', about: employer.name })
  return { version: saved.version }
}

/** Who sees only the vacancies of their teams sees what those were asked for. */
const ofVacancies = (vacancies: readonly string[]) =>
  literal(`EXISTS (SELECT 1 FROM fee_charges c JOIN applications a ON a.id = c.applicationId WHERE c.id = PayerRequest.chargeId
    AND a.vacancyId IN (${['', ...vacancies].map((one) => PayerRequest.sequelize!.escape(one)).join(', ')}))`)

/** One employer with all that it was asked and invoiced, the newest first. */
export async function readEmployer(deps: Deps, { vacancies }: Account, id: string): Promise<EmployerDetail> {
  const employer = await employerById(id)
  const [requests, invoices] = await Promise.all([
    PayerRequest.findAll({
      where: { [Op.and]: [{ employerId: id }, vacancies ? ofVacancies(vacancies) : {}] },
      order: [['askedAt', 'DESC']],
      limit: 100,
    }),
    EmployerInvoice.findAll({ where: { employerId: id }, order: [['createdAt', 'DESC']], limit: 100 }),
  ])
  return {
    ...(await employerView(employer)),
    requests: await requestLines(requests),
    invoices: await invoiceLines(deps, invoices),
    today: deps.clock.today().toString(),
  }
}
