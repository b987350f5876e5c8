import { contract } from './index'

/** What is done to a thing beyond making, changing and removing it. */
const verbs = [
  ...[
    'ask-candidate',
    'answer',
    'approve',
    'ask',
    'assign',
    'check',
    'close',
    'compare',
    'compare-portrait',
    'confirm',
    'conclude',
    'decide',
    'decline',
    'discard',
    'drop',
    'end',
    'erase',
    'escalate',
    'file',
    'find',
    'finish',
    'forward',
    'hand-in',
    'import',
    'invite-again',
    'look-up',
    'move',
  ],
  ...[
    'plan',
    'preview',
    'remind',
    'renew',
    'reopen',
    'reply',
    'request-erasure',
    'resend',
    'retire',
    'retry',
    'return',
    'reset-password',
    'restore',
    'reveal',
    'revoke',
    'run',
    'send',
    'send-back',
  ],
  ...[
    'set-apart',
    'set-aside',
    'take-back',
    'set-password',
    'settle',
    'sign-out',
    'spread',
    'stop',
    'suspend',
    'take-up',
    'try',
    'turn-down',
    'undo',
    'verify',
    'verify-since',
  ],
  ...['withdraw'],
]
/** Of which there is one where it stands. */
const single = [
  ...[
    'account',
    'application',
    'behalf',
    'catalogue',
    'clock',
    'comparison',
    'confirmation',
    'data',
    'decision-day',
    'draft',
    'equality',
    'keeping',
    'language',
  ],
  ...['absence', 'logo', 'logo.png', 'operation', 'claim-order', 'organisation', 'owner', 'permission-text', 'watch'],
  ...[
    'handling',
    'mail',
    'mapping',
    'offer',
    'outbox',
    'paper',
    'password',
    'permission',
    'original',
    'phone',
    'proof',
    'reading',
    'unfinished',
    'provider',
    'score-sheet',
    'seen',
    'safe',
    'session',
    'signature',
  ],
  ...[
    'state',
    'status',
    'turnaround',
    'target-start',
    'trail',
    'tray',
    'vouching',
    'access-log',
    'left.csv',
    'postings.csv',
    'data.zip',
  ],
  ...['application.pdf', 'permission.pdf', 'form.pdf', 'letters.pdf', 'cover-sheets.pdf', 'source-watchlist'],
]
const endpoints = Object.entries(contract).map(([name, { method, path }]) => ({ name, method, path }))
const partsOf = (path: string) => path.split('/').filter((part) => part && !part.startsWith(':'))
const isThing = (part: string) => part.endsWith('s') || part === 'people' || single.includes(part)

test('addresses are made of things, and what is done to one is a verb at the end', () => {
  const odd = endpoints.flatMap(({ name, path }) => {
    const [api, ...parts] = partsOf(path)
    const things = parts.filter((part) => !['desk', 'my', 'employer', 'demo'].includes(part))
    const last = things.at(-1)!
    const fine = api === 'api' && things.slice(0, -1).every(isThing) && (isThing(last) || verbs.includes(last))
    return fine ? [] : [`${name} ${path}`]
  })
  expect(odd).toEqual([])
})

test('a verb is posted, or asks without changing anything', () => {
  const acts = endpoints.filter(({ path }) => verbs.includes(partsOf(path).at(-1)!))
  expect(
    acts
      .filter(({ method }) => method !== 'POST')
      .map(({ name }) => name)
      .sort(),
  ).toEqual(['find', 'previewEnquiry'])
})

test('no two endpoints answer at one address, whatever stands in it', () => {
  const places = endpoints.map(({ method, path }) => `${method} ${path.replace(/:\w+/g, ':')}`)
  expect(places.filter((place, nth) => places.indexOf(place) !== nth)).toEqual([])
})

test('every verb and every single thing is used', () => {
  const used = new Set(endpoints.flatMap(({ path }) => partsOf(path)))
  expect([...verbs, ...single].filter((part) => !used.has(part))).toEqual([])
})
