import { AsyncLocalStorage } from 'node:async_hooks'
import { setTimeout as wait } from 'node:timers/promises'
import { Sequelize, type Transaction } from 'sequelize'

/**
 * Every query inside `inTransaction` belongs to its transaction: Sequelize asks this namespace for the current one, and
 * `AsyncLocalStorage` carries it along, so that no use case has to pass it on.
 */
const current = new AsyncLocalStorage<Map<string, unknown>>()
// biome-ignore lint/correctness/useHookAtTopLevel: Sequelize's name for it; no hook
Sequelize.useCLS({
  bind: <F extends (...given: never[]) => unknown>(callback: F) => callback,
  get: (key: string) => current.getStore()?.get(key),
  set: (key: string, value: unknown) => current.getStore()?.set(key, value),
  run: (callback: (context: unknown) => unknown) => current.run(new Map(), () => callback(current.getStore())),
} as never)

export function connect(url: string, { most = 12 }: { most?: number } = {}): Sequelize {
  return new Sequelize(url, {
    logging: false,
    timezone: '+00:00',
    pool: { max: most, min: 1, acquire: 20_000, idle: 30_000 },
    define: { timestamps: false },
    // A row that is found and already says what is written counts as changed: a guard asks whether it was found.
    dialectOptions: {
      timezone: 'Z',
      foundRows: true,
      // A machine that is busy takes longer than the second the connector waits by itself.
      connectTimeout: 15_000,
      // Whoever has waited for a lock reads what the one before has written, not what there was when the transaction began.
      initSql: 'SET SESSION TRANSACTION ISOLATION LEVEL READ COMMITTED',
    },
  })
}

/** Deadlock, lock wait timeout, snapshot conflict, and a Galera node that failed certification: the work is done again. */
const retryable = new Set([1213, 1205, 1020])
const mostAttempts = 4

/**
 * Runs `work` in one transaction, joined if there is one already. Retries when the database says that somebody else was
 * in the way; `work` must therefore leave nothing outside the database.
 */
export async function inTransaction<T>(sequelize: Sequelize, work: () => Promise<T>): Promise<T> {
  if (current.getStore()?.get('transaction')) return work()
  for (let attempt = 1; ; attempt += 1) {
    try {
      return await sequelize.transaction(async (transaction) => {
        const result = await work()
        for (let next = lastly.get(transaction)?.shift(); next; next = lastly.get(transaction)?.shift()) await next()
        return result
      })
    } catch (error) {
      const code = (error as { original?: { errno?: number } }).original?.errno
      if (!code || !retryable.has(code) || attempt >= mostAttempts) throw error
      await wait(20 * attempt + Math.random() * 30)
    }
  }
}

/** What is still to be done in a transaction before it commits. */
const lastly = new WeakMap<Transaction, (() => Promise<void>)[]>()

/** Does something at the end of the transaction under way, as part of it. */
export function beforeCommit(work: () => Promise<void>) {
  const transaction = transactionNow()!
  lastly.set(transaction, [...(lastly.get(transaction) ?? []), work])
}

/** The transaction under way, if there is one. */
export const transactionNow = () => current.getStore()?.get('transaction') as Transaction | undefined

/** Does something once what is under way is committed, or at once where nothing is. */
export function afterCommit(work: () => void) {
  const transaction = transactionNow()
  if (transaction) transaction.afterCommit(work)
  else work()
}

/** The transaction under way, for the few places that must lock a row. */
export function lockOf(): { lock: Transaction['LOCK']['UPDATE'] } | undefined {
  const transaction = transactionNow()
  return transaction && { lock: transaction.LOCK.UPDATE }
}
