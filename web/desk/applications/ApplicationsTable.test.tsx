import { screen, waitFor, within } from '@testing-library/react'
import { v7 as uuid } from 'uuid'
import type { TableRow } from '#contract/lists'
import type { Role } from '#contract/roles'
import { type Call, showPage } from '../../../test/page'
import { ApplicationsTable } from './ApplicationsTable'

const row = (name: string, over: Partial<TableRow> = {}): TableRow => ({
  ...{ id: uuid(), name, reference: 'VM-EDMH-RK', vacancy: 'Rope-access inspector', stage: 'sent' },
  ...{
    sentAt: '2026-11-20T08:00:00.000Z',
    met: { done: 1, of: 3 },
    eligible: 'yes',
    blanks: 0,
    changes: 0,
    reviews: 0,
  },
  ...{ score: null, slack: 4, likely: '2026-12-20', heldUpBy: null, duplicates: false },
  ...over,
})
const all = [row('Ada Kern'), row('Bela Moser', { slack: -3 }), row('Cem Ulmer', { eligible: 'no' })]

type More = Parameters<typeof showPage>[1]
const page = async ({
  rows = all,
  roles = ['coordinator'] as Role[],
  at = '/desk/applications/table',
  ...more
}: More & { rows?: TableRow[] } = {}) => {
  const asked: Record<string, string>[] = []
  const shown = await showPage(<ApplicationsTable />, {
    roles,
    at,
    path: '/desk/applications/table',
    readTable: ({ query }: Call) => {
      asked.push(query)
      return { rows, next: query.after ? null : 'place', total: rows.length }
    },
    deskVacancies: [],
    listViews: [],
    listTemplates: { templates: [], placeholders: [] },
    ...more,
  } as More)
  if (rows.length > 0) await screen.findByRole('link', { name: rows[0]!.name })
  return { ...shown, asked }
}
const names = () =>
  screen
    .getAllByRole('row')
    .slice(1)
    .map((one) => within(one).getByRole('link').textContent)
const ticked = () =>
  screen
    .getAllByRole('checkbox', { name: /^Tick [A-Z]/ })
    .flatMap((box) => ((box as HTMLInputElement).checked ? [box.getAttribute('aria-label')] : []))

test('who is there stands in rows, with how many they are and what is grave marked', async () => {
  await page()
  expect(names()).toEqual(['Ada Kern', 'Bela Moser', 'Cem Ulmer'])
  expect(screen.getByRole('status').textContent).toBe('3 people')
  expect(screen.getByText(/^−3/).className).toContain('contradicted')
})

test('all of it goes by keys: down, tick, and into the file', async () => {
  const { user, where } = await page()
  await user.keyboard('j ')
  expect(ticked()).toEqual(['Tick Bela Moser'])
  await user.keyboard('jjj ')
  expect(ticked()).toEqual(['Tick Bela Moser', 'Tick Cem Ulmer'])
  await user.keyboard('kk{Enter}')
  expect(where()).toBe(`/desk/applications/${all[0]!.id}`)
})

test('a filter stands in the address and is asked of the server; what is not a filter is not', async () => {
  const { user, asked, where } = await page({ at: '/desk/applications/table?late=yes&theme=dark' })
  expect(asked[0]).toEqual({ late: 'yes' })
  await user.selectOptions(screen.getByLabelText('Eligible'), 'no')
  await waitFor(() => expect(asked.at(-1)).toEqual({ late: 'yes', eligible: 'no' }))
  await user.click(screen.getByLabelText('Likely late'))
  await waitFor(() => expect(where()).toBe('/desk/applications/table?theme=dark&eligible=no'))
})

test('a new filter begins at the first page', async () => {
  const { user, asked } = await page()
  await user.click(screen.getByRole('button', { name: 'Next page' }))
  await waitFor(() => expect(asked.at(-1)).toEqual({ after: 'place' }))
  expect(await screen.findByRole('button', { name: 'Page before' })).toBeTruthy()
  await user.selectOptions(screen.getByLabelText('In order of'), 'name')
  await waitFor(() => expect(asked.at(-1)).toEqual({ order: 'name' }))
})

