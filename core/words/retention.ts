import type { Keeping } from '../privacy/retention'
import { say } from './say'

/** What is kept and by which rule, for the person it is about. */
export function keepingWords({ code, title }: Keeping): { what: string; rule: string } {
  switch (code) {
    case 'not-sent':
      return {
        what: say('Your application for {{title}}, not sent', { title }),
        rule: say('Kept for 180 days after the last change, so that you can go on.'),
      }
    case 'under-way':
      return {
        what: say('Your application for {{title}}', { title }),
        rule: say('Kept while it is under way.'),
      }
    case 'ended':
      return {
        what: say('Your application for {{title}}, ended', { title }),
        rule: say('Kept for 183 days after its end, because a claim for equal treatment can be made until then.'),
      }
    case 'cleared':
      return {
        what: say('Your application for {{title}}, cleared to start', { title }),
        rule: say('Kept for seven years, because we must be able to show who was let near passengers and ropes.'),
      }
    case 'trail':
      return {
        what: say('That something was done, when, and by which role'),
        rule: say('Kept for seven years without names or contents, so that nobody can change the record.'),
      }
  }
}
