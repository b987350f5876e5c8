export const permissionVersion = 'v2'

/** What is signed, in its version. Paragraphs are separated by an empty line. */
export const permissionText = (operator: string) =>
  `I allow ${operator} to check what I have stated in my application with those who issued it: schools and universities, licensing bodies, certifiers and former employers.

For each check, ${operator} may tell the source my name, my date of birth and the statement to be checked, and nothing else. The source may answer these questions and no others.

Employers I have marked “after an offer” or “never” are not asked before, or at all.

I can withdraw this permission at any time on my status page. What was checked until then stays on record; nothing more will be asked.`
