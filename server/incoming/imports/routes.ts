import * as contract from '#contract/imports'
import { bind, bindFile } from '../../platform/http/bind'
import { beginImport, leftRows, listImports, mapImport, readImport, runImport, undoImport } from './imports'
import { readImportedPerson } from './people'

export const importRoutes = [
  bind(contract.listImports, () => listImports()),
  bind(contract.beginImport, ({ deps, actor, input }) =>
    beginImport(deps, actor, input.query.fileName, input.body as Buffer),
  ),
  bind(contract.readImportedPerson, ({ deps, actor, input }) =>
    readImportedPerson(deps, actor, input.params.candidateId),
  ),
  bind(contract.readImport, ({ input }) => readImport(input.params.id)),
  bind(contract.mapImport, ({ input }) => mapImport(input.params.id, input.body.mapping)),
  bind(contract.runImport, ({ input }) => runImport(input.params.id)),
  bindFile(contract.readLeftRows, ({ input }) => leftRows(input.params.id)),
  bind(contract.undoImport, ({ deps, actor, input }) => undoImport(deps, actor, input.params.id)),
]
