import { coded } from '#core/words/say'
import { conflict, Problem } from '../platform/errors/problems'

/** Why something about money is refused. */
export const problems = {
  sentAlready: () => conflict('sent-already', coded('problem.feeSentAlready')),
  nothingOwed: () => conflict('nothing-owed', coded('problem.nothingOwed')),
  noCards: () => conflict('no-cards', coded('problem.noCards')),
  providerAway: () => new Problem(503, 'provider-away', coded('problem.providerAway')),
  voucherUnknown: () => new Problem(422, 'voucher-unknown', coded('problem.voucherUnknown')),
  voucherUsed: () => conflict('voucher-used', coded('problem.voucherUsed')),
  voucherOver: () => conflict('voucher-over', coded('problem.voucherOver')),
  voucherForOthers: () => conflict('voucher-for-others', coded('problem.voucherForOthers')),
  notUsable: () => conflict('not-usable', coded('problem.voucherNotUsable')),
  tooMuch: () => conflict('too-much', coded('problem.moreThanWasPaid')),
  notPaidByCard: () => conflict('not-by-card', coded('problem.notPaidYet')),
  notToLookAt: () => conflict('not-to-look-at', coded('problem.proofNotToLookAt')),
  transferSettled: () => conflict('transfer-settled', coded('problem.transferSettled')),
  closingAgrees: () => conflict('closing-agrees', coded('problem.closingAgrees')),
  notOdd: () => conflict('not-odd', coded('problem.paymentNotOdd')),
  employerClosed: () => conflict('employer-closed', coded('problem.employerClosed')),
  otherCurrency: () => conflict('other-currency', coded('problem.employerOtherCurrency')),
  askedAlready: () => conflict('asked-already', coded('problem.employerAskedAlready')),
  requestOver: () => conflict('request-over', coded('problem.requestOver')),
  overLimit: () => conflict('over-limit', coded('problem.overLimit')),
  notReturnable: () => conflict('not-returnable', coded('problem.notReturnable')),
  lastPerson: () => conflict('last-person', coded('problem.lastPerson')),
  calledOff: () => conflict('called-off', coded('problem.chargeCalledOff')),
}
