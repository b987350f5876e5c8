import type { ReactNode } from 'react'

/** Something of a file that is folded away until it is looked up. */
export const More = ({ title, open, children }: { title: string; open?: boolean; children: ReactNode }) => (
  <details open={open}>
    <summary className="cursor-pointer py-0.5 font-semibold text-ink-2">{title}</summary>
    <div className="py-1.5">{children}</div>
  </details>
)
