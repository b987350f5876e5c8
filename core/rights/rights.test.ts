import * as fc from 'fast-check'
import { faultsOfTable, rights, rightsOf, type StaffRole, staffRoles, usualRights } from './rights'

test('money and health are closed to every role that is not named for them, administrators included', () => {
  const closed = rights.filter((right) => /^(money|medical)\./.test(right))
  expect(closed).toHaveLength(4)
  expect(rightsOf(['administrator']).filter((right) => closed.includes(right))).toEqual([])
  expect(rightsOf(['hiring manager', 'reviewer', 'auditor']).filter((right) => closed.includes(right))).toEqual([])
  expect(rightsOf(['money'])).toContain('money.record')
})

test('an auditor reads, has it stated in a report, and changes nothing of a file', () => {
  expect(rightsOf(['auditor'])).toEqual([
    ...['files.read', 'documents.read', 'vacancies.read', 'reports.make', 'statistics.read', 'trail.read'],
  ])
})

test('a candidate has no right at the desk', () => {
  expect(rightsOf(['candidate'])).toEqual([])
})

test('several roles together hold what each of them holds, and nothing else', () => {
  const some = fc.subarray([...staffRoles])
  fc.assert(
    fc.property(some, some, (one, other) => {
      const both = new Set([...rightsOf(one), ...rightsOf(other)])
      expect(new Set(rightsOf([...one, ...other]))).toEqual(both)
    }),
  )
})

test('what was decided counts; a right that came later is held as usual', () => {
  expect(rightsOf(['reviewer'], { 'proof.settle': [] })).not.toContain('proof.settle')
  expect(rightsOf(['reviewer'], { 'proof.settle': [] })).toContain('documents.read')
})

test('administrators cannot be shut out of the table of rights, nor work be left to nobody', () => {
  expect(faultsOfTable(usualRights)).toEqual([])
  const without = { ...usualRights, 'colleagues.keep': ['coordinator'] as StaffRole[], 'proof.settle': [] }
  expect(faultsOfTable(without)).toEqual([
    { code: 'locked', right: 'colleagues.keep', role: 'administrator' },
    { code: 'nobody', right: 'proof.settle' },
  ])
})
