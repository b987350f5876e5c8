import { describeError } from './describeError'

const failed = (sql: string, sqlMessage: string) =>
  Object.assign(new Error(''), {
    sql,
    original: Object.assign(new Error(sqlMessage), { sqlMessage, code: 'ER_NO_SUCH_TABLE' }),
  })

test('a statement is told with its code and what went wrong, without anybody’s data', () => {
  const told = describeError(
    failed("SELECT id FROM people WHERE name = 'Ada O''Hara' AND born > 19710309", "Table 'people' doesn't exist"),
  )
  expect(told).toMatchObject({ code: 'ER_NO_SUCH_TABLE', sql: 'SELECT id FROM people WHERE name = ? AND born > ?' })
  expect(told.message).toContain("doesn't exist")
  expect(JSON.stringify(told)).not.toMatch(/Hara|1971/)
})

test('any other error is told with its message and where it was thrown', () => {
  const told = describeError(new TypeError('x is not a function'))
  expect(told.message).toBe('x is not a function')
  expect(told).toMatchObject({ stack: expect.arrayContaining([expect.stringMatching(/^at .*describeError\.test/)]) })
  expect(describeError('thrown as text')).toEqual({ message: 'thrown as text' })
})
