import type { Problem } from '../api'

/** What went wrong, in words and with what to do. Faults of single fields are shown at the fields. */
export function ProblemNote({ problem }: { problem: Problem | undefined }) {
  if (!problem) return null
  const faults = (problem.faults ?? []).filter(
    ({ pointer }) => !pointer.startsWith('/body/') || pointer.split('/').length <= 2,
  )
  return (
    <div
      role="alert"
      className="rounded-sheet border border-contradicted bg-contradicted-wash px-3 py-2 text-contradicted"
    >
      <p className="font-semibold">{problem.title}</p>
      {problem.detail && <p>{problem.detail}</p>}
      {faults.map(({ pointer, message }) => (
        <p key={pointer}>{message}</p>
      ))}
    </div>
  )
}

/** The message of the field whose pointer ends like this. */
export const faultAt = (problem: Problem | undefined, end: string): string | undefined =>
  problem?.faults?.find(({ pointer }) => pointer.endsWith(`/${end}`))?.message
