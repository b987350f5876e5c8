import type { NewVacancy } from '#server/records/vacancies/vacancies'
import { form, formWith } from '../form'
import { posts } from './posts'
import { onboarding } from './requirements'

const listItem = (text: string) => ({
  type: 'listItem',
  content: [{ type: 'paragraph', content: [{ type: 'text', text }] }],
})

/** The vacancies as they stand on the day the demo is loaded; closing is at 17:00 of the time zone. */
export function vacanciesOn(
  dayAt: (offset: number, hour: number) => Date,
  isoDay: (offset: number) => string,
  timeZone: string,
): NewVacancy[] {
  return posts.map(
    ({
      opened,
      closesIn,
      startsIn,
      decidesIn,
      duties,
      requirements,
      asks,
      alsoAsks = [],
      fees,
      completeWithin,
      ...post
    }) => ({
      ...post,
      duties: { type: 'doc', content: [{ type: 'bulletList', content: duties.map(listItem) }] },
      decidedBy: 'bastian@vallorne.example',
      rules: {
        form: asks ? formWith(asks, ...alsoAsks) : form,
        ...{ requirements, onboarding, ...(fees ? { fees } : {}), ...(completeWithin ? { completeWithin } : {}) },
      },
      timeZone,
      opensAt: dayAt(opened, 8),
      closesAt: dayAt(closesIn, 17),
      targetStart: isoDay(startsIn),
      decidesOn: decidesIn === undefined ? null : isoDay(decidesIn),
    }),
  )
}
