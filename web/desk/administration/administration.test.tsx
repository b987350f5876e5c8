import { screen, waitFor, within } from '@testing-library/react'
import { unnamedOrganisation } from '#core/organisation/organisation'
import { usualPolicies } from '#core/rights/policies'
import { usualRights } from '#core/rights/rights'
import { type Call, sessionOf, showPage } from '../../../test/page'
import { Join } from '../../portal/account/Join'
import { Colleagues } from './Colleagues'
import { FirstSteps } from './FirstSteps'
import { HowItRuns } from './HowItRuns'
import { OrganisationPage } from './OrganisationPage'
import { Rights } from './Rights'

const nth = (at: number) => `0190a3f0-0000-7000-8000-00000000000${at}`
const person = (at: number, over: object = {}) => ({
  ...{ id: nth(at), name: `Person ${at}`, mail: `p${at}@desk.example`, roles: ['coordinator' as const] },
  ...{ language: 'en' as const, state: 'active' as const, version: 3, teams: [], teamsOnly: false, absence: null },
  ...{ signedInAt: null, sessions: 0, throughProvider: false, breakGlass: false, codesOn: true, files: 0 },
  ...over,
})
const house = (...colleagues: ReturnType<typeof person>[]) => ({
  colleagues,
  teams: [{ id: nth(8), name: 'Night', version: 1, vacancies: [] }],
  vacancies: [{ id: nth(9), title: 'Deckhand', place: 'Quay' }],
  rolesFromProvider: false,
})

describe('people who work here', () => {
  test('are invited with the roles that are ticked', async () => {
    const { user, sent } = await showPage(<Colleagues />, {
      roles: ['administrator'],
      listColleagues: house(),
      inviteColleague: { id: nth(1) },
    })
    await user.click(await screen.findByRole('button', { name: 'Invite somebody' }))
    const dialog = await screen.findByRole('dialog')
    await user.type(within(dialog).getByLabelText('Name'), 'Bo Kvist')
    await user.type(within(dialog).getByLabelText('Mail address at work'), 'bo@desk.example')
    await user.click(within(dialog).getByLabelText('reviewer'))
    await user.click(within(dialog).getByRole('button', { name: 'Send the invitation' }))
    await waitFor(() => expect(sent).toHaveLength(1))
    expect(sent[0]!.body).toEqual({ name: 'Bo Kvist', mail: 'bo@desk.example', roles: ['reviewer'], language: 'en' })
  })

  test('only what was changed of somebody is sent, on the version that was seen', async () => {
    const { user, sent } = await showPage(<Colleagues />, {
      roles: ['administrator'],
      listColleagues: house(person(2)),
      changeColleague: { version: 4 },
    })
    await user.click(await screen.findByRole('button', { name: 'Person 2' }))
    const dialog = await screen.findByRole('dialog')
    const save = within(dialog).getAllByRole('button', { name: 'Save' })[0]!
    expect((save as HTMLButtonElement).disabled).toBe(true)
    await user.click(within(dialog).getByLabelText('Night'))
    await user.click(within(dialog).getByLabelText(/^Sees only the vacancies/))
    await user.click(save)
    await waitFor(() => expect(sent).toHaveLength(1))
    expect(sent[0]).toMatchObject({ params: { id: nth(2) }, body: { version: 3, teams: [nth(8)], teamsOnly: true } })
  })

  test('whoever leaves hands their files to somebody who stays; an invitation is sent anew or taken back', async () => {
    const { user, sent } = await showPage(<Colleagues />, {
      roles: ['administrator'],
      listColleagues: house(person(2, { files: 7 }), person(3), person(4, { state: 'invitation over' })),
      suspendColleague: { version: 4 },
      inviteAgain: { done: true },
    })
    await user.click(await screen.findByRole('button', { name: 'Person 2' }))
    await user.selectOptions(await screen.findByLabelText('7 files under way go to'), 'Person 3')
    await user.click(screen.getByRole('button', { name: 'Suspend' }))
    await waitFor(() => expect(sent).toHaveLength(1))
    expect(sent[0]!.body).toEqual({ version: 3, filesTo: nth(3) })
    await user.click(await screen.findByRole('button', { name: 'Person 4' }))
    expect(screen.queryByRole('button', { name: 'Suspend' })).toBeNull()
    await user.click(await screen.findByRole('button', { name: 'Send another link' }))
    await waitFor(() => expect(sent[1]).toMatchObject({ name: 'inviteAgain', params: { id: nth(4) } }))
  })

  test('nobody is offered to suspend themselves', async () => {
    const { user } = await showPage(<Colleagues />, { roles: ['administrator'], listColleagues: house(person(1)) })
    await user.click(await screen.findByRole('button', { name: 'Person 1' }))
    await screen.findByRole('button', { name: 'Sign out everywhere' })
    expect(screen.queryByRole('button', { name: 'Suspend' })).toBeNull()
  })

  test('an absence goes with its days and who stands in', async () => {
    const { user, sent } = await showPage(<Colleagues />, {
      roles: ['administrator'],
      listColleagues: house(person(2), person(3)),
      setAbsence: { version: 4 },
    })
    await user.click(await screen.findByRole('button', { name: 'Person 2' }))
    await user.type(await screen.findByLabelText('Away from'), '3 Dec 2026')
    await user.type(screen.getByLabelText('Through'), '9 Dec 2026')
    await user.selectOptions(screen.getByLabelText('Who stands in'), 'Person 3')
    await user.click(screen.getAllByRole('button', { name: 'Save' }).at(-1)!)
    await waitFor(() => expect(sent).toHaveLength(1))
    expect(sent[0]!.body).toEqual({
      version: 3,
      absence: { from: '2026-12-03', through: '2026-12-09', standInId: nth(3) },
    })
  })

  test('a team is made of a name and vacancies', async () => {
    const { user, sent } = await showPage(<Colleagues />, {
      roles: ['administrator'],
      listColleagues: house(person(2)),
      saveTeam: { version: 1 },
    })
    await user.click(await screen.findByRole('button', { name: 'Make a team' }))
    const form = screen.getAllByLabelText('Name of the team').at(-1)!
    await user.type(form, 'Deck')
    await user.click(screen.getAllByLabelText('Deckhand, Quay').at(-1)!)
    await user.click(screen.getAllByRole('button', { name: 'Save the team' }).at(-1)!)
    await waitFor(() => expect(sent).toHaveLength(1))
    expect(sent[0]!.body).toEqual({ version: 0, name: 'Deck', vacancies: [nth(9)] })
  })
})

