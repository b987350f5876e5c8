import { Type } from '@sinclair/typebox'
import { endpoint } from './endpoint'
import { Done, LinkToken, oneOf, orNull } from './shapes'

/** What a house that has just been taken into use still needs, in the order in which it is best done. */
export const firstSteps = ['organisation', 'holidays', 'mail', 'colleagues', 'source', 'vacancy'] as const
export type FirstStep = (typeof firstSteps)[number]

export const readFirstSteps = endpoint({
  method: 'GET',
  path: '/api/desk/first-steps',
  summary: 'What is still to be done before the first application can come; each is found out, not ticked',
  access: 'organisation.keep',
  reply: Type.Object({
    steps: Type.Array(
      Type.Object({
        step: oneOf(firstSteps),
        done: Type.Boolean(),
        later: Type.Boolean({ description: 'Somebody has left it for later' }),
      }),
    ),
    testMail: orNull(
      Type.Object({
        to: Type.String(),
        state: oneOf(['on its way', 'taken', 'refused', 'arrived'] as const),
        because: orNull(Type.String()),
      }),
    ),
  }),
  invalidates: ['organisation', 'colleagues', 'vacancies', 'desk', 'settings'],
})

export const leaveForLater = endpoint({
  method: 'PUT',
  path: '/api/desk/first-steps/:step',
  summary: 'Leave a step for later, or take it up again',
  access: 'organisation.keep',
  params: Type.Object({ step: oneOf(firstSteps) }),
  body: Type.Object({ later: Type.Boolean() }),
  reply: Done,
  invalidates: ['organisation'],
})

export const sendTestMail = endpoint({
  method: 'POST',
  path: '/api/desk/test-mails',
  summary: 'Mail oneself a link; whoever opens it has shown that mails arrive',
  access: 'organisation.keep',
  reply: Done,
  idempotent: true,
  invalidates: ['organisation'],
})

export const confirmTestMail = endpoint({
  method: 'POST',
  path: '/api/desk/test-mails/confirm',
  summary: 'Say that the test mail has arrived, with the link in it',
  access: 'organisation.keep',
  body: Type.Object({ token: LinkToken }),
  reply: Done,
  invalidates: ['organisation'],
})
