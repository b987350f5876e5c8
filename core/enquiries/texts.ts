/** What a text to a source is filled with: all that is known where it is written, and what it cannot be without. */
type Filled = { fields: readonly string[]; needs: readonly string[]; subject: boolean }

const asked = ['candidate', 'claim', 'source', 'operator', 'fields', 'reference', 'answerBy'] as const

/**
 * The texts to sources that a house may write in words of its own, by the name of those that are used until it does. Whoever gets a
 * question without its link cannot answer it, and a paper without its reference is not found.
 */
export const sourceTexts = {
  'mail.enquiry.work': { fields: [...asked, 'link'], needs: ['link'], subject: true },
  'mail.enquiry.issued': { fields: [...asked, 'link'], needs: ['link'], subject: true },
  'mail.enquiry.several': {
    fields: ['operator', 'source', 'count', 'people', 'link', 'answerBy'],
    needs: ['people', 'link'],
    subject: true,
  },
  'mail.enquiry.direct': { fields: [...asked, 'contact', 'address'], needs: ['reference'], subject: true },
  'mail.enquiryReminder': { fields: ['candidate', 'claim', 'asked', 'link'], needs: ['link'], subject: true },
  'mail.enquiryReminder.several': {
    fields: ['count', 'people', 'asked', 'link'],
    needs: ['people', 'link'],
    subject: true,
  },
  'mail.enquiry.forwarded': {
    fields: ['by', 'source', 'operator', 'candidate', 'claim', 'answerBy', 'link'],
    needs: ['link'],
    subject: true,
  },
  'letter.text.work': { fields: ['candidate', 'claim'], needs: ['candidate', 'claim'], subject: false },
  'letter.text.issued': { fields: ['candidate', 'claim'], needs: ['candidate', 'claim'], subject: false },
  'letter.text.several': { fields: [], needs: [], subject: false },
} as const satisfies Record<string, Filled>

export type SourceText = keyof typeof sourceTexts
export const sourceTextNames = Object.keys(sourceTexts) as SourceText[]
export const isSourceText = (name: string): name is SourceText => name in sourceTexts