const policies = usualPolicies

describe('the table of rights', () => {
  const rights = { version: 2, table: usualRights, changedBy: null, changedAt: null, people: { reviewer: 2 } }

  test('says who holds what, keeps what is locked, and sends the whole table with what was turned', async () => {
    const { user, sent } = await showPage(<Rights />, {
      roles: ['administrator'],
      readRights: rights,
      readPolicies: { version: 0, policies },
      saveRights: { version: 3 },
    })
    expect(
      (await screen.findByLabelText<HTMLInputElement>('administrator: Look after people and rights')).disabled,
    ).toBe(true)
    await user.click(screen.getByLabelText('reviewer: Download lists'))
    await user.click(screen.getByLabelText('coordinator: Download lists'))
    expect(screen.getByText('1 line changed')).toBeTruthy()
    await user.click(screen.getByRole('button', { name: 'Save the table' }))
    await waitFor(() => expect(sent).toHaveLength(1))
    expect(sent[0]!.body).toEqual({
      version: 2,
      table: { ...usualRights, 'lists.export': ['reviewer', 'administrator'] },
    })
  })

  test('what takes two persons is decided beneath it', async () => {
    const { user, sent } = await showPage(<Rights />, {
      roles: ['administrator'],
      readRights: rights,
      readPolicies: { version: 4, policies },
      savePolicies: { version: 5 },
    })
    const box = await screen.findByLabelText<HTMLInputElement>(
      'A source is checked by somebody other than who entered it',
    )
    const save = screen.getByRole<HTMLButtonElement>('button', { name: 'Save what takes two' })
    expect([box.checked, save.disabled]).toEqual([true, true])
    await user.click(box)
    await user.click(save)
    await waitFor(() => expect(sent).toHaveLength(1))
    expect(sent[0]!.body).toEqual({ version: 4, policies: { ...policies, 'source-check': false } })
  })

  test('what was turned can be discarded, and what is refused is said', async () => {
    const { user } = await showPage(<Rights />, {
      roles: ['administrator'],
      readRights: rights,
      readPolicies: { version: 0, policies },
      saveRights: {
        problem: { status: 422, faults: [{ pointer: '/body/table/proof.settle', message: 'Somebody has to.' }] },
      },
    })
    const box = await screen.findByLabelText('reviewer: Download lists')
    await user.click(box)
    await user.click(screen.getByRole('button', { name: 'Save the table' }))
    expect(await screen.findByText('Somebody has to.')).toBeTruthy()
    await user.click(screen.getByRole('button', { name: 'Discard changes' }))
    expect((box as HTMLInputElement).checked).toBe(false)
  })
})

