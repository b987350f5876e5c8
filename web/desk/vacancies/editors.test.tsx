import { jest } from '@jest/globals'
import { screen } from '@testing-library/react'
import { useState } from 'react'
import { goByCatalogue } from '#core/catalogue/catalogue'
import type { Condition } from '#core/conditions/condition'
import { knownFacts } from '#core/conditions/vocabulary'
import type { Question } from '#core/form/form'
import { vallorneCatalogue } from '#scenario/catalogue'
import { showPage } from '../../../test/page'
import { ConditionEditor } from './ConditionEditor'
import { QuestionEditor } from './QuestionEditor'

const question = (key: string, kind: Question['kind']): Question => ({ key, label: key, kind, required: true })
const known = knownFacts([
  {
    ...{ key: 'more', title: 'More', heading: '', intro: '', holds: 'questions' },
    questions: [question('heights', 'yes or no'), question('seasons', 'number'), question('since', 'date')],
  },
])

describe('a condition', () => {
  const told = jest.fn<(next: Condition | undefined) => void>()
  function Held({ begin }: { begin?: Condition }) {
    const [condition, setCondition] = useState(begin)
    return (
      <ConditionEditor
        label="When it is asked"
        condition={condition}
        known={known}
        onChange={(next) => {
          told(next)
          setCondition(next)
        }}
      />
    )
  }
  const last = () => told.mock.calls.at(-1)?.[0]

  test('begins with a question of yes or no, and grows by parts and groups', async () => {
    const { user } = await showPage(<Held />)
    await user.click(screen.getByRole('button', { name: 'Add a condition' }))
    expect(last()).toEqual({ all: [{ fact: 'heights', is: 'yes' }] })
    await user.click(screen.getByRole('button', { name: 'And another' }))
    await user.click(screen.getByRole('button', { name: 'A group' }))
    expect(last()).toEqual({
      all: [{ fact: 'heights', is: 'yes' }, { fact: 'heights', is: 'yes' }, { any: [{ fact: 'heights', is: 'yes' }] }],
    })
  })

  test('another fact brings the comparisons that fit it', async () => {
    const { user } = await showPage(<Held begin={{ all: [{ fact: 'heights', is: 'yes' }] }} />)
    await user.selectOptions(screen.getByLabelText('What is looked at'), 'seasons')
    const comparison = (last() as { all: object[] }).all[0]!
    expect(Object.keys(comparison)).toContain('fact')
    expect(comparison).toMatchObject({ fact: 'seasons' })
    expect(typeof Object.values(comparison)[1]).toBe('number')
  })

  test('a day is typed as people write it, and what is not a day yet changes nothing', async () => {
    const { user } = await showPage(<Held begin={{ all: [{ fact: 'since', onOrBefore: '2000-01-01' }] }} />)
    const field = screen.getByLabelText<HTMLInputElement>('With what')
    expect(field.value).toBe('1 Jan 2000')
    await user.clear(field)
    await user.type(field, '24 Nov 2008')
    expect(field.value).toBe('24 Nov 2008')
    expect(last()).toEqual({ all: [{ fact: 'since', onOrBefore: '2008-11-24' }] })
  })

  test('what was taken out of the catalogue is offered only where it was chosen', async () => {
    const retired = { ...vallorneCatalogue.credentials[0]!, key: 'raft', name: 'Raft card', retired: true } as const
    goByCatalogue({ ...vallorneCatalogue, credentials: [...vallorneCatalogue.credentials, retired] })
    const papers = knownFacts([])
    goByCatalogue(vallorneCatalogue)
    const editor = (holds: string) => (
      <ConditionEditor
        label="When it is asked"
        condition={{ all: [{ fact: 'file.credentials', holds }] }}
        known={papers}
        onChange={() => {}}
      />
    )
    const values = () => [...screen.getByLabelText<HTMLSelectElement>('With what').options].map(({ value }) => value)
    const { unmount } = await showPage(editor('first-aid'))
    expect(values()).toContain('first-aid')
    expect(values()).not.toContain('raft')
    unmount()
    await showPage(editor('raft'))
    expect(values()).toContain('raft')
  })

  test('taken out, part by part, nothing is left', async () => {
    const { user } = await showPage(<Held begin={{ all: [{ fact: 'heights', is: 'yes' }] }} />)
    await user.click(screen.getByRole('button', { name: 'Take this part out' }))
    expect(last()).toBeUndefined()
    expect(screen.getByRole('button', { name: 'Add a condition' })).toBeTruthy()
  })
})

