import type { Reading } from './romanisation'

export const isArabic = (text: string) => /\p{Script=Arabic}/u.test(text)

/**
 * Frequent names, written in Arabic without vowels as everywhere, and with them by BGN/PCGN 1956 (ISO 233 has the same
 * vowels): only somebody who knows the name knows its vowels. `Ł` is an article that takes on the letter behind it. A kept list.
 */
const kept =
  'محمد muḩammad أحمد aḩmad احمد aḩmad محمود maḩmūd حامد ḩāmid حميد ḩamīd علي ‘alī حسن ḩasan حسين ḩusayn عمر ‘umar عمرو ‘amr عثمان ‘uthmān ' +
  'يوسف yūsuf|yūsif إبراهيم ibrāhīm ابراهيم ibrāhīm إسماعيل ismā‘īl اسماعيل ismā‘īl إسحاق isḩāq موسى mūsá عيسى ‘īsá داود dāwūd سليمان sulaymān ' +
  'خالد khālid وليد walīd طارق ţāriq سعيد sa‘īd سعد sa‘d سالم sālim سليم salīm سامي sāmī سمير samīr كريم karīm كمال kamāl جمال jamāl ' +
  'جميل jamīl حبيب ḩabīb حمزة ḩamzah رشيد rashīd راشد rāshid رضا riḑā زياد ziyād زيد zayd شريف sharīf صالح şāliḩ صلاح şalāḩ طه ţāhā ' +
  'عادل ‘ādil عباس ‘abbās فؤاد fu’ād فاروق fārūq فهد fahd فيصل fayşal قاسم qāsim ماجد mājid مجيد majīd مصطفى muşţafá منصور manşūr ' +
  'نبيل nabīl ناصر nāşir نصر naşr نور nūr هاني hānī هشام hishām ياسر yāsir ياسين yāsīn يحيى yaḩyá أيمن ayman أنس anas أسامة usāmah ' +
  'بلال bilāl بشير bashīr جعفر ja‘far عمار ‘ammār أمين amīn أمير amīr مالك mālik مراد murād مروان marwān معاذ mu‘ādh لطفي luţfī ' +
  'فاطمة fāţimah عائشة ‘ā’ishah خديجة khadījah زينب zaynab مريم maryam ليلى laylá سارة sārah هدى hudá نادية nādiyah سلمى salmá ' +
  'أمينة amīnah سعاد su‘ād سميرة samīrah كريمة karīmah جميلة jamīlah رانيا rāniyā دينا dīnā هند hind إيمان īmān سناء sanā’ نجلاء najlā’ ' +
  'عبدالله ‘abdŁlāh عبدالرحمن ‘abdŁraḩmān عبدالعزيز ‘abdŁazīz عبدالكريم ‘abdŁkarīm عبدالقادر ‘abdŁqādir عبدالحميد ‘abdŁḩamīd عبدالسلام ‘abdŁsalām'
const known = new Map<string, string>(
  kept.split(' ').reduce<[string, string][]>((pairs, token, at, all) => {
    if (at % 2 === 0) pairs.push([token, all[at + 1]!])
    return pairs
  }, []),
)

const table = (text: string) => new Map(text.split(' ').map((pair) => pair.split(':') as [string, string]))
/** ICAO Doc 9303-3, eighth edition, section 6 C: what a machine-readable zone has. */
const icao = table(
  'ء:XE آ:XAA أ:XAE ؤ:U إ:I ئ:XI ا:A ب:B ة:XTA ت:T ث:XTH ج:J ح:XH خ:XKH د:D ذ:XDH ر:R ز:Z س:S ش:XSH ص:XSS ض:XDZ ط:XTT ظ:XZZ ع:E غ:G ف:F ق:Q ك:K ل:L م:M ن:N ه:H و:W ى:XAY ي:Y',
)
/** ISO 233:1984, the letters. */
const iso233 = table(
  'ء:ˌ آ:ʾâ أ:ʾ ؤ:ʾ إ:ʾ ئ:ʾ ا:ʾ ب:b ة:ẗ ت:t ث:ṯ ج:ǧ ح:ḥ خ:ẖ د:d ذ:ḏ ر:r ز:z س:s ش:š ص:ṣ ض:ḍ ط:ṭ ظ:ẓ ع:ʿ غ:ġ ف:f ق:q ك:k ل:l م:m ن:n ه:h و:w ى:ỳ ي:y',
)

/** The words of a name, with what belongs to the next one joined to it. */
export const arabicWords = (text: string): string[] =>
  text
    .normalize('NFC')
    .replace(/[\u064b-\u0652\u0640]/g, '')
    .replace(/(?<=^|\s)(عبد|ابو|أبو|بن|ابن|آل)\s+/gu, '$1')
    .split(/[\s-]+/)
    .filter(Boolean)

/** The letters alone, as a zone and as ISO 233 have them; and the whole name where its vowels are known. */
export function arabicReadings(word: string): Reading[] {
  const by = (letters: Map<string, string>) => [...word].map((letter) => letters.get(letter) ?? letter).join('')
  const vowels = (known.get(word) ?? known.get(word.replace(/^ال/, '')))?.split('|')[0]?.replace('Ł', 'ul')
  return [
    ...(vowels ? [{ standard: 'BGN/PCGN', text: `${word.startsWith('ال') ? 'al-' : ''}${vowels}` } as const] : []),
    { standard: 'ISO 233', text: by(iso233) },
    { standard: 'ICAO 9303', text: by(icao) },
  ]
}

