import { jest } from '@jest/globals'
import { fireEvent, screen, waitFor, within } from '@testing-library/react'
import { useState } from 'react'
import type { DeskVacancy } from '#contract/vacancySetUp'
import type { Rules } from '#core/rules/rules'
import { aSection } from '../../../test/draft'
import { showPage } from '../../../test/page'
import { api } from '../../api'
import { store } from '../../store'
import { DecisionDay } from './DecisionDay'
import { DryRunPart } from './DryRunPart'
import { FormPart } from './FormPart'
import { PostPart } from './PostPart'
import { RequirementsPart } from './RequirementsPart'
import type { RulesEditing } from './useRules'
import { VacancyDesk } from './VacancyDesk'
import { VersionsPart } from './VersionsPart'

const id = '0190a3f0-0000-7000-8000-0000000000e1'
const rules: Rules = {
  form: [
    aSection('questions', {
      ...{ key: 'more', title: 'More about you' },
      questions: [
        { key: 'more.why', label: 'Why this post?', kind: 'text', required: true },
        { key: 'more.heights', label: 'Fit for heights?', kind: 'yes or no', required: true },
      ],
    }),
    aSection('permission', { title: 'Permission' }),
    aSection('send', { title: 'Send' }),
  ],
  requirements: [
    {
      ...{ key: 'permission', title: 'Permission to check', why: 'Nobody is asked without it.', gate: 'send' },
      ...{ rung: 'claimed', waivableBy: [], asks: { kind: 'permission' } },
    },
  ],
  onboarding: [],
}
const version = (nth: number, over: object = {}) => ({
  ...{ version: nth, note: '', savedBy: 'Ines Caldwell', savedAt: '2026-11-02T08:00:00.000Z', applications: 0 },
  ...over,
})
const aVacancy = (over: Partial<DeskVacancy> = {}): DeskVacancy => ({
  ...{ id, slug: 'track-engineer', state: 'open', version: 3, group: null, title: 'Track engineer', family: 'Track' },
  ...{ place: 'Oberfeld', payFrom: 4_000_000, payTo: 5_000_000, contract: 'Permanent', hours: 'Full time' },
  ...{ headcount: 1, summary: 'Look after the track.', duties: { type: 'doc', content: [] } },
  ...{ timeZone: 'Europe/Vienna', opensAt: '2026-11-01T07:00:00.000Z', closesAt: '2026-12-20T16:00:00.000Z' },
  ...{
    targetStart: '2027-02-01',
    decidedBy: 'bastian@vallorne.example',
    paperLanguages: ['en', 'de'],
    rulesVersion: 2,
  },
  families: ['Operations'],
  places: ['Oberfeld'],
  draft: { version: 4, rules, faults: [], changed: true, savedAt: null, savedBy: null } as never,
  versions: [version(2, { note: 'One address', applications: 3 }), version(1)],
  ...{
    today: '2026-12-01',
    checks: {},
    deciders: [{ mail: 'bastian@vallorne.example', name: 'Bastian Huber' }],
    lacks: [],
  },
  ...{ dryRun: null, people: [], decidesOn: null, waiting: 0 },
  ...over,
})
type Showing = Parameters<typeof showPage>[1]
const show = (part: React.ReactElement, more: object = {}) => showPage(part, { sharedSections: [], ...more } as Showing)

/** Rules that are edited on the page and saved nowhere. */
function Editing({ part, told }: { part: 'form' | 'requirements'; told: (rules: Rules) => void }) {
  const [edited, setEdited] = useState(rules)
  const editing: RulesEditing = {
    rules: edited,
    change: (next) => {
      told(next)
      setEdited(next)
    },
    ...{ undo: undefined, faults: [], changed: true, version: 4, state: 'saved', clash: undefined },
  }
  const Part = part === 'form' ? FormPart : RequirementsPart
  return <Part vacancy={aVacancy()} editing={editing} />
}

