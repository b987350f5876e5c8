import { useSession } from '../useSession'

/** Whose application this is: its logo where there is one, otherwise its name. */
export function OrganisationName({ className = '' }: { className?: string }) {
  const { organisation } = useSession()
  if (!organisation) return null
  const { name, logo } = organisation
  if (!logo) return <span className={className}>{name}</span>
  // Logos are drawn on white paper, and read badly on anything else.
  return (
    <span className={`inline-flex h-7 items-center rounded-[3px] bg-[#fff] px-1.5 ${className}`}>
      <img src={logo.address} alt={name} width={logo.width} height={logo.height} className="h-5 w-auto" />
    </span>
  )
}