/** The way a known name is written in Latin letters, as a pattern over plain small letters. */
const patternOf = (ways: string) => new RegExp(`^(?:${ways.split('|').map(wayPattern).join('|')})$`)

function wayPattern(vowelled: string): string {
  let pattern = ''
  const text = vowelled.replace(/[‘’]/g, '').replace(/ah$/, 'Ä').replace(/á$/, 'Ä')
  for (let at = 0; at < text.length; ) {
    const found = pieces.find(([piece]) => text.startsWith(piece, at))
    const letter = text[at]!
    pattern += found?.[1] ?? `${plainOf(letter)}{1,2}`
    at += found ? found[0].length : 1
    // A letter that is written twice may also be written once.
    if (!found && text[at] === letter) at += 1
  }
  return pattern
}

const pieces: readonly (readonly [string, string])[] = [
  ['Ł', '(?:[aeu]?[lrnszdt]{0,2}h?)'],
  ['Ä', '(?:ah?|eh?|at|aa)'],
  ['ayy', '(?:ayy?|aiy?)'],
  ['ay', '(?:ay|ai|ei|ey|e)'],
  ['aw', '(?:aw|au|ow|ou|o)'],
  ['kh', '(?:kh|ch|h)'],
  ['gh', '(?:gh|g)'],
  ['dh', '(?:dh|d|z)'],
  ['th', '(?:th|t|s)'],
  ['sh', '(?:sh|ch|sch)'],
  ['ā', '(?:aa?|e)'],
  ['ī', '(?:ie?|ee|y)'],
  ['ū', '(?:uu?|oo|ou|o)'],
  ['a', '[ae]'],
  ['i', '[iey]'],
  ['u', '(?:u|o|ou)'],
  ['q', '(?:q|k|g)'],
  ['j', '(?:j|dj|g|dsch)'],
  ['w', '(?:w|v|ou)'],
  ['y', '(?:y|i|j)'],
]
const plainOf = (letter: string) => letter.normalize('NFD').replace(/\p{M}/gu, '')

/** Consonants alone: short vowels between them are not written, long ones are. */
function lettersPattern(word: string): RegExp {
  const short = '[aeiou]?'
  const body = [...word.replace(/^ال/, '')]
    .map((letter, at) => {
      const read = loose[letter]
      if (read === undefined) return ''
      return `${at > 0 && !long.has(letter) ? short : ''}${read}`
    })
    .join('')
  return new RegExp(`^${word.startsWith('ال') ? '(?:[aeu][lrnsdtz]h?)?' : ''}${body}$`)
}
const long = new Set(['ا', 'و', 'ي', 'ى', 'آ', 'ة'])
const loose: Record<string, string> = Object.fromEntries(
  (
    'أ:[aeiou] إ:[ie] آ:aa? ا:(?:aa?|e) ب:b{1,2} ت:t{1,2} ث:(?:th|t|s) ج:(?:j|dj|g) ح:h{1,2} خ:(?:kh|ch|h) د:d{1,2} ذ:(?:dh|d|z) ر:r{1,2} ز:z{1,2} س:s{1,2} ش:(?:sh|ch|sch) ' +
    'ص:s{1,2} ض:d{1,2} ط:t{1,2} ظ:(?:z|d|dh) ع:[aeiou]?a? غ:(?:gh|g) ف:f{1,2} ق:(?:q|k|g) ك:k{1,2} ل:l{1,2} م:m{1,2} ن:n{1,2} ه:h? و:(?:w|v|uu?|oo?|ou) ى:(?:a|ah|i) ي:(?:y|ie?|ee|ai|ay|ei|e) ة:(?:ah?|eh?|at)'
  )
    .split(' ')
    .map((pair) => [pair[0]!, pair.slice(2)]),
)

export type ArabicFit = 'known' | 'letters' | 'other'

const patterns = new Map([...known].map(([word, vowels]) => [word, patternOf(vowels)]))

/**
 * Whether a word in Arabic letters can be what a part in plain small Latin letters says: `known` where its vowels are known
 * and fit, or the letters are those of a standard; `letters` where they only do not speak against it; `other` where they do.
 */
export function fitsArabic(word: string, latin: string): ArabicFit {
  const letters = arabicReadings(word).map(({ text }) => plainOf(text.toLowerCase()).replace(/[^a-z]/g, ''))
  if (letters.includes(latin)) return 'known'
  const bare = word.replace(/^ال/, '')
  const pattern = patterns.get(word) ?? patterns.get(bare)
  if (!pattern) return lettersPattern(word).test(latin) ? 'letters' : 'other'
  const unarticled = word === bare ? [] : [latin.replace(/^[aeu][lrnsdtz]/, ''), latin.replace(/^[aeu][sdt]h/, '')]
  return [latin, ...unarticled].some((way) => pattern.test(way)) ? 'known' : 'other'
}

/** Whether two parts in plain small Latin letters are ways to write one known Arabic name: `mohamed`, `muhammad`. */
export const sameInArabic = (a: string, b: string): boolean =>
  [...patterns.values()].some((pattern) => pattern.test(a) && pattern.test(b))
