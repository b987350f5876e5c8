/** Words that stand in many names and tell nobody apart. */
const common = new Set([
  'gmbh',
  'group',
  'holding',
  'company',
  'mail',
  'institut',
  'university',
  'school',
  'line',
  'lines',
])
const shortest = 4

const plain = (text: string) => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase().replace(/ß/g, 'ss')

/**
 * The employer whose address a mail address seems to be: one that is left is lost with the job.
 *
 * @param employers names of those somebody works for now
 * @returns the name, or nothing where none fits. A name fits where the domain (without its last part) is made of a telling word of
 *   it, of at least four letters, or of all its words together
 * @example employerOf('jo@nordrampe.example', ['Nordrampe Seilbahnen']) // 'Nordrampe Seilbahnen'
 */
export function employerOf(mail: string, employers: readonly string[]): string | undefined {
  const labels = plain(mail.split('@')[1] ?? '')
    .split('.')
    .slice(0, -1)
    .flatMap((label) => [label.replace(/-/g, ''), ...label.split('-')])
  return employers.find((name) => {
    const words = plain(name)
      .split(/[^a-z0-9]+/)
      .filter(Boolean)
    const telling = words.filter((word) => word.length >= shortest && !common.has(word))
    return labels.some((label) => label.length >= shortest && (telling.includes(label) || label === words.join('')))
  })
}
