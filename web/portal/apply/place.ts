import { useLocation } from 'react-router'

/** Where candidates write their own applications. */
export const ownPlace = '/apply'
const deskPlace = '/desk/behalf'

/** Where the application on this page is written: by its candidate, or at the desk for them. */
export const useApplyPlace = (): string => (useLocation().pathname.startsWith(deskPlace) ? deskPlace : ownPlace)
