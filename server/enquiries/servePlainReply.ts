import { readFile } from 'node:fs/promises'
import { resolve } from 'node:path'
import { pathToFileURL } from 'node:url'
import type Router from '@koa/router'
import type { Context } from 'koa'
import type { Endpoint } from '#contract/endpoint'
import type { PlainReply, PlainView, Written } from '#contract/plainReply'
import * as contract from '#contract/reply'
import { type SourceLanguage, sourceLanguages, spokenLanguage } from '#core/words/say'
import { depsNow } from '../platform/clock'
import { inTransaction } from '../platform/database/connection'
import type { Deps, Fixed } from '../platform/deps'
import { Problem } from '../platform/errors/problems'
import { type Form, readForm } from '../platform/http/forms'
import { inLanguage } from '../platform/http/language'
import { byLink } from '../platform/http/limits'
import { requireShape } from '../platform/http/validate'
import { escapeHtml } from '../platform/outside/html'
import { behindLink } from './behindLink'
import { forwardEnquiry } from './forward'
import { problems } from './problems'
import { declineEnquiry, readEnquiry, replyToEnquiry, saveReplyDraft, uploadReplyPaper } from './reply'

/** What a view has of its own. */
type Shown = PlainView extends infer One ? (One extends PlainView ? Omit<One, 'language' | 'address'> : never) : never

/**
 * The page of a reply for whoever has no script: the same one, rendered here, as a form that is sent as a whole. Its addresses are
 * pages and no endpoints.
 */
export function servePlainReply(router: Router, fixed: Fixed) {
  const program = async () =>
    (await import(pathToFileURL(resolve(fixed.config.replyFolder, 'plain.mjs')).href)) as PlainReply
  router.get(path, (ctx) => inItsLanguage(ctx, async () => give(ctx, fixed, await program(), await shown(ctx, fixed))))
  router.post(path, (ctx) =>
    inItsLanguage(ctx, async () => {
      const deps = await depsNow(fixed)
      const { render, read } = await program()
      const done = await take(ctx, deps, read)
      if (typeof done === 'string') {
        ctx.redirect(done)
        ctx.status = 303
      } else await give(ctx, fixed, { render, read }, done)
    }),
  )
}

const path = '/reply/:token/plain'
const tokenOf = (ctx: Context) => ctx.params.token as string
const addressOf = (ctx: Context) => `/reply/${encodeURIComponent(tokenOf(ctx))}/plain`
const partOf = (ctx: Context) => (typeof ctx.query.part === 'string' ? ctx.query.part : undefined)

const languageHere = () => sourceLanguages.find((one) => one === spokenLanguage()) ?? 'en'

/** The language chosen on the page, else the browser's. */
function inItsLanguage<T>(ctx: Context, run: () => T): T {
  const chosen = sourceLanguages.find((one) => one === ctx.query.lang)
  return inLanguage(chosen ?? languageHere(), run)
}

/** The question behind the link, or what has become of it. */
async function shown(ctx: Context, fixed: Fixed): Promise<Shown> {
  const deps = await depsNow(fixed)
  const token = tokenOf(ctx)
  try {
    requireShape(contract.readEnquiry.params, { token }, 'params')
    return await counted(ctx, deps, contract.readEnquiry, async () => {
      const { passed, receipt } = ctx.query
      if (passed === 'sent' || passed === 'to check') {
        await behindLink(token)
        return { shows: 'done', done: { passedOn: passed }, receiptAddress: '', next: await nextOf(deps, token) }
      }
      if (typeof receipt === 'string') return await received(deps, token, receipt)
      return questionOf(deps, token, await readEnquiry(deps, token, partOf(ctx)))
    })
  } catch (error) {
    if (!(error instanceof Problem) || error.status >= 500) throw error
    ctx.status = error.status === 429 ? 429 : 404
    return { shows: 'nowhere', ...(error.status === 429 ? { problem: error.body() } : {}) }
  }
}

/** What a page does counts as the endpoint does that it stands for. */
const counted = <T>(ctx: Context, deps: Deps, endpoint: Endpoint, run: () => Promise<T>): Promise<T> =>
  byLink(deps, { endpoint, token: tokenOf(ctx), address: ctx.ip }, run)

type Question = Awaited<ReturnType<typeof readEnquiry>>

/** A question that is open as its form, with whatever else is given; any other as what became of it. */
const questionOf = (
  deps: Deps,
  token: string,
  question: Question,
  more: Partial<Extract<Shown, { shows: 'question' }>> = {},
): Shown =>
  question.state === 'open'
    ? { shows: 'question', question, formValue: formValue(deps, token), ...more }
    : { shows: 'over', question }

async function received(deps: Deps, token: string, receipt: string): Promise<Shown> {
  const { questions } = await behindLink(token)
  const one = questions.find((question) => question.receipt === receipt)
  if (!one) return questionOf(deps, token, await readEnquiry(deps, token))
  const receivedAt = (one.answeredAt ?? deps.clock.now()).toISOString()
  return {
    ...{ shows: 'done', done: { receivedAt, receipt, declined: one.state === 'declined' } },
    receiptAddress: contract.readReceipt.path.replace(':token', token).replace(':receipt', encodeURIComponent(receipt)),
    next: await nextOf(deps, token),
  }
}

const nextOf = async (deps: Deps, token: string): Promise<string | undefined> => {
  const { state, id } = await readEnquiry(deps, token)
  return state === 'open' ? id : undefined
}

const dayMs = 86_400_000

