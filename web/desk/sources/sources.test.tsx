import { screen, waitFor, within } from '@testing-library/react'
import type { Reply } from '#contract/endpoint'
import type { readSource, sourceDirectory } from '#contract/sources'
import { showPage } from '../../../test/page'
import { aContact, aSource } from '../../../test/source'
import { SourcePage } from './SourcePage'
import { Sources } from './Sources'
import { WatchlistPage } from './WatchlistPage'

type Read = Reply<typeof readSource>
type Row = Reply<typeof sourceDirectory>['rows'][number]
const nth = (at: number) => `0190a3f0-0000-7000-8000-00000000003${at}`

const row = (at: number, over: Partial<Row> = {}): Row => ({
  ...{ id: nth(at), name: `Source ${at}`, aliases: [], kind: 'school', town: 'Grimvik', country: 'NO', programmes: [] },
  ...{
    numberFormats: [],
    conditions: [],
    state: 'checked',
    version: 1,
    enteredBy: 'Ines',
    checkedBy: 'Bo',
    mayCheck: true,
    alone: false,
    seller: null,
  },
  ...{ mail: `office${at}@source.example`, register: null, asked: 4, open: 1, medianDays: 6, why: null },
  ...over,
})
const listed = (rows: Row[], over: object = {}): Reply<typeof sourceDirectory> => ({
  rows,
  next: null,
  waiting: { proposed: 2, toCheck: 0, research: 0, doubles: 1 },
  ...over,
})
const contact = aContact({ id: nth(7), mail: 'office@ssg.example' })
const read = (over: Partial<Read> = {}): Read => ({
  ...{ id: nth(1), state: 'to check', version: 3, enteredBy: 'Ines', checkedBy: null, mayCheck: true, alone: false },
  ...{ seller: null, source: aSource({ contacts: [contact] }), origin: 'desk', mergedInto: null, retiredBecause: null },
  contacts: [{ ...contact, enteredBy: 'Ines', checked: null, flags: [] }],
  ...{ claims: 2, said: [], twins: [], merges: [], history: [] },
  ...over,
})
const showOne = (one: Read, more: Parameters<typeof showPage>[1] = {}) =>
  showPage(<SourcePage />, { at: `/desk/sources/${nth(1)}`, path: '/desk/sources/:id', readSource: one, ...more })
const choose = async (
  user: { selectOptions: (at: Element, what: string) => Promise<void> },
  label: RegExp,
  what: string,
) => user.selectOptions(await screen.findByLabelText(label), what)

describe('the directory', () => {
  test('each source says how it is asked, how often, how long it takes, and where it stands', async () => {
    await showPage(<Sources />, {
      sourceDirectory: listed([
        row(1, { aliases: ['TUA'], register: 'uni' }),
        row(2, { state: 'to check', mayCheck: false, asked: 0, open: 0, medianDays: null }),
        row(3, { state: 'proposed', seller: { id: nth(9), by: 'name', value: 'X' } }),
      ]),
    })
    const cells = async (name: string) =>
      within((await screen.findByText(name)).closest('tr')!)
        .getAllByRole('cell')
        .map(({ textContent }) => textContent)
    expect(await cells('Source 1')).toEqual([
      ...[
        'Source 1also TUA',
        'school',
        'Grimvik, NO',
        'office1@source.exampleand a register',
        'Checked',
        '4',
        '1',
        '6',
      ],
    ])
    expect((await cells('Source 2')).slice(4)).toEqual(['Not checked yetsomebody else checks it', '0', '0', '—'])
    expect((await cells('Source 3'))[4]).toBe('Proposed by a candidateknown seller of degrees')
    expect(screen.getByRole('button', { name: /Proposed 2/ })).toBeTruthy()
    expect(screen.getByRole('button', { name: /Possible doubles 1/ })).toBeTruthy()
  })

  test('what is searched for says by which name it was found, and how that was written', async () => {
    const { user } = await showPage(<Sources />, {
      sourceDirectory: ({ query }: { query?: { text?: string } }) =>
        listed(
          query?.text ? [row(1, { why: { by: 'earlier', how: 'slip', name: 'Gewerbeschule', town: true } })] : [row(2)],
        ),
    } as never)
    await user.type(await screen.findByLabelText('Find'), 'Gewrbeschule')
    expect(await screen.findByText('went by Gewerbeschule, with a slip, by its town')).toBeTruthy()
  })

  test('a file is tried dry, row by row, and only then read in', async () => {
    const rows = [
      { row: 2, name: 'New', becomes: 'new' as const, message: '', twin: 'Newer' },
      { row: 3, name: 'Bad', becomes: 'faulty' as const, message: 'kind: choose', twin: null },
    ]
    const { user, sent, container } = await showPage(<Sources />, {
      sourceDirectory: listed([]),
      importSources: ({ query }: { query?: { dry?: string } }) => ({ rows, written: query?.dry === 'no' ? 1 : 0 }),
    } as never)
    await user.click(await screen.findByRole('button', { name: 'Import' }))
    await user.upload(
      document.querySelector<HTMLInputElement>('input[type=file]') ?? container.querySelector('input[type=file]')!,
      new File(['name\nNew'], 's.csv', { type: 'text/csv' }),
    )
    expect(await screen.findByText('May be the same as Newer')).toBeTruthy()
    expect(screen.getByText('kind: choose')).toBeTruthy()
    await user.click(screen.getByRole('button', { name: 'Import 1 source' }))
    await waitFor(() =>
      expect(sent.map((one: { query?: object }) => one.query)).toMatchObject([{ dry: 'yes' }, { dry: 'no' }]),
    )
  })
})

