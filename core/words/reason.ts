/** What is given as a reason has at least so many characters: less than a word is none. */
export const shortestReason = 3

export const isReason = (text: string): boolean => text.trim().length >= shortestReason