/** A form of ours for this link, for a day; nobody else can make it. */
function formValue({ vault, clock }: Pick<Deps, 'vault' | 'clock'>, token: string): string {
  const madeAt = clock.now().getTime()
  return `${madeAt}.${vault.sign('plain reply', `${token} ${madeAt}`)}`
}

function isOurForm({ vault, clock }: Pick<Deps, 'vault' | 'clock'>, token: string, value = ''): boolean {
  const [madeAt = '', signed] = value.split('.')
  const age = clock.now().getTime() - Number(madeAt)
  return age >= 0 && age < dayMs && signed === vault.sign('plain reply', `${token} ${madeAt}`)
}

/**
 * Takes a form. Nothing that was written is lost: what cannot be taken comes back as it was written, with what is wrong.
 *
 * @returns the address to go on to, or the form once more
 */
async function take(ctx: Context, deps: Deps, read: PlainReply['read']): Promise<string | Shown> {
  const token = tokenOf(ctx)
  let form: Form = { written: {}, file: undefined }
  try {
    requireShape(contract.readEnquiry.params, { token }, 'params')
    form = await readForm(ctx, deps)
    if (!isOurForm(deps, token, form.written.form)) throw problems.formTooOld()
    return await act(ctx, deps, read, form)
  } catch (error) {
    if (!(error instanceof Problem) || error.status >= 500) throw error
    return comeBack(ctx, deps, form.written, error)
  }
}

async function comeBack(ctx: Context, deps: Deps, written: Written, problem: Problem): Promise<Shown> {
  ctx.status = problem.status
  const question = await readEnquiry(deps, tokenOf(ctx), written.part ?? partOf(ctx)).catch(() => undefined)
  if (!question) {
    ctx.status = 404
    return { shows: 'nowhere' }
  }
  const { title, detail, faults } = problem.body() as ReturnType<Problem['body']> & { faults?: [] }
  return questionOf(deps, tokenOf(ctx), question, {
    ...{ written, tried: written.act === 'send', problem: { title, ...(detail ? { detail } : {}), faults } },
  })
}

async function act(
  ctx: Context,
  deps: Deps,
  read: PlainReply['read'],
  { written, file }: Form,
): Promise<string | Shown> {
  const token = tokenOf(ctx)
  const { part } = written
  requireShape(contract.readEnquiry.query, part ? { part } : {}, 'query')
  const question = await counted(ctx, deps, contract.readEnquiry, () => readEnquiry(deps, token, part))
  const on = (more: Record<string, string>) =>
    `${addressOf(ctx)}?${new URLSearchParams({ lang: languageHere(), ...more })}`
  if (question.state !== 'open') return questionOf(deps, token, question)
  /** Takes what was sent, in one transaction. */
  const taken = <T>(endpoint: Endpoint, run: () => Promise<T>) =>
    counted(ctx, deps, endpoint, () => inTransaction(deps.sequelize, run))
  if (file)
    await counted(ctx, deps, contract.uploadReplyPaper, () =>
      uploadReplyPaper(deps, token, { part, fileName: file.name }, file.bytes),
    )
  const { draft, reply, ready } = read(question, written)
  const text = (name: string) => (written[name] ?? '').trim()
  const who = { respondent: text('respondent'), capacity: text('capacity') }
  if (written.act === 'decline') {
    const body = { part, reason: text('reason'), note: text('note').slice(0, 1000), ...who }
    requireShape(contract.declineEnquiry.body, body, 'body')
    const done = await taken(contract.declineEnquiry, () =>
      declineEnquiry(deps, token, body as Parameters<typeof declineEnquiry>[2]),
    )
    return on({ receipt: done.receipt })
  }
  if (written.act === 'forward') {
    const body = { part, toName: text('toName'), toMail: text('toMail'), by: who.respondent }
    requireShape(contract.forwardEnquiry.body, body, 'body')
    const done = await taken(contract.forwardEnquiry, () => forwardEnquiry(deps, token, body))
    return on({ passed: done.state })
  }
  if (written.act === 'send' && ready) {
    requireShape(contract.replyToEnquiry.body, reply, 'body')
    const done = await taken(contract.replyToEnquiry, () => replyToEnquiry(deps, token, reply, part))
    return on({ receipt: done.receipt })
  }
  const body = { part, version: Number(written.version), draft }
  requireShape(contract.saveReplyDraft.body, body, 'body')
  await taken(contract.saveReplyDraft, () => saveReplyDraft(deps, token, body))
  const sent = written.act === 'send'
  return questionOf(deps, token, await readEnquiry(deps, token, part), { written, tried: sent, kept: !sent })
}

/** A document with the same styles as every page of ours, and no script. */
async function give(ctx: Context, { config }: Fixed, { render }: PlainReply, view: Shown) {
  const language: SourceLanguage = languageHere()
  const { title, body } = render({ ...view, language, address: addressOf(ctx) } as PlainView)
  const index = await readFile(resolve(config.webFolder, 'index.html'), 'utf8')
  const styles = index.match(/<link\b[^>]*rel="stylesheet"[^>]*>/g) ?? []
  if (view.shows !== 'nowhere' && ctx.status === 404) ctx.status = 200
  ctx.type = 'html'
  ctx.set('Cache-Control', 'no-store')
  ctx.body = [
    `<!doctype html><html lang="${language}"><head><meta charset="utf-8">`,
    '<meta name="viewport" content="width=device-width, initial-scale=1"><meta name="color-scheme" content="light dark">',
    '<meta name="robots" content="noindex"><link rel="icon" href="/mark.svg" type="image/svg+xml">',
    `${styles.join('')}<title>${escapeHtml(title)}, Probatum</title></head><body>${body}</body></html>`,
  ].join('')
}
