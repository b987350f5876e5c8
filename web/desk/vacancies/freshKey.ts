/** A short name made from words, unlike all that are taken. */
export function freshKey(words: string, taken: ReadonlySet<string>): string {
  const plain =
    words
      .normalize('NFD')
      .replace(/\p{M}/gu, '')
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-|-$/g, '')
      .slice(0, 40) || 'item'
  for (let nth = 1; ; nth += 1) {
    const key = nth === 1 ? plain : `${plain}-${nth}`
    if (!taken.has(key)) return key
  }
}
