import type { Reply } from '#contract/endpoint'
import type { Contract } from '#contract/index'

/** Everybody who works here, and their teams. */
export type House = Reply<Contract['listColleagues']>
export type Colleague = House['colleagues'][number]
