import letterDe from '../words/catalogue/letter.de'
import letterEn from '../words/catalogue/letter.en'
import letterFr from '../words/catalogue/letter.fr'
import letterIt from '../words/catalogue/letter.it'
import mailDe from '../words/catalogue/mail.de'
import mailEn from '../words/catalogue/mail.en'
import mailFr from '../words/catalogue/mail.fr'
import mailIt from '../words/catalogue/mail.it'
import { isSourceText, sourceTextNames, sourceTexts } from './texts'

const texts: Record<string, Record<string, string>> = {
  en: { ...mailEn, ...letterEn },
  de: { ...mailDe, ...letterDe },
  fr: { ...mailFr, ...letterFr },
  it: { ...mailIt, ...letterIt },
}
const placesIn = (text: string) => [...text.matchAll(/\{\{(\w+)\}\}/g)].map((match) => match[1]!)

test.each(Object.keys(texts).flatMap((language) => sourceTextNames.map((name) => [name, language] as const)))(
  '%s in %s is filled with what is known there, and has what it needs',
  (name, language) => {
    const { fields, needs, subject } = sourceTexts[name]
    const text = texts[language]![subject ? `${name}.text` : name]!
    const head = subject ? texts[language]![`${name}.subject`]! : ''
    const known: readonly string[] = fields
    expect(placesIn(head + text).filter((place) => !known.includes(place))).toEqual([])
    expect(placesIn(text)).toEqual(expect.arrayContaining([...needs]))
  },
)

test('a text is known by its name', () => {
  expect([isSourceText('mail.enquiryReminder'), isSourceText('mail.hello')]).toEqual([true, false])
})