describe('a source', () => {
  test('is entered with who is asked there, and a fault is said where it stands', async () => {
    const faults = [{ pointer: '/body/source/contacts/0/mail', message: 'Give a way to reach them.' }]
    const { user, sent, where } = await showPage(<SourcePage />, {
      ...{ at: '/desk/sources/new', path: '/desk/sources/:id', readSource: read() },
      saveSource: ({ body }: { body: { source: { contacts: { mail: string }[] } } }) =>
        body.source.contacts[0]?.mail ? { version: 1 } : { problem: { status: 422, faults } },
    } as never)
    await user.type(await screen.findByLabelText('Name'), 'Grimvik School')
    await user.selectOptions(screen.getByLabelText('Country'), 'Norway')
    await user.click(screen.getByRole('button', { name: 'Add a contact' }))
    await user.click(screen.getByRole('button', { name: 'Save' }))
    expect((await screen.findAllByText('Give a way to reach them.')).length).toBeGreaterThan(0)
    await user.type(screen.getByLabelText('Mail'), 'office@gms.example')
    await user.click(screen.getByLabelText('degrees'))
    await user.click(screen.getByRole('button', { name: 'Add a programme' }))
    await user.type(screen.getByLabelText('Programme'), 'Elkraft')
    await user.selectOptions(screen.getByLabelText('Field'), '0713')
    await user.click(screen.getByRole('button', { name: 'Add years' }))
    await user.click(screen.getByRole('button', { name: 'Save' }))
    await waitFor(() => expect(where()).not.toBe('/desk/sources/new'))
    expect(sent.at(-1)!.body).toMatchObject({
      version: 0,
      source: {
        ...{ name: 'Grimvik School', country: 'NO' },
        contacts: [{ mail: 'office@gms.example', purposes: ['degree records'] }],
        programmes: [{ title: 'Elkraft', field: '0713', accreditations: [{ basis: 'accredited', to: null }] }],
      },
    })
  })

  test('is checked contact by contact; a red flag asks for a reason', async () => {
    const flags = [{ code: 'near-domain' as const, domain: 'ssg.example', known: 'sgg.example', source: 'Seefahrt' }]
    const { user, sent } = await showOne(
      read({ contacts: [{ ...contact, enteredBy: 'Ines', checked: null, flags }] }),
      { checkSource: { version: 4 } },
    )
    expect((await screen.findAllByText('ssg.example looks like sgg.example of Seefahrt, and is not.')).length).toBe(2)
    const yes = screen.getByRole<HTMLButtonElement>('button', { name: 'It is what it says' })
    expect(yes.disabled).toBe(true)
    await choose(user, /^How you made sure of office@ssg/, 'through its switchboard')
    await user.type(screen.getByLabelText('Why it is right all the same'), 'The switchboard gave it')
    await user.click(yes)
    await waitFor(() =>
      expect(sent[0]?.body).toEqual({
        version: 3,
        how: { [contact.id]: 'switchboard' },
        note: 'The switchboard gave it',
      }),
    )
  })

  test('whoever entered it is not offered to check it; a desk of one does with a reason', async () => {
    const { unmount } = await showOne(read({ mayCheck: false }))
    expect(await screen.findByText('You have entered it: somebody else checks it.')).toBeTruthy()
    expect(screen.queryByRole('button', { name: 'It is what it says' })).toBeNull()
    unmount()
    await showOne(read({ alone: true }))
    expect(await screen.findByLabelText('How you made sure, alone')).toBeTruthy()
  })

  test('a seller of degrees cannot be checked, and says by what it is one', async () => {
    await showOne(read({ seller: { id: nth(9), by: 'near name', value: 'Saint Everard' } }))
    expect(
      await screen.findByText(/one letter away from one on the list of sellers of degrees: Saint Everard/),
    ).toBeTruthy()
    expect(screen.queryByRole('button', { name: 'It is what it says' })).toBeNull()
  })

  test('one that was proposed says what candidates say of it, and is turned down with a reason', async () => {
    const said = {
      file: nth(5),
      who: 'Ida',
      claim: 'Helper',
      town: 'Irgen',
      country: '',
      mail: 'o@irgen.example',
      phone: '',
      site: '',
    }
    const { user, sent } = await showOne(
      read({
        state: 'proposed',
        origin: 'candidate',
        enteredBy: '',
        contacts: [],
        source: aSource({ contacts: [] }),
        said: [said],
      }),
      { retireSource: { version: 4 } },
    )
    expect(await screen.findByText('Irgen · o@irgen.example')).toBeTruthy()
    expect(screen.getByText('Add who can be asked there first.')).toBeTruthy()
    await user.click(screen.getByRole('button', { name: 'Turn down' }))
    const dialog = within(await screen.findByRole('dialog'))
    await user.type(dialog.getByLabelText('Why'), 'There is no such place')
    await user.click(dialog.getByRole('button', { name: 'Turn down' }))
    await waitFor(() => expect(sent[0]?.body).toEqual({ version: 3, retired: true, because: 'There is no such place' }))
  })

  const twin: Read['twins'][number] = {
    ...{ id: nth(2), name: 'SSG Grimvik', town: 'Grimvik', country: 'NO', version: 5, score: 0.9, claims: 7 },
    ...{
      state: 'checked',
      lost: ['answerWorkingDays'],
      source: aSource({ name: 'SSG Grimvik', answerWorkingDays: 20 }),
    },
    reasons: [{ code: 'name', one: 'Seefahrtschule Grimvik', other: 'SSG Grimvik' }],
  }

  test('a likely twin is merged: the checked one stays, and what differs is chosen', async () => {
    const { user, sent, where } = await showOne(read({ twins: [twin] }), { mergeSources: { id: nth(8) } })
    expect(await screen.findByText('Seefahrtschule Grimvik here, SSG Grimvik there.')).toBeTruthy()
    await user.click(screen.getByRole('button', { name: 'Merge …' }))
    const dialog = within(await screen.findByRole('dialog'))
    expect(
      dialog.getByRole<HTMLInputElement>('radio', { name: /^SSG Grimvik, Grimvik, NO \(7 claims\)/ }).checked,
    ).toBe(true)
    await user.click(dialog.getByRole('radio', { name: '8' }))
    await user.click(dialog.getByRole('button', { name: 'Merge Seefahrtschule Grimvik into SSG Grimvik' }))
    await waitFor(() => expect(where()).toBe(`/desk/sources/${nth(2)}`))
    expect(sent[0]).toMatchObject({
      params: { id: nth(2) },
      body: { goneId: nth(1), version: 5, goneVersion: 3, take: ['answerWorkingDays'] },
    })
  })

  test('two are said to be two; a merge of before is taken apart', async () => {
    const merge = { id: nth(6), name: 'Old entry', by: 'Bo', at: '2026-11-20T08:00:00.000Z', claims: 1 }
    const { user, sent } = await showOne(read({ twins: [twin], merges: [merge] }), {
      ...{ setSourcesApart: { done: true }, undoSourceMerge: { done: true } },
    })
    await user.click(await screen.findByRole('button', { name: 'They are two' }))
    await waitFor(() => expect(sent[0]).toMatchObject({ name: 'setSourcesApart', body: { otherId: nth(2) } }))
    expect(screen.getByText(/1 claim followed/)).toBeTruthy()
    await user.click(screen.getByRole('button', { name: 'Take apart again' }))
    await waitFor(() => expect(sent[1]).toMatchObject({ name: 'undoSourceMerge', params: { id: nth(6) } }))
  })

  test('what is known is read: names, contacts with how they were made sure of, programmes with their years', async () => {
    const source = aSource({
      kind: 'university',
      names: [{ name: 'Gewerbeschule', use: 'earlier', until: 1989 }],
      contacts: [contact],
      conditions: [{ id: nth(4), kind: 'own form', claims: ['study'], reason: 'Their lawyers say so.' }],
      numberFormats: [{ claim: 'study', pattern: 'AR-##', example: 'AR-12' }],
      programmes: [
        {
          ...{ title: 'Elkraft', award: 'BSc', level: 6, field: '0713', language: 'no' },
          accreditations: [{ by: 'Council', basis: 'assessed', from: 2010, to: null }],
        },
      ],
    })
    const checked = { how: 'letter' as const, by: 'Bo', at: '2026-11-20T08:00:00.000Z' }
    const history = [
      { version: 2, by: 'Bo', at: '2026-11-21T08:00:00.000Z', changed: ['names', 'cost'] as never },
      { version: 1, by: '', at: '2026-11-20T08:00:00.000Z', changed: [] },
    ]
    await showOne(
      read({
        state: 'checked',
        checkedBy: 'Bo',
        source,
        history,
        contacts: [{ ...contact, enteredBy: 'Ines', checked, flags: [] }],
      }),
    )
    expect(await screen.findByText('Gewerbeschule (until 1989)')).toBeTruthy()
    expect(screen.getByText(/checked by Bo on 20 Nov: by a letter that was answered/)).toBeTruthy()
    expect(screen.getByText('Their lawyers say so.')).toBeTruthy()
    expect(screen.getByText('AR-##, like AR-12')).toBeTruthy()
    expect(screen.getByText(/assessed 2010 to today/)).toBeTruthy()
    expect(screen.getByText(/changed: Other names, Costs/)).toBeTruthy()
    expect(screen.getByText(/Set-up entered it/)).toBeTruthy()
  })

  test('one that was merged leads to the one that stays, and is not edited', async () => {
    const into = { id: nth(2), name: 'SSG Grimvik', town: '', country: 'NO' }
    await showOne(read({ state: 'merged', mergedInto: into }))
    expect((await screen.findByRole('link', { name: 'SSG Grimvik' })).getAttribute('href')).toBe(
      `/desk/sources/${nth(2)}`,
    )
    expect(screen.queryByRole('button', { name: 'Edit' })).toBeNull()
  })
})

