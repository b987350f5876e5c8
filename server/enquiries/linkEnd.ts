/** A link is no key for ever; every reminder makes a new one and lets the others live as long. */
const linkDays = 60

export const linkEnd = (from: Date): Date => new Date(from.getTime() + linkDays * 86_400_000)
