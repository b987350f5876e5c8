import { type Contract, contract } from '#contract/index'
import { mayCall, type Role } from '#contract/roles'
import { rightsOf } from '#core/rights/rights'
import { type Act, actsFor } from './acts'

const reader = (...roles: Role[]) => ({
  rights: rightsOf(roles),
  may: (name: keyof Contract) => mayCall(contract[name], { roles, rights: rightsOf(roles) }),
})
const enquiry = (state: string) => ({ state, channel: 'link' })

/** A claim and what stands behind it, as far as its acts go. */
const claim = (over: {
  rung?: string
  outcome?: string
  proposed?: string
  state?: string
  kind?: string
  doc?: string
  stale?: true
  decided?: true
}) =>
  [
    {
      rung: over.rung ?? 'asked',
      confirmed: over.stale ? { since: '2025-01-01', until: '2026-01-01', stale: true } : null,
      details: { kind: over.kind ?? 'licence' },
      documents: over.doc ? [{ state: over.doc }] : [],
    },
    {
      enquiries: over.state ? [enquiry(over.state)] : [],
      comparison: { outcome: over.outcome ?? 'no reply' },
      proposed: over.proposed ?? null,
      standing: null,
      findings: over.decided ? [{ undone: false }] : [],
      register: false,
    },
  ] as unknown as [Parameters<typeof actsFor>[0], Parameters<typeof actsFor>[1]]

const answered = claim({ state: 'answered', outcome: 'agrees', proposed: 'confirmed' })

test('an assessor and a hiring manager are shown no act that would refuse them', () => {
  for (const role of ['assessor', 'hiring manager'] as const)
    expect(actsFor(...answered, reader(role)).acts).toEqual([])
  expect(actsFor(...claim({ doc: 'to look at' }), reader('assessor')).acts).not.toContain('look')
})

test.each<[string, Parameters<typeof claim>[0], Act | undefined, Act[]]>([
  ['a paper nobody has seen is looked at first', { doc: 'to look at', rung: 'claimed' }, 'look', ['look', 'ask']],
  [
    'what was confirmed too long ago is asked again, and the old answer decides nothing',
    { rung: 'confirmed', stale: true, state: 'answered', outcome: 'agrees', proposed: 'confirmed' },
    'ask',
    ['ask', 'contradict', 'unconfirmable', 'candidate'],
  ],
  [
    'what is confirmed and fresh is settled',
    { rung: 'confirmed', state: 'answered', outcome: 'agrees' },
    undefined,
    [],
  ],
  [
    'an answer that agrees is confirmed',
    { state: 'answered', outcome: 'agrees', proposed: 'confirmed' },
    'confirm',
    ['confirm', 'again', 'contradict', 'candidate'],
  ],
  [
    'one that contradicts is recorded',
    { state: 'answered', outcome: 'contradicts', proposed: 'contradicted' },
    'contradict',
    ['contradict', 'note', 'again', 'candidate'],
  ],
  [
    'a source that knows nothing proposes no decision',
    { state: 'answered', outcome: 'unknown' },
    undefined,
    ['again', 'note', 'contradict', 'candidate'],
  ],
  ['what is asked waits', { state: 'open' }, undefined, ['contradict', 'unconfirmable', 'candidate']],
  [
    'what somebody has decided is decided anew',
    { rung: 'confirmed', state: 'answered', outcome: 'agrees', decided: true },
    undefined,
    ['anew'],
  ],
  [
    'where too little was said, asking again comes first',
    { state: 'answered', outcome: 'look', proposed: 'ask again' },
    'again',
    ['again', 'note', 'contradict', 'candidate'],
  ],
  ['what is confirmed is settled', { rung: 'confirmed', state: 'answered', outcome: 'agrees' }, undefined, []],
  ['a paper of a question has no source to ask', { kind: 'paper', rung: 'claimed' }, undefined, []],
])('%s', (_what, over, main, acts) => {
  const found = actsFor(...claim(over), reader('coordinator'))
  expect([found.main, found.acts]).toEqual([main, acts])
})
