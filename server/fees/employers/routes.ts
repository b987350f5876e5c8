import * as contract from '#contract/employers'
import { bind, bindFile } from '../../platform/http/bind'
import { employerById } from '../../records/fees/employers'
import { askEmployer, findEmployers, takeRequestBack } from './ask'
import { decidePayerRequest, returnToCandidate } from './decide'
import { addEmployer, changeEmployer, listEmployers, readEmployer } from './keep'
import { invitePerson, ownEmployer, readOwnEmployer, removePerson, renewCode, saveOwnEmployer } from './own'
import { recordInvoicePayment } from './record'
import { findInvoices, listOwnInvoices, listPayerRequests, readInvoiceDocument, readOwnInvoiceDocument } from './view'

export const employerRoutes = [
  // An attempt counts whatever comes of it.
  bind(contract.findEmployers, ({ deps, actor, input }) => findEmployers(deps, actor, input.query.text)),
  bind(contract.askEmployer, ({ deps, actor, input }) => askEmployer(deps, actor, input.params.id, input.body)),
  bind(contract.takeRequestBack, ({ deps, actor, input }) => takeRequestBack(deps, actor, input.params)),
  bind(contract.readOwnEmployer, ({ actor }) => readOwnEmployer(actor)),
  bind(contract.saveOwnEmployer, ({ deps, actor, input }) => saveOwnEmployer(deps, actor, input.body)),
  bind(contract.renewEmployerCode, ({ deps, actor }) => renewCode(deps, actor)),
  bind(contract.inviteOwnPerson, async ({ deps, actor, input }) =>
    invitePerson(deps, actor, await ownEmployer(actor), input.body),
  ),
  bind(contract.removeOwnPerson, ({ deps, actor, input }) => removePerson(deps, actor, input.params.id)),
  bind(contract.listPayerRequests, ({ actor, input }) => listPayerRequests(actor, input.query)),
  bind(contract.decidePayerRequest, ({ deps, actor, input }) =>
    decidePayerRequest(deps, actor, input.params.id, input.body),
  ),
  bind(contract.listOwnInvoices, ({ deps, actor }) => listOwnInvoices(deps, actor)),
  bindFile(contract.readOwnInvoiceDocument, ({ deps, actor, input }) =>
    readOwnInvoiceDocument(deps, actor, input.params),
  ),
  bind(contract.listEmployers, ({ deps }) => listEmployers(deps)),
  bind(contract.addEmployer, ({ deps, actor, input }) => addEmployer(deps, actor, input.body)),
  bind(contract.readEmployer, ({ deps, actor, input }) => readEmployer(deps, actor, input.params.id)),
  bind(contract.changeEmployer, ({ deps, actor, input }) => changeEmployer(deps, actor, input.params.id, input.body)),
  bind(contract.invitePerson, async ({ deps, actor, input }) =>
    invitePerson(deps, actor, await employerById(input.params.id), input.body),
  ),
  bind(contract.returnToCandidate, ({ deps, actor, input }) =>
    returnToCandidate(deps, actor, input.params.id, input.body.reason),
  ),
  bind(contract.listEmployerInvoices, ({ deps, input }) => findInvoices(deps, input.query.text)),
  bind(contract.recordInvoicePayment, ({ deps, actor, input }) =>
    recordInvoicePayment(deps, actor, input.params.id, input.body),
  ),
  bindFile(contract.readInvoiceDocument, ({ deps, input }) => readInvoiceDocument(deps, input.params)),
]
