import { seededRandom, shuffled } from '../random'

export type Question = {
  id: string
  topic: string
  /** 1 easy, 2 middling, 3 hard. */
  difficulty: 1 | 2 | 3
  options: readonly { id: string; right: boolean }[]
}

/** How many questions of which topic and, where it matters, which difficulty. */
export type Blueprint = readonly { topic: string; count: number; difficulty?: 1 | 2 | 3 }[]

/** The questions of one sitting in their order, and the order of each one's options. Holds no right answers. */
export type Paper = readonly { question: string; options: readonly string[] }[]

export type Assembly =
  | { ok: true; paper: Paper }
  | { ok: false; short: { topic: string; wanted: number; found: number }[] }

/**
 * Draws a paper from a bank by a blueprint. The same bank, blueprint and seed always give the same paper, whatever the
 * order of the bank.
 *
 * @returns the paper, or which lines of the blueprint the bank cannot fill
 */
export function assemble(bank: readonly Question[], blueprint: Blueprint, seed: string): Assembly {
  const random = seededRandom(seed)
  const inOrder = [...bank].sort((a, b) => (a.id < b.id ? -1 : 1))
  const drawn = new Set<Question>()
  const short: { topic: string; wanted: number; found: number }[] = []
  // Lines that ask for a difficulty go first, so that a freer line does not use up what only they can take.
  const lines = [...blueprint].sort((a, b) => Number(b.difficulty !== undefined) - Number(a.difficulty !== undefined))
  for (const line of lines) {
    const fitting = inOrder.filter(
      (question) =>
        question.topic === line.topic &&
        !drawn.has(question) &&
        (line.difficulty ?? question.difficulty) === question.difficulty,
    )
    if (fitting.length < line.count) short.push({ topic: line.topic, wanted: line.count, found: fitting.length })
    for (const question of shuffled(fitting, random).slice(0, line.count)) drawn.add(question)
  }
  if (short.length > 0) return { ok: false, short }
  const paper = shuffled([...drawn], random).map((question) => ({
    question: question.id,
    options: shuffled(
      question.options.map(({ id }) => id),
      random,
    ),
  }))
  return { ok: true, paper }
}

export type Mark = {
  right: number
  of: number
  /** Whole per cent, rounded down: 8.5 of 10 right does not become 9. */
  percent: number
  passed: boolean
  answers: { question: string; topic: string; given: string[]; right: boolean }[]
}

/**
 * Marks a paper. A question is right if exactly its right options were given; one without an answer is wrong.
 *
 * @param passPercent 0 to 100
 * @throws RangeError where the paper holds a question the bank does not
 */
export function mark(
  bank: readonly Question[],
  paper: Paper,
  given: Readonly<Record<string, readonly string[]>>,
  passPercent: number,
): Mark {
  const byId = new Map(bank.map((question) => [question.id, question]))
  const answers = paper.map(({ question: id }) => {
    const question = byId.get(id)
    if (!question) throw new RangeError(`no question ${id} in the bank`)
    const chosen = [...(given[id] ?? [])]
    const right = question.options.every((option) => option.right === chosen.includes(option.id))
    return { question: id, topic: question.topic, given: chosen, right }
  })
  const right = answers.filter((answer) => answer.right).length
  const percent = answers.length === 0 ? 0 : Math.floor((right * 100) / answers.length)
  return { right, of: answers.length, percent, passed: percent >= passPercent, answers }
}
