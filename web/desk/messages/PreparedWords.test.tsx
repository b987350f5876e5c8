import { fireEvent, screen, waitFor, within } from '@testing-library/react'
import { showPage } from '../../../test/page'
import { PreparedWords } from './PreparedWords'

const id = (at: number) => `0190a3f0-0000-7000-8000-00000000001${at}`
const sentence = (at: number, over: object = {}) => ({
  ...{
    id: id(at),
    about: 'document',
    title: `Short ${at}`,
    english: `English ${at}.`,
    german: `Deutsch ${at}.`,
    version: 1,
  },
  ...over,
})
const template = {
  ...{ id: id(9), name: 'Still waiting', english: { subject: 'We wait', text: 'Hello.' }, german: null, version: 2 },
  ...{ savedBy: 'Ines', savedAt: '2026-11-20T08:00:00.000Z' },
}
const show = (more: object = {}) =>
  showPage(<PreparedWords />, {
    listTemplates: { templates: [template], placeholders: [{ name: 'vacancy', is: 'the vacancy' }] },
    listSourceTexts: [],
    listSentences: [sentence(1), sentence(2), sentence(3, { about: 'answer' })],
    ...more,
  } as Parameters<typeof showPage>[1])
const about = async (name: string) => within(await screen.findByRole('region', { name }))

const sourceText = (name: string, language: string, over: object = {}) => ({
  ...{ name, language, subject: 'Ask {{candidate}}', text: `In ${language}: {{link}}`, version: 0, own: null },
  ...over,
})

test('a text to sources is written in the language that is chosen, and its first words come back', async () => {
  const own = { own: { savedBy: 'Ines', savedAt: '2026-11-20T08:00:00.000Z' }, version: 3 }
  const { user, sent } = await show({
    listSourceTexts: ['en', 'de', 'fr', 'it'].map((language) =>
      sourceText('mail.enquiry.work', language, language === 'fr' ? own : {}),
    ),
    saveSourceText: { version: 1 },
    resetSourceText: { done: true },
  })
  const region = await about('What sources are written')
  expect(region.getByText('own words in Français')).toBeTruthy()
  await user.click(region.getByRole('button', { name: 'Question about work, by mail' }))
  const dialog = within(await screen.findByRole('dialog'))
  expect(dialog.queryByRole('button', { name: 'Back to the first words' })).toBeNull()
  await user.selectOptions(dialog.getByLabelText('Language'), 'de')
  fireEvent.change(dialog.getByLabelText('Text'), { target: { value: 'Neu: {{link}}' } })
  await user.click(dialog.getByRole('button', { name: 'Save' }))
  await waitFor(() => expect(sent).toHaveLength(1))
  expect(sent[0]).toMatchObject({
    params: { name: 'mail.enquiry.work', language: 'de' },
    body: { version: 0, subject: 'Ask {{candidate}}', text: 'Neu: {{link}}' },
  })
  await user.click(region.getByRole('button', { name: 'Question about work, by mail' }))
  const again = within(await screen.findByRole('dialog'))
  await user.selectOptions(again.getByLabelText('Language'), 'fr')
  await user.click(again.getByRole('button', { name: 'Back to the first words' }))
  await waitFor(() => expect(sent.at(-1)).toMatchObject({ name: 'resetSourceText', params: { language: 'fr' } }))
})