describe('a question', () => {
  const told = jest.fn<(next: Question) => void>()
  function Held({ begin }: { begin: Question }) {
    const [question, setQuestion] = useState(begin)
    return (
      <QuestionEditor
        question={question}
        known={known}
        onChange={(next) => {
          told(next)
          setQuestion(next)
        }}
      />
    )
  }
  const plain: Question = { key: 'q', label: 'Why', kind: 'long text', required: true, limit: 400 }
  const last = () => told.mock.calls.at(-1)![0]

  test('may be read while names are hidden only where it is written freely', async () => {
    const { user } = await showPage(<Held begin={plain} />)
    await user.click(screen.getByLabelText(/^Also read while names are hidden/))
    expect(last().nameless).toBe(true)
    await user.selectOptions(screen.getByLabelText('Answered with'), 'yes or no')
    expect(last()).toEqual({ key: 'q', label: 'Why', kind: 'yes or no', required: true })
    expect(screen.queryByLabelText(/^Also read while names are hidden/)).toBeNull()
  })

  test('says where an address is asked with its street, and what everybody will read', async () => {
    const { user } = await showPage(<Held begin={{ key: 'q', label: 'Home', kind: 'address', required: true }} />)
    await user.click(screen.getByLabelText('with the street'))
    expect(last().street).toBe(true)
    await user.click(screen.getByLabelText(/^the answer will be public/))
    expect(last()).toMatchObject({ street: true, public: true })
    await user.click(screen.getByLabelText('with the street'))
    expect(last().street).toBeUndefined()
    await user.selectOptions(screen.getByLabelText('Answered with'), 'identity number')
    expect(screen.queryByLabelText(/^the answer will be public/)).toBeNull()
  })

  test('another kind keeps what it has a use for', async () => {
    const { user } = await showPage(<Held begin={{ ...plain, help: 'In short.', blanks: ['unknown'] }} />)
    await user.selectOptions(screen.getByLabelText('Answered with'), 'text')
    expect(last()).toMatchObject({ kind: 'text', limit: 400, help: 'In short.', blanks: ['unknown'] })
    await user.selectOptions(screen.getByLabelText('Answered with'), 'declaration')
    expect(last()).toEqual({ key: 'q', label: 'Why', kind: 'declaration', required: true, help: 'In short.' })
  })

  test('a paper is of a kind of the catalogue, which goes when something else is asked', async () => {
    const { user } = await showPage(<Held begin={{ ...plain, kind: 'document' }} />)
    const [kind] = vallorneCatalogue.documents
    await user.selectOptions(screen.getByLabelText('Kind of document'), kind!.key)
    expect(last().documentKind).toBe(kind!.key)
    await user.selectOptions(screen.getByLabelText('Kind of document'), '')
    expect(last().documentKind).toBeUndefined()
    await user.selectOptions(screen.getByLabelText('Kind of document'), kind!.key)
    await user.selectOptions(screen.getByLabelText('Answered with'), 'languages')
    expect(last()).toEqual({ key: 'q', label: 'Why', kind: 'languages', required: true })
  })

  test('choices are written one a line, and no choice twice', async () => {
    const { user } = await showPage(<Held begin={{ ...plain, kind: 'one of', options: [] }} />)
    await user.type(screen.getByLabelText('What can be chosen, one a line'), 'North{Enter}South{Enter}{Enter} North ')
    await user.tab()
    expect(last().options).toEqual(['North', 'South'])
  })
})
