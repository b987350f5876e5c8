import { fill, missingIn, unknownIn } from './fill'

const values = {
  name: 'Maëlle Dréau',
  givenName: 'Maëlle',
  vacancy: 'Rescue lead',
  place: 'Vallorne',
  reference: 'VM-7K3Q-R9',
  start: '1 Mar 2027',
  link: 'https://house.test/applications/1',
  contact: '',
}

test('placeholders are filled in wherever they stand, spaces or not', () => {
  expect(fill('{{givenName}}, your {{ vacancy }} ({{reference}})', values)).toBe(
    'Maëlle, your Rescue lead (VM-7K3Q-R9)',
  )
})

test('a value that looks like a placeholder is not filled again', () => {
  expect(fill('{{name}}', { ...values, name: '{{link}}' })).toBe('{{link}}')
})

test('what nobody can fill is named, open braces too', () => {
  expect(unknownIn('{{nmae}} and {{name}} and {{ link')).toEqual(['{{nmae}}', '{{'])
  expect(unknownIn('{{name}}')).toEqual([])
  expect(fill('{{nmae}}', values)).toBe('{{nmae}}')
})

test('a placeholder without a value is named once', () => {
  expect(missingIn('{{contact}}, {{contact}}, {{name}}', values)).toEqual(['contact'])
})