describe('the form', () => {
  const told = jest.fn<(rules: Rules) => void>()
  const last = () => told.mock.calls.at(-1)![0].form

  test('a question is added to its section, named, and taken out again', async () => {
    const { user } = await show(<Editing part="form" told={told} />)
    await user.click(screen.getByRole('button', { name: /^Add a question to More about you/ }))
    expect(last()[0]!.questions.map(({ key }) => key)).toEqual(['more.why', 'more.heights', 'more.question'])
    const field = screen.getByDisplayValue('A new question')
    fireEvent.change(field, { target: { value: 'When could you start?' } })
    expect(last()[0]!.questions[2]).toMatchObject({ label: 'When could you start?', required: true })
    await user.click(screen.getByRole('button', { name: 'Remove' }))
    expect(last()[0]!.questions).toHaveLength(2)
  })

  test('a section stands before the permission and sending; sending is never taken out', async () => {
    const shared = { ...aSection('questions', { key: 'contact', title: 'Contact' }) }
    const library = [{ key: 'contact', version: 2, section: shared, usedBy: [], versions: [] }]
    const { user } = await show(<Editing part="form" told={told} />, { sharedSections: library })
    await user.selectOptions(await screen.findByLabelText(/^Add a section of the/), 'Contact')
    expect(last().map(({ key }) => key)).toEqual(['more', 'contact', 'permission', 'send'])
    expect(last()[1]!.shared).toEqual({ key: 'contact', version: 2 })
    await user.click(screen.getByRole('button', { name: /^Send / }))
    expect(screen.queryByRole('button', { name: 'Remove' })).toBeNull()
  })

  test('sections and questions change places by keyboard', async () => {
    const { user } = await show(<Editing part="form" told={told} />)
    const grip = screen.getAllByRole('button', { name: /Why this post\?/ }).find((one) => one.textContent === '')!
    grip.focus()
    await user.keyboard(' ')
    await user.keyboard('{ArrowDown}')
    await user.keyboard(' ')
    await waitFor(() => expect(told).toHaveBeenCalled())
  })
})

test('requirements read as sentences; one that is added asks what can be asked', async () => {
  const told = jest.fn<(rules: Rules) => void>()
  const { user } = await show(<Editing part="requirements" told={told} />, { tryRules: { outcomes: [] } })
  expect(screen.getByText('Permission to check').closest('button')!.getAttribute('aria-pressed')).toBe('false')
  await user.click(screen.getByText('Permission to check'))
  fireEvent.change(screen.getByDisplayValue('Permission to check'), { target: { value: 'Leave to ask' } })
  expect(told.mock.calls.at(-1)![0].requirements[0]!.title).toBe('Leave to ask')
})

describe('what is said of the post', () => {
  test('is saved after a pause, only what was changed, on the version that was seen', async () => {
    const { user, sent } = await show(<PostPart vacancy={aVacancy()} mayEdit />, { saveVacancy: { version: 4 } })
    await user.type(screen.getByLabelText('Title'), ' II')
    screen.getByText('Saving…')
    await waitFor(() => expect(sent).toHaveLength(1), { timeout: 3000 })
    expect(sent[0]!.body).toEqual({ version: 3, changes: { title: 'Track engineer II' } })
    await screen.findByText('Everything is saved.')
  })

  test('money is kept in cents, languages as codes, each once', async () => {
    const { user, sent } = await show(<PostPart vacancy={aVacancy()} mayEdit />, { saveVacancy: { version: 4 } })
    fireEvent.change(screen.getByLabelText(/^Pay from/), { target: { value: '41000' } })
    const languages = screen.getByLabelText(/^Languages papers are read in/)
    await user.clear(languages)
    await user.type(languages, 'EN, fr fr')
    await user.tab()
    // On a slow machine they go one after the other.
    const changes = () => Object.assign({}, ...sent.map(({ body }) => (body as { changes: object }).changes))
    await waitFor(() => expect(changes()).toEqual({ payFrom: 4_100_000, paperLanguages: ['en', 'fr'] }), {
      timeout: 4000,
    })
  })

  test('without a connection it says so and goes by itself when the browser is back', async () => {
    let connected = false
    const { user, sent } = await show(<PostPart vacancy={aVacancy()} mayEdit />, {
      saveVacancy: () => (connected ? { version: 4 } : 'no connection'),
    })
    await user.type(screen.getByLabelText('Hours'), '!')
    await screen.findByText('Not saved yet.', undefined, { timeout: 3000 })
    connected = true
    window.dispatchEvent(new Event('online'))
    await screen.findByText('Everything is saved.')
    expect(sent.at(-1)!.body).toMatchObject({ changes: { hours: 'Full time!' } })
  })

  test('whoever may not set it up reads it and changes nothing', async () => {
    await show(<PostPart vacancy={aVacancy()} mayEdit={false} />)
    expect(screen.getByRole<HTMLFieldSetElement>('group', { name: 'The post' }).disabled).toBe(true)
  })
})

