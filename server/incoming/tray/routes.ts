import * as own from '#contract/coverSheets'
import * as contract from '#contract/tray'
import { bind, bindFile } from '../../platform/http/bind'
import { coverSheetsPdf, printCoverSheets } from './coverSheets'
import { filePaper, layWithQuestion, takeOutOfTray } from './file'
import { callOffCoverSheet, listMyCoverSheets, makeMyCoverSheets, myCoverSheetsPdf, sayPosted } from './ownSheets'
import { placesFor } from './places'
import { putInTray, readTray, readTrayPaper } from './tray'

export const paperRoutes = [
  bind(own.listMyCoverSheets, ({ deps, actor, input }) => listMyCoverSheets(deps, actor, input.params.id)),
  bind(own.makeMyCoverSheets, ({ deps, actor, input }) =>
    makeMyCoverSheets(deps, actor, input.params.id, input.body.papers),
  ),
  bindFile(own.readMyCoverSheets, ({ deps, actor, input }) =>
    myCoverSheetsPdf(deps, actor, input.params.id, input.query.numbers.split(',').map(Number)),
  ),
  bind(own.sayPosted, ({ deps, actor, input }) => sayPosted(deps, actor, Number(input.params.number))),
  bind(own.callOffCoverSheet, ({ deps, actor, input }) => callOffCoverSheet(deps, actor, Number(input.params.number))),
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
  bind(contract.layWithQuestion, ({ deps, actor, input }) =>
    layWithQuestion(deps, actor, input.params.id, input.body.reference),
  ),
  bind(contract.takeOutOfTray, ({ deps, actor, input }) => takeOutOfTray(deps, actor, input.params.id)),
]
