import { Tooltip } from 'radix-ui'
import { say } from '#core/words/say'

export type MarkName =
  | 'claimed'
  | 'evidenced'
  | 'asked'
  | 'confirmed'
  | 'contradicted'
  | 'unconfirmable'
  | 'waived'
  | 'expiring'
  | 'lapsed'

const words: Record<MarkName, string> = {
  claimed: say('ui.claimedTheCandidateSaysSo'),
  evidenced: say('ui.evidencedSomebodyHasLookedAt'),
  asked: say('ui.askedTheSourceHasNot'),
  confirmed: say('ui.confirmedByTheSource'),
  contradicted: say('ui.contradicted'),
  unconfirmable: say('ui.unconfirmableTheSourceCannotOr'),
  waived: say('ui.waived'),
  expiring: say('ui.expiring'),
  lapsed: say('ui.lapsed'),
}

const ring = <circle cx="8" cy="8" r="5.6" fill="none" stroke="currentColor" strokeWidth="1.6" />

const drawings: Record<MarkName, { tone: string; shape: React.ReactNode }> = {
  claimed: { tone: 'text-claimed', shape: ring },
  evidenced: {
    tone: 'text-evidenced',
    shape: (
      <>
        {ring}
        <path d="M2.4 8a5.6 5.6 0 0 0 11.2 0z" fill="currentColor" />
      </>
    ),
  },
  asked: {
    tone: 'text-asked',
    shape: (
      <>
        <path
          d="M12.9 5.3A5.6 5.6 0 1 0 12.9 10.7"
          fill="none"
          stroke="currentColor"
          strokeWidth="1.6"
          strokeLinecap="round"
        />
        <circle cx="8" cy="8" r="2.1" fill="currentColor" />
        <circle cx="13.4" cy="8" r="1.2" fill="currentColor" />
      </>
    ),
  },
  confirmed: {
    tone: 'text-confirmed',
    shape: (
      <>
        <circle cx="8" cy="8" r="7" fill="currentColor" />
        <circle cx="8" cy="8" r="4.6" fill="none" stroke="var(--on-confirmed)" strokeWidth="1.1" />
        <circle cx="8" cy="8" r="1.7" fill="var(--on-confirmed)" />
      </>
    ),
  },
  contradicted: {
    tone: 'text-contradicted',
    shape: (
      <>
        <path d="M8 1 15 8 8 15 1 8z" fill="currentColor" />
        <path d="M5 11 11 5" stroke="var(--sheet)" strokeWidth="1.7" />
      </>
    ),
  },
  unconfirmable: {
    tone: 'text-claimed',
    shape: (
      <>
        {ring}
        <path d="M4.8 8h6.4" stroke="currentColor" strokeWidth="1.8" />
      </>
    ),
  },
  waived: {
    tone: 'text-claimed',
    shape: <circle cx="8" cy="8" r="5.6" fill="none" stroke="currentColor" strokeWidth="1.6" strokeDasharray="2.4 2" />,
  },
  expiring: {
    tone: 'text-soon',
    shape: (
      <>
        <path d="M8 8V1A7 7 0 1 1 1 8z" fill="currentColor" />
        <path d="M6.5 6.5V1.2A7 7 0 0 0 1.2 6.5z" fill="none" stroke="currentColor" strokeWidth="1.1" />
      </>
    ),
  },
  lapsed: {
    tone: 'text-contradicted',
    shape: (
      <>
        {ring}
        <path d="M8 4.8V8l2.2 2" stroke="currentColor" strokeWidth="1.6" fill="none" strokeLinecap="round" />
        <path d="M2 14 14 2" stroke="currentColor" strokeWidth="1.6" />
      </>
    ),
  },
}

/** What a mark says; one that is not known is a claim. */
export const markWords = (name: string): string => words[name in drawings ? (name as MarkName) : 'claimed']

/** The drawing of a rung or of fading validity; the shape carries the meaning, the word is in the tooltip. */
export function Mark({ name, size = 15 }: { name: string; size?: number }) {
  const known = (name in drawings ? name : 'claimed') as MarkName
  const { tone, shape } = drawings[known]
  return (
    <Tooltip.Root>
      <Tooltip.Trigger asChild>
        <svg
          role="img"
          aria-label={words[known]}
          viewBox="0 0 16 16"
          width={size}
          height={size}
          className={`shrink-0 ${tone}`}
        >
          {shape}
        </svg>
      </Tooltip.Trigger>
      <Tooltip.Portal>
        <Tooltip.Content sideOffset={4} className="z-50 rounded-sheet bg-ink px-2 py-1 text-[0.8333rem] text-sheet">
          {words[known]}
        </Tooltip.Content>
      </Tooltip.Portal>
    </Tooltip.Root>
  )
}