describe('versions', () => {
  const differences = [
    { of: 'question', key: 'more.why', title: 'Why this post?', after: 'Why this post? (text)' },
    { of: 'requirement', key: 'permission', title: 'Permission', before: 'Signed', after: undefined },
  ]
  test('two of them are compared, the draft with what is published first', async () => {
    const asked: object[] = []
    const { user } = await show(<VersionsPart vacancy={aVacancy()} mayEdit />, {
      compareRules: ({ query }: { query: object }) => {
        asked.push(query)
        return { differences }
      },
    })
    await screen.findByText('Question: Why this post?')
    expect(asked).toEqual([{ from: '2', to: 'draft' }])
    screen.getByText('was not there')
    screen.getByText('is taken out')
    await user.selectOptions(screen.getByLabelText('Before'), '0')
    await waitFor(() => expect(asked.at(-1)).toEqual({ from: '0', to: 'draft' }))
  })

  test('a file that is not taken says where and why', async () => {
    const faults = [{ pointer: '/rules/form/0', message: 'This section has no title.' }]
    const { user } = await show(<VersionsPart vacancy={aVacancy()} mayEdit />, {
      compareRules: { differences: [] },
      importRules: { problem: { status: 422, faults } },
    })
    const file = new File(['{}'], 'rules.json', { type: 'application/json' })
    Object.defineProperty(file, 'text', { value: async () => '{}' })
    await user.upload(screen.getByLabelText('Take rules from a file'), file)
    const alert = await screen.findByRole('alert')
    within(alert).getByText('/rules/form/0')
    expect(alert.textContent).toContain('This section has no title.')
  })

  test('who only reads saves a version as a file, and takes none in', async () => {
    await show(<VersionsPart vacancy={aVacancy()} mayEdit={false} />, { compareRules: { differences: [] } })
    screen.getByRole('button', { name: 'Save as JSON' })
    expect(screen.queryByLabelText('Take rules from a file')).toBeNull()
  })
})