test('sentences are kept apart by what they are about, numbered, changed and saved together', async () => {
  const { user, sent } = await show({ saveSentences: { done: true } })
  const papers = await about('About a paper')
  expect(papers.getAllByLabelText<HTMLInputElement>('Short').map(({ value }) => value)).toEqual(['Short 1', 'Short 2'])
  expect((await about('About an answer')).getAllByLabelText('Short')).toHaveLength(1)
  fireEvent.change(papers.getAllByLabelText('English')[0]!, { target: { value: 'Please send the back.' } })
  await user.click(papers.getByRole('button', { name: 'Remove Short 2' }))
  await user.click(papers.getByRole('button', { name: 'Add one' }))
  fireEvent.change(papers.getAllByLabelText('Short')[1]!, { target: { value: 'Blurred' } })
  fireEvent.change(papers.getAllByLabelText('English')[1]!, { target: { value: 'It is blurred.' } })
  fireEvent.change(papers.getAllByLabelText('German')[1]!, { target: { value: 'Unscharf.' } })
  await user.click(papers.getByRole('button', { name: 'Save these sentences' }))
  await waitFor(() => expect(sent).toHaveLength(1))
  expect(sent[0]!.params).toEqual({ about: 'document' })
  const { sentences } = sent[0]!.body as { sentences: { title: string; english: string; version: number }[] }
  expect(sentences.map(({ title, english, version }) => [title, english, version])).toEqual([
    ['Short 1', 'Please send the back.', 1],
    ['Blurred', 'It is blurred.', 0],
  ])
})

test('a sentence somebody else changed meanwhile is refused, and what was typed stays', async () => {
  const { user } = await show({ saveSentences: { problem: { status: 409, title: 'Changed meanwhile.' } } })
  const papers = await about('About a paper')
  fireEvent.change(papers.getAllByLabelText('Short')[0]!, { target: { value: 'Mine' } })
  await user.click(papers.getByRole('button', { name: 'Save these sentences' }))
  await papers.findByText('Changed meanwhile.')
  expect(papers.getAllByLabelText<HTMLInputElement>('Short')[0]!.value).toBe('Mine')
})

describe('a message', () => {
  test('is prepared anew, in English alone until there is German', async () => {
    const { user, sent } = await show({ saveTemplate: { version: 1 } })
    await user.click(await screen.findByRole('button', { name: 'Prepare a message' }))
    const dialog = within(await screen.findByRole('dialog'))
    expect(dialog.getByRole<HTMLButtonElement>('button', { name: 'Save' }).disabled).toBe(true)
    expect(dialog.queryByRole('button', { name: 'Remove' })).toBeNull()
    dialog.getByText('{{vacancy}}')
    fireEvent.change(dialog.getByLabelText('What it is called here'), { target: { value: 'Thanks' } })
    fireEvent.change(dialog.getByLabelText('Subject'), { target: { value: 'Thank you' } })
    fireEvent.change(dialog.getByLabelText('Message'), { target: { value: 'For {{vacancy}}.' } })
    await user.click(dialog.getByRole('button', { name: 'Save' }))
    await waitFor(() => expect(sent).toHaveLength(1))
    expect(sent[0]!.body).toEqual({
      ...{ name: 'Thanks', version: 0, english: { subject: 'Thank you', text: 'For {{vacancy}}.' }, german: null },
    })
    await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull())
  })

  test('a placeholder nobody knows is said beside its field', async () => {
    const message = 'There is nothing to fill in for {{nmae}}.'
    const faults = [{ pointer: '/body/english/text', message }]
    const { user } = await show({ saveTemplate: { problem: { status: 422, faults } } })
    await user.click(await screen.findByRole('button', { name: 'Still waiting' }))
    const dialog = within(await screen.findByRole('dialog'))
    fireEvent.change(dialog.getByLabelText('Message'), { target: { value: 'Dear {{nmae}}' } })
    await user.click(dialog.getByRole('button', { name: 'Save' }))
    await dialog.findByText(message)
  })

  test('one that is no longer wanted is removed', async () => {
    const { user, sent } = await show({ removeTemplate: { done: true } })
    await user.click(await screen.findByRole('button', { name: 'Still waiting' }))
    await user.click(within(await screen.findByRole('dialog')).getByRole('button', { name: 'Remove' }))
    await waitFor(() => expect(sent[0]).toMatchObject({ name: 'removeTemplate', params: { id: template.id } }))
  })
})
