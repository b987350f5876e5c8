import { useSession } from './useSession'

/** The currency of the organisation, ISO 4217. */
export const useCurrency = (): string => useSession().organisation?.currency ?? 'EUR'
