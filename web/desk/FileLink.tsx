import type { ReactNode } from 'react'
import { useKeepFile } from './useKeepFile'

type Props = { address: string; title?: string; children: ReactNode }

/** A link to a file to keep, for which the password may be asked first. */
export function FileLink({ address, title, children }: Props) {
  const keepFile = useKeepFile()
  return (
    <a
      href={address}
      title={title}
      download
      className="font-semibold text-confirmed"
      onClick={(event) => {
        event.preventDefault()
        void keepFile(address)
      }}
    >
      {children}
    </a>
  )
}