describe('the organisation', () => {
  const described = {
    organisation: { ...unnamedOrganisation, name: 'Grimvik Ferries' },
    version: 1,
    logo: null,
    referencesGiven: false,
    countries: [{ code: 'NO', regions: [{ code: '50', name: 'Trøndelag' }] }],
    holidays: [],
  }
  const permission = {
    version: 0,
    texts: {
      en: 'I allow {{organisation}} to ask whoever issued my papers.',
      de: 'Ich erlaube {{organisation}} zu fragen, bitte sehr.',
    },
    versions: [{ version: 0, name: 'v3', changedBy: '', changedAt: null, signed: 4 }],
  }
  const show = (more: object = {}) =>
    showPage(<OrganisationPage />, {
      roles: ['administrator'],
      readOrganisation: described,
      readPermissionText: permission,
      ...more,
    })

  test('is sent whole with what was changed, on the version that was seen', async () => {
    const { user, sent } = await show({ saveOrganisation: { version: 2 } })
    await user.selectOptions(await screen.findByLabelText('Country'), 'Norway')
    await user.selectOptions(screen.getByLabelText('Region'), 'Trøndelag')
    await user.type(screen.getByLabelText('Kinds of work'), 'Deck\nEngine\n')
    await user.click(screen.getByRole('button', { name: 'Add a day' }))
    await user.type(screen.getByLabelText('Day'), '12-24')
    await user.type(screen.getByLabelText('Why'), 'Eve')
    await user.click(screen.getByRole('button', { name: 'Save' }))
    await waitFor(() => expect(sent).toHaveLength(1))
    expect(sent[0]!.body).toEqual({
      version: 1,
      organisation: {
        ...described.organisation,
        ...{ country: 'NO', region: '50', families: ['Deck', 'Engine'], closedDays: [{ day: '12-24', name: 'Eve' }] },
      },
    })
  })

  test('what the server refuses stands at its field, and what was typed stays', async () => {
    const { user } = await show({
      saveOrganisation: {
        problem: { status: 422, faults: [{ pointer: '/body/organisation/timeZone', message: 'No such zone.' }] },
      },
    })
    await user.type(await screen.findByLabelText('Town'), 'Grimvik')
    await user.click(screen.getByRole('button', { name: 'Save' }))
    expect(await screen.findByText('No such zone.')).toBeTruthy()
    expect(screen.getByLabelText<HTMLInputElement>('Town').value).toBe('Grimvik')
  })

  test('the permission is written as its next version, beside how many signed which', async () => {
    const { user, sent } = await show({ savePermissionText: { version: 1 } })
    expect((await screen.findByText(/the text as delivered/)).textContent).toContain('4 signatures')
    await user.type(screen.getByRole('textbox', { name: 'English' }), ' Until I say no.')
    await user.click(screen.getByRole('button', { name: 'Save as the next version' }))
    await waitFor(() => expect(sent).toHaveLength(1))
    expect(sent[0]!.body).toMatchObject({ version: 0, texts: { en: `${permission.texts.en} Until I say no.` } })
  })
})

describe('first steps', () => {
  const steps = {
    steps: [
      { step: 'organisation' as const, done: true, later: false },
      { step: 'mail' as const, done: false, later: false },
      { step: 'source' as const, done: false, later: true },
    ],
    testMail: null,
  }

  test('stand under what is to do, what was left, and what is done', async () => {
    const { user, sent } = await showPage(<FirstSteps />, {
      roles: ['administrator'],
      readFirstSteps: steps,
      leaveForLater: { done: true },
      sendTestMail: { done: true },
    })
    const todo = await screen.findByRole('region', { name: 'To do' })
    expect(within(todo).getAllByRole('listitem')).toHaveLength(1)
    await user.click(within(todo).getByRole('button', { name: 'Later' }))
    await user.click(within(todo).getByRole('button', { name: 'Send me a test mail' }))
    await user.click(screen.getByRole('button', { name: 'Take it up' }))
    await waitFor(() => expect(sent).toHaveLength(3))
    expect(sent.map(({ name, params, body }) => [name, params, body])).toEqual([
      ['leaveForLater', { step: 'mail' }, { later: true }],
      ['sendTestMail', {}, {}],
      ['leaveForLater', { step: 'source' }, { later: false }],
    ])
  })

  test('whoever comes by the link of the test mail has shown that it arrived, once', async () => {
    const { sent, where } = await showPage(<FirstSteps />, {
      roles: ['administrator'],
      at: `/desk/first-steps?mail=${'m'.repeat(43)}`,
      path: '/desk/first-steps',
      readFirstSteps: steps,
      confirmTestMail: { done: true },
    })
    await waitFor(() => expect(where()).toBe('/desk/first-steps'))
    expect(sent.map(({ name, body }: Call) => [name, body])).toEqual([['confirmTestMail', { token: 'm'.repeat(43) }]])
  })
})

