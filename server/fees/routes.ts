import * as contract from '#contract/fees'
import * as transfers from '#contract/transfers'
import * as vouchers from '#contract/vouchers'
import { bind, bindFile } from '../platform/http/bind'
import { decideFeeProof, recordPayment, waiveFee } from './decide'
import { addFeeProof, listOwnFees, readDocument, readOwnFeeDocument, readPayment, saveFeeAnswers } from './ownFees'
import { checkPayment, payByCard } from './pay'
import { listCharges, readCharge, readFeeProof } from './queue'
import { refund } from './refund'
import { assignTransfer, listTransfers, setTransferAside, takeStatement } from './statements/takeStatement'
import { readVacancyFees } from './vacancyFees'
import { listVouchers, makeVouchers, redeemVoucher, withdrawVoucher } from './vouchers'

export const feeRoutes = [
  bind(contract.readVacancyFees, ({ deps, actor, input }) => readVacancyFees(deps, actor, input.params.slug)),
  bind(contract.listOwnFees, ({ deps, actor, input }) => listOwnFees(deps, actor, input.params.id)),
  bind(contract.saveFeeAnswers, ({ deps, actor, input }) => saveFeeAnswers(deps, actor, input.params, input.body)),
  bind(
    contract.addFeeProof,
    ({ deps, actor, input }) => addFeeProof(deps, actor, input.params, input.body as Buffer),
    // A file is looked through before anything is written.
    { transaction: false },
  ),
  // What the provider is told is told once it is written down.
  bind(contract.payCharge, ({ deps, actor, input }) => payByCard(deps, actor, input.params.id), { transaction: false }),
  bind(contract.readPayment, ({ deps, actor, input }) => readPayment(deps, actor, input.params)),
  bind(contract.redeemVoucher, ({ deps, actor, input }) =>
    redeemVoucher(deps, actor, input.params.id, input.body.code),
  ),
  bindFile(contract.readOwnFeeDocument, ({ deps, actor, input }) => readOwnFeeDocument(deps, actor, input.params)),
  bind(contract.listCharges, ({ deps, actor, input }) => listCharges(deps, actor, input.query)),
  bind(contract.readCharge, ({ deps, actor, input }) => readCharge(deps, actor, input.params.id)),
  bindFile(contract.readFeeProof, ({ deps, actor, input }) => readFeeProof(deps, actor, input.params)),
  bindFile(contract.readFeeDocument, ({ deps, input }) => readDocument(deps, input.params.id, input.params.document)),
  bind(contract.decideFeeProof, ({ deps, actor, input }) => decideFeeProof(deps, actor, input.params, input.body)),
  bind(contract.recordPayment, ({ deps, actor, input }) => recordPayment(deps, actor, input.params.id, input.body)),
  bind(contract.checkPayment, ({ deps, actor, input }) => checkPayment(deps, actor, input.params), {
    transaction: false,
  }),
  bind(contract.refundPayment, ({ deps, actor, input }) => refund(deps, actor, input.params.id, input.body)),
  bind(contract.waiveFee, ({ deps, actor, input }) => waiveFee(deps, actor, input.params.id, input.body)),
  bind(transfers.listTransfers, ({ input }) => listTransfers(input.query)),
  bind(transfers.takeStatement, ({ deps, actor, input }) => takeStatement(deps, actor, input.body as Buffer), {
    transaction: false,
  }),
  bind(transfers.assignTransfer, ({ deps, actor, input }) => assignTransfer(deps, actor, input.params.id, input.body)),
  bind(transfers.setTransferAside, ({ deps, actor, input }) =>
    setTransferAside(deps, actor, input.params.id, input.body.reason),
  ),
  bind(vouchers.listVouchers, ({ deps, input }) => listVouchers(deps, input.query.after)),
  bind(vouchers.makeVouchers, ({ deps, actor, input }) => makeVouchers(deps, actor, input.body)),
  bind(vouchers.withdrawVoucher, ({ deps, actor, input }) => withdrawVoucher(deps, actor, input.params.id)),
]
