import { type ReactNode, useRef } from 'react'

/** Something of a file that is folded away until it is looked up. What was once open to be worked on is not folded over it. */
export function More({ title, open, children }: { title: string; open?: boolean; children: ReactNode }) {
  const opened = useRef(open)
  if (open) opened.current = true
  return (
    <details open={opened.current}>
      <summary className="cursor-pointer py-0.5 font-semibold text-ink-2">{title}</summary>
      <div className="py-1.5">{children}</div>
    </details>
  )
}
