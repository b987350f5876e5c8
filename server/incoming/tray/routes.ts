import * as contract from '#contract/tray'
import { bind, bindFile } from '../../platform/http/bind'
import { coverSheetsPdf, printCoverSheets } from './coverSheets'
import { filePaper, takeOutOfTray } from './file'
import { placesFor } from './places'
import { putInTray, readTray, readTrayPaper } from './tray'

export const paperRoutes = [
  bind(contract.printCoverSheets, ({ deps, actor, input }) =>
    printCoverSheets(deps, actor, input.params.id, input.body.papers),
  ),
  bindFile(contract.readCoverSheets, ({ deps, input }) =>
    coverSheetsPdf(deps, input.params.id, input.query.numbers.split(',').map(Number)),
  ),
  bind(contract.readTray, ({ deps }) => readTray(deps)),
  bind(contract.putInTray, ({ deps, actor, input }) =>
    putInTray(deps, actor, input.query.fileName, input.body as Buffer),
  ),
  bindFile(contract.readTrayPaper, ({ input }) => readTrayPaper(input.params.id)),
  bind(contract.placesFor, ({ input }) => placesFor(input.params.id)),
  bind(contract.filePaper, ({ deps, actor, input }) => filePaper(deps, actor, input.params.id, input.body)),
  bind(contract.takeOutOfTray, ({ deps, actor, input }) => takeOutOfTray(deps, actor, input.params.id)),
]
