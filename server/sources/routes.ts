import * as programmes from '#contract/programmes'
import * as contract from '#contract/sources'
import * as turnaround from '#contract/turnaround'
import { bind, bindFile } from '../platform/http/bind'
import { awardsOf } from '../records/sources/awards'
import { keepForm, readForm } from '../records/sources/forms'
import { findSources, sourceById } from '../records/sources/sources'
import { importAwards, removeAward } from './awards'
import { sourceDirectory } from './directory'
import { importSources, readSourceFile } from './file'
import { checkSource, retireSource, saveSource } from './keep'
import { mergeSources, undoSourceMerge } from './merge'
import { readSource } from './read'
import { listResearch, readAsSecond, readResearch, reopenResearch, saveResearch, takeResearch } from './research'
import { readTurnaround } from './turnaround'
import { setSourcesApart } from './twins'
import { importSellers, readWatchlist, saveWatchlist } from './watchlist'

export const sourceRoutes = [
  bind(contract.findSources, ({ input }) => findSources(input.query)),
  bind(contract.sourceDirectory, ({ deps, actor, input }) => sourceDirectory(deps, actor, input.query)),
  bindFile(contract.readSourceFile, ({ deps, actor, input }) => readSourceFile(deps, actor, input.query.format)),
  bind(
    contract.importSources,
    ({ deps, actor, input }) =>
      importSources(deps, actor, input.query.fileName, input.query.dry === 'yes', input.body as Buffer),
    { transaction: false },
  ),
  bind(contract.readSource, ({ actor, input }) => readSource(actor, input.params.id)),
  bind(turnaround.readTurnaround, ({ deps, input }) => readTurnaround(deps, input.params.id)),
  bind(contract.saveSource, ({ deps, actor, input }) => saveSource(deps, actor, input.params.id, input.body)),
  bind(
    contract.uploadSourceForm,
    ({ deps, actor, input }) => keepForm(deps, actor, input.query.fileName, input.body as Buffer),
    { transaction: false },
  ),
  bindFile(contract.readSourceForm, ({ input }) => readForm(input.params.sha256, input.query.tried === 'yes')),
  bind(contract.checkSource, ({ deps, actor, input }) => checkSource(deps, actor, input.params.id, input.body)),
  bind(contract.retireSource, ({ deps, actor, input }) => retireSource(deps, actor, input.params.id, input.body)),
  bind(contract.mergeSources, ({ deps, actor, input }) => mergeSources(deps, actor, input.params.id, input.body)),
  bind(contract.undoSourceMerge, ({ deps, actor, input }) => undoSourceMerge(deps, actor, input.params.id)),
  bind(contract.setSourcesApart, ({ deps, actor, input }) =>
    setSourcesApart(deps, actor, input.params.id, input.body.otherId),
  ),
  bind(contract.readWatchlist, () => readWatchlist()),
  bind(contract.saveWatchlist, ({ deps, actor, input }) => saveWatchlist(deps, actor, input.body)),
  bind(contract.importSellers, ({ deps, actor, input }) => importSellers(deps, actor, input.body as Buffer)),
  bind(programmes.readAwards, async ({ input }) =>
    awardsOf((await sourceById(input.params.id)).id, input.query.text ?? ''),
  ),
  bind(programmes.importAwards, ({ deps, actor, input }) =>
    importAwards(deps, actor, input.params.id, input.body as Buffer),
  ),
  bind(programmes.removeAward, ({ deps, actor, input }) =>
    removeAward(deps, actor, input.params.id, input.params.award),
  ),
  bind(programmes.listResearch, ({ actor, input }) => listResearch(actor, input.query.state)),
  bind(programmes.readResearch, ({ actor, input }) => readResearch(actor, input.params.id)),
  bind(programmes.takeResearch, ({ deps, actor, input }) =>
    takeResearch(deps, actor, input.params.id, input.body.version),
  ),
  bind(programmes.saveResearch, ({ deps, actor, input }) => saveResearch(deps, actor, input.params.id, input.body)),
  bind(programmes.reopenResearch, ({ deps, actor, input }) =>
    reopenResearch(deps, actor, input.params.id, input.body.version),
  ),
  bind(programmes.readAsSecond, ({ deps, actor, input }) => readAsSecond(deps, actor, input.params.id, input.body)),
]
