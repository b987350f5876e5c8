import * as contract from '#contract/catalogue'
import { bind } from '../platform/http/bind'
import { readCatalogue, readCatalogueVersions, saveCatalogue } from './catalogue'

export const catalogueRoutes = [
  bind(contract.readCatalogue, readCatalogue),
  bind(contract.readCatalogueVersions, readCatalogueVersions),
  bind(contract.saveCatalogue, ({ deps, actor, input }) => saveCatalogue(deps, actor, input.body)),
]
