import type { ComponentType } from 'react'
import { type Group, loadWords } from './words'

type Load = () => Promise<ComponentType>

/** A place that is loaded when it is first gone to: its words first, since some are said while it loads. */
export const page =
  (load: Load, ...words: readonly Group[]) =>
  async () => {
    const desk = words.includes('desk')
    await Promise.all([
      loadWords(...words),
      ...(desk ? [import('./deskEndpoints'), import('./desk/titles'), catalogueToGoBy()] : []),
      ...(desk || words.includes('portal') || words.includes('report') ? [import('./ownEndpoints')] : []),
    ])
    return { Component: await load() }
  }

/** A place of a candidate that shows or asks what they have: it is called by the names of the organisation. */
export const pageOfFile =
  (load: Load, ...words: readonly Group[]) =>
  async () => {
    await catalogueToGoBy()
    return page(load, ...words)()
  }

const catalogueToGoBy = () => import('./catalogue').then(({ loadCatalogue }) => loadCatalogue())