describe('the dry run', () => {
  const dryRun = { id: '0190a3f0-0000-7000-8000-0000000000d1', state: 'done', outdated: false } as never
  const person = (over: object = {}) => ({
    ...{ id: '0190a3f0-0000-7000-8000-0000000000f1', candidate: 'Ada Roth', reference: 'VM-1', stage: 'sent' },
    ...{ rulesVersion: 1, gates: [{ gate: 'offer', before: 'passable', after: 'shut' }] },
    changes: [
      {
        requirement: 'permission',
        title: 'Permission',
        gate: 'send',
        before: 'absent',
        after: 'unmet',
        effect: 'gains',
      },
    ],
    ...over,
  })
  const aRun = (over: object = {}) => ({
    ...{ id: '0190a3f0-0000-7000-8000-0000000000d1', state: 'done', done: 5, total: 5, affected: 1, outdated: false },
    ...{ startedBy: 'Ines Caldwell', startedAt: '2026-11-27T08:00:00.000Z', next: null, people: [person()] },
    counts: [{ requirement: 'permission', title: 'Permission', gate: 'send', gains: 1, loses: 0, other: 0 }],
    ...over,
  })

  test('begins where something has changed, and shows how far it is', async () => {
    const unchanged = await show(
      <DryRunPart vacancy={aVacancy({ draft: { ...aVacancy().draft, changed: false } })} mayEdit />,
    )
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Begin the dry run' }).disabled).toBe(true)
    unchanged.unmount()
    await show(<DryRunPart vacancy={aVacancy({ dryRun })} mayEdit />, {
      readDryRun: aRun({ state: 'running', done: 2, people: [], counts: [] }),
      readDeskVacancy: aVacancy(),
    })
    expect((await screen.findByLabelText<HTMLProgressElement>('Applications judged')).value).toBe(2)
  })

  test('says in words what changes for whom, and narrows by the address', async () => {
    const asked: Record<string, string>[] = []
    const { user, where } = await show(<DryRunPart vacancy={aVacancy({ dryRun })} mayEdit={false} />, {
      readDryRun: ({ query }: { query: Record<string, string> }) => {
        asked.push(query)
        return aRun()
      },
    })
    expect((await screen.findByText(/^Permission:/)).textContent).toBe('Permission: not asked → unmet')
    await user.selectOptions(screen.getByLabelText('What changes'), 'newly open')
    await waitFor(() => expect(where()).toContain('effect=gains'))
    await waitFor(() => expect(asked.at(-1)).toMatchObject({ effect: 'gains' }))
    expect(screen.queryByLabelText(/^Why, as they will read/)).toBeNull()
  })

  test('one that failed says so, and can be run again', async () => {
    const { user, sent } = await show(<DryRunPart vacancy={aVacancy({ dryRun })} mayEdit />, {
      readDryRun: aRun({ state: 'failed', people: [], counts: [] }),
      readDeskVacancy: aVacancy({ dryRun }),
      startDryRun: { id: '0190a3f0-0000-7000-8000-0000000000d2' },
    })
    await screen.findByRole('alert')
    await user.click(screen.getByRole('button', { name: 'Run it again' }))
    await waitFor(() => expect(sent).toHaveLength(1))
  })

  test('those who have sent are moved with a reason they will read; who is still writing is not', async () => {
    const writing = person({
      id: '0190a3f0-0000-7000-8000-0000000000f2',
      candidate: 'Somebody',
      stage: 'being written',
    })
    const { user, sent } = await show(<DryRunPart vacancy={aVacancy({ dryRun })} mayEdit />, {
      readDryRun: aRun({ people: [person(), writing] }),
      moveApplications: { moved: 1 },
    })
    const why = await screen.findByLabelText(/^Why, as they will read/)
    const move = screen.getByRole<HTMLButtonElement>('button', { name: /^Move one application/ })
    expect(move.disabled).toBe(true)
    await user.type(why, 'The insurer asks for it.')
    await user.click(move)
    await waitFor(() => expect(sent).toHaveLength(1))
    expect(sent[0]!.body).toEqual({ applications: [person().id], reason: 'The insurer asks for it.' })
  })
})