test('columns are chosen, the name always stays', async () => {
  await page({ at: '/desk/applications/table?columns=slack,nonsense' })
  expect(
    screen
      .getAllByRole('columnheader')
      .slice(1)
      .map((one) => one.textContent),
  ).toEqual(['Name', 'Slack'])
})

test('nobody who fits is said, with the way on', async () => {
  await page({ rows: [] })
  expect(await screen.findByText('Nobody fits. Take a filter away to see more.')).toBeTruthy()
})

test.each<[Role, boolean]>([
  ['coordinator', true],
  ['administrator', true],
  ['assessor', false],
  ['hiring manager', false],
])('a %s may write to those ticked: %s', async (role, may) => {
  const { user } = await page({ roles: [role] })
  await user.keyboard(' ')
  expect(screen.getByText('1 ticked')).toBeTruthy()
  expect(Boolean(screen.queryByRole('button', { name: /^Write to them/ }))).toBe(may)
  await user.keyboard('t')
  expect(Boolean(screen.queryByRole('dialog'))).toBe(may)
})

test('a message is seen as each will get it before it goes, and who gets none is told', async () => {
  const [ada, bela] = all as [TableRow, TableRow]
  const preview = (application: string, name: string, obstacle: string | null) => ({
    ...{ application, name, to: `${name.slice(0, 3)}@mail.example`, language: 'en' as const, phone: null, obstacle },
    ...{ subject: `To ${name}`, text: `Dear ${name}` },
  })
  const { user, sent } = await page({
    previewMessages: [preview(ada.id, 'Ada Kern', null), preview(bela.id, 'Bela Moser', 'Has no address.')],
    sendMessages: { queued: 1, left: 1, texts: 0 },
  })
  await user.keyboard(' j b')
  const dialog = within(await screen.findByRole('dialog'))
  const see = dialog.getByRole<HTMLButtonElement>('button', { name: 'See what each will get' })
  expect(see.disabled).toBe(true)
  await user.type(dialog.getAllByRole('textbox')[0]!, 'The day')
  await user.type(dialog.getAllByRole('textbox')[1]!, 'Dear you')
  await user.click(see)
  expect(await dialog.findByText('Dear Ada Kern')).toBeTruthy()
  expect(dialog.getByText('Has no address.')).toBeTruthy()
  await user.click(dialog.getByRole('button', { name: 'Send to 1' }))
  await waitFor(() => expect(sent.map(({ name }) => name)).toEqual(['previewMessages', 'sendMessages']))
  expect(sent[1]!.body).toMatchObject({ applications: [ada.id, bela.id], written: { english: { subject: 'The day' } } })
  await waitFor(() => expect(screen.queryByText(/ticked/)).toBeNull())
})

test('all that is open in the files that are ticked is asked about at once', async () => {
  const { user } = await page({ listToAsk: [] })
  await user.keyboard(' j q')
  expect((await screen.findByRole('dialog')).textContent).toContain('Ask about all that is still open in 2 files')
})

test('turning down wants a reason that stays on record', async () => {
  const { user, sent } = await page({
    previewMessages: [
      {
        application: all[0]!.id,
        name: 'Ada Kern',
        to: 'a@b.example',
        language: 'en',
        phone: null,
        obstacle: null,
        subject: 's',
        text: 't',
      },
    ],
    turnDown: { turnedDown: 1, left: 0 },
  })
  await user.keyboard(' t')
  const dialog = within(await screen.findByRole('dialog'))
  const [why, subject, text] = dialog.getAllByRole('textbox')
  await user.type(subject!, 'Your application')
  await user.type(text!, 'Not this time.')
  const see = dialog.getByRole<HTMLButtonElement>('button', { name: 'See what each will get' })
  expect(see.disabled).toBe(true)
  await user.type(why!, 'No rope card')
  await user.click(see)
  await user.click(await dialog.findByRole('button', { name: 'Turn down and write to 1' }))
  await waitFor(() =>
    expect(sent.at(-1)).toMatchObject({
      name: 'turnDown',
      body: { reason: 'No rope card', applications: [all[0]!.id] },
    }),
  )
})
