import type { TSchema } from '@sinclair/typebox'
import { behalfHeader, type Endpoint } from './endpoint'
import { contract } from './index'
import { ConditionSchema } from './ruleShapes'

/** The OpenAPI 3.1 document of all endpoints, made from the same values that serve them. */
export function openApi(title: string, version: string) {
  const paths: Record<string, Record<string, unknown>> = {}
  for (const [name, described] of Object.entries(contract) as [string, Endpoint][]) {
    const path = described.path.replace(/:(\w+)/g, '{$1}')
    paths[path] = { ...paths[path], [described.method.toLowerCase()]: operation(name, described) }
  }
  return {
    openapi: '3.1.0',
    info: { title, version },
    paths,
    components: {
      securitySchemes: { session: { type: 'apiKey', in: 'cookie', name: 'probatum' } },
      schemas: { Problem: problem, Condition: ConditionSchema },
    },
  }
}

function operation(name: string, described: Endpoint) {
  const needsSession = described.access !== 'anyone' && described.access !== 'bearer-of-link'
  const key = described.idempotent
    ? [
        {
          name: 'Idempotency-Key',
          in: 'header',
          required: true,
          schema: { type: 'string', minLength: 8, maxLength: 80 },
        },
      ]
    : []
  const behalf = described.behalf
    ? [
        {
          name: behalfHeader,
          in: 'header',
          required: false,
          description: 'The application the desk writes for somebody who wrote on paper or rang',
          schema: { type: 'string', format: 'uuid' },
        },
      ]
    : []
  return {
    operationId: name,
    summary: described.summary,
    parameters: [
      ...parametersOf(described.params, 'path'),
      ...parametersOf(described.query, 'query'),
      ...key,
      ...behalf,
    ],
    ...(described.method === 'GET' || described.method === 'DELETE'
      ? {}
      : {
          requestBody: {
            content: described.bytes
              ? { 'application/octet-stream': {} }
              : { 'application/json': { schema: described.body } },
          },
        }),
    responses: {
      200: {
        description: 'As asked',
        content: described.file
          ? { 'application/octet-stream': {} }
          : { 'application/json': { schema: described.reply } },
      },
      default: {
        description: 'What is wrong',
        content: { 'application/problem+json': { schema: { $ref: '#/components/schemas/Problem' } } },
      },
    },
    ...(needsSession ? { security: [{ session: [] }] } : {}),
  }
}

function parametersOf(schema: TSchema, place: 'path' | 'query') {
  const required: string[] = schema.required ?? []
  return Object.entries((schema.properties ?? {}) as Record<string, TSchema>).map(([name, of]) => ({
    name,
    in: place,
    required: place === 'path' || required.includes(name),
    schema: of,
  }))
}

const problem = {
  type: 'object',
  description: 'Problem details (RFC 9457)',
  properties: {
    type: { type: 'string' },
    title: { type: 'string' },
    status: { type: 'integer' },
    detail: { type: 'string' },
    code: { type: 'string' },
    faults: {
      type: 'array',
      items: { type: 'object', properties: { pointer: { type: 'string' }, message: { type: 'string' } } },
    },
  },
}
