export const roles = ['candidate', 'coordinator', 'assessor', 'hiring manager', 'administrator'] as const
export type Role = (typeof roles)[number]

/** Who may call an endpoint. Records are checked again by the use case. */
export type Access = 'anyone' | 'signed-in' | 'bearer-of-link' | readonly Role[]

/** Whether somebody with these roles may call an endpoint that asks who calls. */
export const mayCall = ({ access }: { access: Access }, roles: readonly Role[]): boolean =>
  typeof access === 'string' || access.some((role) => roles.includes(role))
