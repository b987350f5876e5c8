import QRCode from 'qrcode'
import { useEffect, useState } from 'react'
import { Link } from 'react-router'
import type { FeeChargeView, OwnFee } from '#contract/fees'
import { knownFeeFacts } from '#core/fees/facts'
import { writeCreditorReference } from '#core/money/reference'
import { writeAmount } from '#core/words/amounts'
import { chargeWords, paymentWords } from '#core/words/fees'
import { say } from '#core/words/say'
import { translated } from '#core/words/translations'
import { api } from '../../api'
import { QuoteTable } from '../../fees/QuoteTable'
import { Button } from '../../ui/Button'
import { TextField } from '../../ui/Field'
import { ProblemNote } from '../../ui/ProblemNote'
import { writeDayOf } from '../../ui/write'
import { useAct } from '../../useAct'
import { AskEmployer, Requests } from './AskEmployer'
import { FactsOfFee } from './OwnFees'

/** What was charged for an application: what is owed, how it can be paid, what was paid, and the papers about it. */
export function Fees({ id }: { id: string }) {
  const { data } = api.endpoints.listOwnFees.useQuery({ params: { id } }, { refetchOnFocus: true })
  const charged = data?.fees.filter(({ charge }) => charge) ?? []
  if (!data || charged.length === 0) return null
  return (
    <section className="mt-7" id="fees">
      <h2 className="mb-2 text-[1.4em]">{say('fees.whatYouPay')}</h2>
      <div className="grid gap-3">
        {charged.map((fee) => (
          <Fee key={fee.schedule.key} id={id} fee={fee} charge={fee.charge!} cards={data.cards} />
        ))}
      </div>
    </section>
  )
}

function Fee({ id, fee, charge, cards }: { id: string; fee: OwnFee; charge: FeeChargeView; cards: boolean }) {
  const { schedule, quote } = fee
  const { currency, owed, state } = charge
  return (
    <article className="rounded-sheet border border-line bg-sheet px-4 py-3">
      <p className="flex flex-wrap justify-between gap-x-4">
        <span className="font-semibold text-[1.07em]">{translated(schedule).title}</span>
        <span
          className={`font-semibold ${charge.late ? 'text-contradicted' : state === 'open' ? 'text-soon-ink' : 'text-confirmed'}`}
        >
          {chargeWords(charge)}
        </span>
      </p>
      {state === 'open' && schedule.holds && <p className="text-ink-2">{say('fees.nothingBefore')}</p>}
      {owed < 0 && <p className="text-ink-2">{say('fees.weOwe', { amount: writeAmount(-owed, currency) })}</p>}
      <FactsOfFee fee={fee} applicationId={id} />
      <details className="mt-1" open={state === 'open'}>
        <summary className="cursor-pointer font-semibold text-confirmed">{say('fees.lineByLine')}</summary>
        <QuoteTable schedule={schedule} quote={quote} known={knownFeeFacts(schedule, [])} />
      </details>
      <Requests charge={charge} />
      {state === 'open' && owed > 0 && <Pay fee={fee} charge={charge} cards={cards} />}
      {charge.payments.length > 0 && (
        <ul className="mt-2 divide-y divide-line border-line border-t">
          {charge.payments.map((payment) => (
            <li key={payment.id} className="flex flex-wrap justify-between gap-x-4 py-1.5">
              <span>
                {writeDayOf(payment.settledAt ?? payment.startedAt)}, {paymentWords(payment, currency)}
              </span>
              <span className="font-mono">{writeAmount(payment.amount, currency)}</span>
            </li>
          ))}
        </ul>
      )}
      {charge.documents.length > 0 && (
        <p className="mt-2 flex flex-wrap gap-x-4">
          {charge.documents.map(({ id: document, kind, number }) => (
            <a
              key={document}
              href={`/api/my/charges/${charge.id}/documents/${document}`}
              className="font-semibold text-confirmed"
            >
              {say(`fees.document.${kind}`)} {number}
            </a>
          ))}
        </p>
      )}
      <p className="mt-2 text-[0.93em] text-ink-2">
        {say('fees.isItWrong')}{' '}
        <Link to={`?ask=fee ${fee.requirement}#ask`} className="font-semibold text-confirmed">
          {say('fees.askBeforePaying')}
        </Link>
      </p>
    </article>
  )
}

