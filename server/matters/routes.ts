import * as contract from '#contract/matters'
import { bind } from '../platform/http/bind'
import { accountsWithRight } from '../records/accounts/staff'
import { askAboutMatter, decideMatter } from './decide'
import { readMatters } from './read'

export const matterRoutes = [
  bind(contract.readMatters, ({ deps, actor, input }) => readMatters(deps, actor, input.params.id)),
  bind(contract.decideMatter, ({ deps, actor, input: { params, body } }) =>
    decideMatter(deps, actor, params.id, params.requirement, body),
  ),
  bind(contract.askAboutMatter, ({ deps, actor, input: { params, body } }) =>
    askAboutMatter(deps, actor, params.id, params.requirement, body.text),
  ),
  bind(contract.listMatterDeciders, async () =>
    (await accountsWithRight('matters.decide')).map(({ mail, name }) => ({ mail, name })),
  ),
]
