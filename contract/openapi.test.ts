import { contract } from './index'
import { openApi } from './openapi'

test('the OpenAPI document has every endpoint with its parameters, bodies and replies', () => {
  const { paths, openapi } = openApi('Probatum', '1')
  expect(openapi).toBe('3.1.0')
  const operations = Object.values(paths).flatMap((methods) => Object.values(methods)) as {
    operationId: string
    parameters: { name: string; in: string; required: boolean }[]
    responses: object
  }[]
  expect(operations.map(({ operationId }) => operationId).sort()).toEqual(Object.keys(contract).sort())
  const reply = operations.find(({ operationId }) => operationId === 'replyToEnquiry')!
  expect(reply.parameters).toEqual(
    expect.arrayContaining([
      expect.objectContaining({ name: 'token', in: 'path', required: true }),
      expect.objectContaining({ name: 'Idempotency-Key', in: 'header' }),
    ]),
  )
  expect(paths['/api/desk/applications/{id}/gates/{gate}']).toBeDefined()
})