function Pay({ fee, charge, cards }: { fee: OwnFee; charge: FeeChargeView; cards: boolean }) {
  const pay = useAct('payCharge')
  const redeem = useAct('redeemVoucher')
  const [code, setCode] = useState<string>()
  const [covered, setCovered] = useState<number>()
  const { id, currency } = charge
  const surcharge = fee.surcharges.filter(({ means }) => means === 'card')
  const more = surcharge.reduce((sum, { amount }) => sum + amount, 0)
  const go = async () => {
    const begun = await pay.act({ params: { id } })
    if (begun) window.location.assign(begun.address)
  }
  const use = async () => {
    const done = await redeem.act({ params: { id }, body: { code: code ?? '' } })
    if (!done) return
    setCovered(done.covered)
    setCode(undefined)
  }
  return (
    <div className="mt-3 grid gap-2 border-line border-t pt-3">
      {cards && (
        <div className="flex flex-wrap items-center gap-3">
          <Button kind="main" busy={pay.busy} onClick={() => void go()}>
            {say('fees.payByCard', { amount: writeAmount(charge.owed + more, currency) })}
          </Button>
          {surcharge.map(({ title, amount }) => (
            <span key={title} className="text-ink-2">
              {say('fees.ofThat', { amount: writeAmount(amount, currency), title })}
            </span>
          ))}
        </div>
      )}
      <ProblemNote problem={pay.problem} />
      {charge.transfer && <Transfer transfer={charge.transfer} reference={charge.reference} />}
      {covered !== undefined && (
        <p role="status" className="text-confirmed">
          {say('fees.voucherCovered', { amount: writeAmount(covered, currency) })}
        </p>
      )}
      {code === undefined ? (
        <p>
          <button type="button" className="font-semibold text-confirmed" onClick={() => setCode('')}>
            {say('fees.iHaveAVoucher')}
          </button>
        </p>
      ) : (
        <div className="flex flex-wrap items-end gap-2">
          <TextField
            label={say('fees.voucherCode')}
            value={code}
            maxLength={40}
            autoComplete="off"
            onChange={(event) => setCode(event.target.value)}
          />
          <Button busy={redeem.busy} disabled={code.trim().length < 4} onClick={() => void use()}>
            {say('fees.useIt')}
          </Button>
        </div>
      )}
      <ProblemNote problem={redeem.problem} />
      <AskEmployer fee={fee} charge={charge} />
    </div>
  )
}

type TransferProps = { transfer: NonNullable<FeeChargeView['transfer']>; reference: string }

/** Where a transfer goes, and the code a bank reads. */
function Transfer({ transfer: { holder, iban, bic, code }, reference }: TransferProps) {
  const [picture, setPicture] = useState<string>()
  useEffect(() => {
    if (code) void QRCode.toDataURL(code, { margin: 1, scale: 4, errorCorrectionLevel: 'M' }).then(setPicture)
  }, [code])
  return (
    <details>
      <summary className="cursor-pointer font-semibold text-confirmed">{say('fees.orByTransfer')}</summary>
      <div className="mt-1 flex flex-wrap items-start gap-x-6 gap-y-2">
        <dl className="grid grid-cols-[auto_1fr] gap-x-4">
          <dt className="text-ink-2">{say('fees.document.to')}</dt>
          <dd>{holder}</dd>
          <dt className="text-ink-2">{say('fees.iban')}</dt>
          <dd className="font-mono">{iban.replace(/(.{4})(?=.)/g, '$1 ')}</dd>
          {bic && <dt className="text-ink-2">{say('fees.bic')}</dt>}
          {bic && <dd className="font-mono">{bic}</dd>}
          <dt className="text-ink-2">{say('fees.reference')}</dt>
          <dd className="font-mono">{writeCreditorReference(reference)}</dd>
        </dl>
        {picture && <img src={picture} alt={say('fees.transferCode')} width={140} height={140} />}
      </div>
    </details>
  )
}
