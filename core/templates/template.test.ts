import { faultsOfTemplate, renderTemplate } from './template'

const values = {
  name: 'Maëlle Dréau',
  givenName: 'Maëlle',
  vacancy: 'Rescue lead',
  reference: 'VM-7K3Q-R9',
  link: 'https://house.test/applications/1',
  contact: '',
}
const fields = Object.keys(values)

test('fields are filled in wherever they stand, spaces or not', () => {
  expect(renderTemplate('{{givenName}}, your {{ vacancy }} ({{reference}})', values)).toEqual({
    text: 'Maëlle, your Rescue lead (VM-7K3Q-R9)',
  })
})

test('a value that looks like a field, or like a tag, is text and stays so', () => {
  for (const name of ['{{link}}', '{% if name %}', '<b>&amp;</b>'])
    expect(renderTemplate('{{name}}!', { ...values, name })).toEqual({ text: `${name}!` })
})

test('an unknown field is found when it is saved, once, and also in a condition or below a field', () => {
  expect(faultsOfTemplate('{{name}} {{nmae}} {{ nmae }}', fields)).toEqual([{ code: 'unknown-field', field: 'nmae' }])
  expect(faultsOfTemplate('{% if salary %}x{% endif %}', fields)).toEqual([{ code: 'unknown-field', field: 'salary' }])
  expect(faultsOfTemplate('{{ name.constructor }}', fields)).toEqual([
    { code: 'unknown-field', field: 'name.constructor' },
  ])
  expect(faultsOfTemplate('{{name}}', fields)).toEqual([])
})

test.each(['{{name}} and {{ link', 'a }} b', '{{ }}', '{% if name %}', '{{name}} %}', '{{ name | sha256 }}'])(
  'what cannot be read is a fault: %s',
  (text) => expect(faultsOfTemplate(text, fields)).toMatchObject([{ code: 'not-readable' }]),
)

test.each(['include', 'render', 'layout', 'for', 'assign', 'capture', 'raw', 'tablerow', 'liquid'])(
  'a template cannot %s: it reads no file and runs in no circle',
  (tag) =>
    expect(faultsOfTemplate(`{% ${tag} name %}x{% end${tag} %}`, fields)).toMatchObject([{ code: 'not-readable' }]),
)

test('a missing value is named when it is sent, unless the sentence is left out without it', () => {
  expect(renderTemplate('Ring {{contact}}.', values)).toEqual({ missing: 'contact' })
  expect(renderTemplate('Hello.{% if contact %} Ring {{contact}}.{% endif %}', values)).toEqual({ text: 'Hello.' })
  expect(renderTemplate('Ring {{ contact | default: "the desk" }}.', values)).toEqual({ text: 'Ring the desk.' })
})

test('what would grow beyond measure with long names is not kept', () => {
  const grows = `{{ name${' | append: name'.repeat(1200)} }}`
  expect(grows.length).toBeLessThan(20_000)
  expect(faultsOfTemplate(grows, fields)).toMatchObject([{ code: 'not-readable' }])
  expect(faultsOfTemplate('{{ name | append: name }}', fields)).toEqual([])
  expect(faultsOfTemplate('x'.repeat(20_001), fields)).toMatchObject([{ code: 'not-readable' }])
})