test('on its page a source says how much it is asked, and all that waits for it is asked in one act', async () => {
  const { user } = await showOne(read({ state: 'checked' }), {
    listEnquiries: { rows: [], next: null, counts: { desk: 2, source: 5, candidate: 0 }, most: [] },
    listToAsk: [],
  })
  const link = await screen.findByRole('link', { name: '2 with us · 5 with a source' })
  expect(link.getAttribute('href')).toBe(`/desk/verification/table?sourceId=${nth(1)}`)
  await user.keyboard('q')
  expect(await screen.findByText('Nothing here is still to be asked.')).toBeTruthy()
})

test('the list of sellers is kept, a name and a domain on each line', async () => {
  const { user, sent } = await showPage(<WatchlistPage />, {
    readWatchlist: { version: 2, watchlist: { sellers: [], freeMail: ['bergpost.example'] } },
    saveWatchlist: { version: 3 },
  })
  await user.click(await screen.findByRole('button', { name: 'Add a seller' }))
  await user.type(screen.getByLabelText('Names'), 'Saint Everard{enter} Everard Campus ')
  await user.type(screen.getByLabelText('Domains'), 'Everard.example')
  await user.type(screen.getByLabelText(/^Domains at which/), '{enter}FreiPost.example')
  await user.click(screen.getByRole('button', { name: 'Save the list' }))
  await waitFor(() => expect(sent).toHaveLength(1))
  expect(sent[0]!.body).toMatchObject({
    version: 2,
    watchlist: {
      sellers: [{ names: ['Saint Everard', 'Everard Campus'], domains: ['everard.example'] }],
      freeMail: ['bergpost.example', 'freipost.example'],
    },
  })
})