describe('the vacancy as it is set up', () => {
  const open = (more: object = {}, roles: string[] = ['coordinator']) =>
    show(<VacancyDesk />, {
      ...{ roles, at: `/desk/vacancies/${id}/form`, path: '/desk/vacancies/:id/:part', readDeskVacancy: aVacancy() },
      ...more,
    })
  const addQuestion = async (user: Awaited<ReturnType<typeof open>>['user']) =>
    user.click(await screen.findByRole('button', { name: /^Add a question to More about you/ }))
  const note = () => within(screen.getByRole('navigation')).getByRole('status').textContent
  const savedAs = (nth: number) => ({ version: nth, savedAt: '2026-11-28T08:00:00.000Z', faults: [], changed: true })

  test('rules are saved by themselves, undone step by step, and published with a note', async () => {
    let nth = 4
    const { user, sent } = await open({
      saveRulesDraft: () => {
        nth += 1
        return savedAs(nth)
      },
      publishRules: { rulesVersion: 3 },
    })
    await addQuestion(user)
    await waitFor(() => expect(sent).toHaveLength(1), { timeout: 3000 })
    expect((sent[0]!.body as { version: number }).version).toBe(4)
    await user.click(screen.getByRole('button', { name: 'Undo' }))
    await waitFor(() => expect(sent).toHaveLength(2), { timeout: 3000 })
    expect((sent[1]!.body as { version: number; rules: Rules }).rules).toEqual(rules)
    const publish = screen.getByRole<HTMLButtonElement>('button', { name: 'Publish the rules' })
    await waitFor(() => expect(publish.disabled).toBe(false))
    await user.click(publish)
    // Three have sent under the last version and no dry run was made.
    screen.getByText(/^No dry run shows/)
    await user.type(screen.getByLabelText(/^What is new/), 'Fewer questions')
    await user.click(within(screen.getByRole('dialog')).getByRole('button', { name: /^Publish/ }))
    await waitFor(() => expect(sent.at(-1)).toMatchObject({ name: 'publishRules', body: { note: 'Fewer questions' } }))
  })

  test('edited by somebody else meanwhile: what is here is put in its place, or let go', async () => {
    let theirs = true
    let newest = 4
    const own = (title: string): Rules => ({ ...rules, form: [{ ...rules.form[0]!, title }, ...rules.form.slice(1)] })
    const { user, sent } = await open({
      readDeskVacancy: () =>
        aVacancy({ draft: { ...aVacancy().draft, version: newest, rules: newest > 4 ? own('Theirs') : rules } }),
      saveRulesDraft: () =>
        theirs
          ? { problem: { status: 409, code: 'changed-meanwhile', title: 'Changed meanwhile.', version: 9 } }
          : savedAs(10),
    })
    await addQuestion(user)
    await screen.findByText(/Changed meanwhile\./, undefined, { timeout: 3000 })
    theirs = false
    await user.click(screen.getByRole('button', { name: 'Keep what is here' }))
    await waitFor(() => expect(note()).not.toContain('Changed meanwhile.'))
    expect((sent.at(-1)!.body as { version: number }).version).toBe(9)
    theirs = true
    newest = 11
    await addQuestion(user)
    await screen.findByText(/Changed meanwhile\./, undefined, { timeout: 3000 })
    // What others have saved is read again for some other reason: nothing is replaced unasked.
    store.dispatch(api.util.invalidateTags(['rules']))
    await waitFor(() => expect(screen.getByRole('button', { name: 'Take the other' })).toBeTruthy())
    expect(screen.queryByText('Theirs')).toBeNull()
    await user.click(screen.getByRole('button', { name: 'Take the other' }))
    await screen.findByText('Theirs')
    expect(screen.queryByRole('button', { name: 'Take the other' })).toBeNull()
  })

  test('without a connection the rules wait, and go when it is back', async () => {
    let connected = false
    const { user } = await open({ saveRulesDraft: () => (connected ? savedAs(5) : 'no connection') })
    await addQuestion(user)
    await waitFor(() => expect(note()).toMatch(/connection/i), { timeout: 3000 })
    connected = true
    window.dispatchEvent(new Event('online'))
    await waitFor(() => expect(note()).toMatch(/^Undo\s*Saved/))
  })

  test('opened and closed by one act each; refused with what is missing', async () => {
    const title = 'Before it can open it needs a summary.'
    const { user, sent } = await open({
      readDeskVacancy: aVacancy({ state: 'draft' }),
      setVacancyState: { problem: { status: 409, code: 'not-ready', title } },
    })
    await user.click(await screen.findByRole('button', { name: 'Open it' }))
    await screen.findByText(title)
    expect(sent[0]!.body).toEqual({ version: 3, state: 'open' })
  })

  test('a hiring manager reads all of it and acts on nothing', async () => {
    await open({}, ['hiring manager'])
    await screen.findByRole('heading', { name: 'Track engineer' })
    for (const name of ['Publish the rules', 'Close it', 'Copy'])
      expect(screen.queryByRole('button', { name })).toBeNull()
  })
})

test('a promised day is moved with a reason that those who wait will read; without anybody waiting it is just chosen', async () => {
  const { user, sent, unmount } = await show(
    <DecisionDay vacancy={aVacancy({ decidesOn: '2026-12-28', waiting: 3 })} />,
    {
      setDecisionDay: { version: 4 },
    },
  )
  const day = screen.getByLabelText(/^Promised day of decision/)
  expect(screen.queryByRole('button', { name: 'Promise no day' })).toBeNull()
  await user.clear(day)
  await user.type(day, '4 Jan 2027')
  await user.tab()
  const move = screen.getByRole<HTMLButtonElement>('button', { name: 'Move it and tell the 3 who wait' })
  expect(move.disabled).toBe(true)
  await user.type(screen.getByLabelText(/^Why it moves/), 'The committee meets later')
  await user.click(move)
  await waitFor(() =>
    expect(sent[0]).toMatchObject({
      name: 'setDecisionDay',
      body: { version: 3, day: '2027-01-04', reason: 'The committee meets later' },
    }),
  )
  unmount()
  await show(<DecisionDay vacancy={aVacancy({ decidesOn: '2026-12-28' })} />)
  expect(screen.getByRole('button', { name: 'Promise no day' })).toBeTruthy()
  expect(screen.queryByLabelText(/^Why it moves/)).toBeNull()
})
