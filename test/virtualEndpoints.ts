import { contract } from '#contract/index'

/** What the build makes of the contract for the pages, made here for their tests. */
export { topics } from '#contract/endpoint'
export const endpoints = contract
