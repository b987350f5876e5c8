import { Button } from './Button'

type Props = {
  /** What to say for going back and on. */
  words: { before: string; more: string }
  /** Where each page so far began, the first left out. */
  after: readonly string[]
  next: string | null
  onTurn: (after: string[]) => void
}

/** Back to the page before, and on to the next, where there are such. */
export const Pager = ({ words, after, next, onTurn }: Props) => (
  <div className="flex gap-2 py-2 empty:hidden">
    {after.length > 0 && (
      <Button kind="quiet" onClick={() => onTurn(after.slice(0, -1))}>
        {words.before}
      </Button>
    )}
    {next && (
      <Button kind="quiet" onClick={() => onTurn([...after, next])}>
        {words.more}
      </Button>
    )}
  </div>
)
