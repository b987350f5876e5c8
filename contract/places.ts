import { Type } from '@sinclair/typebox'
import { endpoint } from './endpoint'

export const findPlaces = endpoint({
  method: 'GET',
  path: '/api/places',
  summary: 'Towns and regions of a postcode; empty where the directory does not know it or does not answer',
  access: 'signed-in',
  query: Type.Object({
    country: Type.String({ maxLength: 60 }),
    postcode: Type.String({ minLength: 2, maxLength: 12 }),
  }),
  reply: Type.Array(Type.Object({ town: Type.String(), region: Type.String() })),
})