describe('an invitation', () => {
  const at = { at: `/join/${'j'.repeat(43)}`, path: '/join/:token' }

  test('says who comes as what, and leads to the desk with a password of one’s own', async () => {
    const { user, sent, where } = await showPage(<Join />, {
      ...at,
      readInvitation: {
        name: 'Bo',
        mail: 'bo@desk.example',
        roles: ['reviewer', 'it'],
        organisation: 'Grimvik Ferries',
        throughProvider: null,
      },
      acceptInvitation: { done: true },
    })
    expect(await screen.findByText(/Bo, you come as reviewer, IT/)).toBeTruthy()
    await user.type(screen.getByLabelText('New password'), 'seven quiet herons')
    await user.click(screen.getByRole('button', { name: 'Come in' }))
    await waitFor(() => expect(where()).toBe('/desk/today'))
    expect(sent[0]!.body).toEqual({ password: 'seven quiet herons' })
  })

  test('of somebody who decides for an employer leads to its own pages', async () => {
    const { user, where } = await showPage(<Join />, {
      ...at,
      readInvitation: {
        ...{ name: 'Paula', mail: 'paula@talwerk.example', roles: ['employer'] },
        ...{ organisation: 'Grimvik Ferries', throughProvider: null },
      },
      acceptInvitation: { done: true },
    })
    expect(await screen.findByText(/Paula, you come as somebody who pays for an employer/)).toBeTruthy()
    await user.type(screen.getByLabelText('New password'), 'seven quiet herons')
    await user.click(screen.getByRole('button', { name: 'Come in' }))
    await waitFor(() => expect(where()).toBe('/employer'))
  })

  test('that has run out says whom to ask', async () => {
    await showPage(<Join />, { ...at, readInvitation: { problem: { status: 410, title: 'Used up.' } } })
    expect(await screen.findByText('Ask whoever invited you for a new link.')).toBeTruthy()
  })
})

describe('how it runs', () => {
  const operation = {
    ...{ version: '0.1.0', node: '20.20.2', database: '10.11.6-MariaDB', upSince: '2026-11-28T08:00:00.000Z' },
    jobs: {
      waiting: [{ kind: 'mail', count: 3, oldestAt: '2026-11-28T09:00:00.000Z', underWay: 1, tried: 2 }],
      failed: [{ id: nth(5), kind: 'import', attempts: 8, at: '2026-11-28T09:30:00.000Z' }],
    },
    messages: [{ channel: 'mail', state: 'refused', count: 2, oldestAt: '2026-11-27T09:00:00.000Z' }],
    room: { tables: 4e6, documents: { count: 12, bytes: 2e6 }, free: 5e8 },
    registers: [{ register: 'grid', source: 'Grid Board', asked: 0, lastAt: null, answers: false }],
    lastBackup: null,
  }

  test('says what waits, that nothing was ever backed up, and has a job tried again', async () => {
    const { user, sent } = await showPage(<HowItRuns />, {
      roles: ['administrator'],
      readOperation: operation,
      retryJob: { done: true },
    })
    expect(within(await screen.findByRole('row', { name: /send a mail/ })).getByText('3')).toBeTruthy()
    expect(screen.getByText(/^None yet/).className).toContain('contradicted')
    expect(screen.getByRole('row', { name: /Grid Board/ }).textContent).toMatch(/does not answer.*never/)
    await user.click(screen.getByRole('button', { name: 'Try again' }))
    await waitFor(() => expect(sent).toMatchObject([{ name: 'retryJob', params: { id: nth(5) } }]))
  })
})

test('where roles come from the identity provider it is said so, and who keeps a password beside it', async () => {
  const session = sessionOf('administrator')
  const one = person(2, { throughProvider: true })
  const { user, sent } = await showPage(<Colleagues />, {
    readSession: { ...session, provider: 'Vallorne Identity' },
    listColleagues: { ...house(one, person(3, { breakGlass: true })), rolesFromProvider: true },
    setBreakGlass: { version: one.version + 1 },
  })
  await screen.findByText(/is entered with their first sign-in/)
  expect(screen.getAllByText(/Vallorne Identity$|By password too/)).toHaveLength(2)
  await user.click(screen.getByRole('button', { name: one.name }))
  await screen.findByText(/a change here lasts until they next sign in/)
  await user.click(screen.getByRole('checkbox', { name: /May sign in by password/ }))
  await waitFor(() =>
    expect(sent[0]).toMatchObject({
      ...{ name: 'setBreakGlass', params: { id: one.id }, body: { version: one.version, breakGlass: true } },
    }),
  )
})
