import { catalogue } from '../catalogue/catalogue'
import { faultsOfRules } from './faults'
import { requirementsIn } from './rules'
import { beginWith, startingPoints } from './startingPoints'

test.each(startingPoints)('a vacancy begun as %s can be published as it stands', (start) => {
  const licence = catalogue().credentials.find(({ claim }) => claim === 'licence')!.key
  for (const credential of [licence, undefined]) {
    const { rules, contract, hours } = beginWith(start, credential)
    expect(faultsOfRules(rules, {})).toEqual([])
    expect(rules.form.at(-1)!.holds).toBe('send')
    expect([contract, hours].every(Boolean)).toBe(true)
  }
})

test.each(startingPoints)(
  'as %s everything is said in German as well, and something is asked at more than one gate',
  (start) => {
    const { rules } = beginWith(start, 'first-aid')
    const said = [...rules.form, ...rules.form.flatMap(({ questions }) => [...questions]), ...rules.requirements]
    expect(said.filter(({ translations }) => translations?.de === undefined)).toEqual([])
    expect(new Set(requirementsIn(rules).map(({ gate }) => gate)).size).toBeGreaterThan(1)
  },
)

test('a post with a licence asks for the one it is given, confirmed and valid beyond the start', () => {
  const asked = beginWith('licensed', 'first-aid').rules.requirements.find(({ key }) => key === 'licence')
  expect(asked).toMatchObject({ asks: { kind: 'credential', credential: 'first-aid' }, rung: 'confirmed' })
  expect(beginWith('licensed', undefined).rules.requirements.some(({ key }) => key === 'licence')).toBe(false)
})
