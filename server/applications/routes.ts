import * as contract from '#contract/applications'
import * as heard from '#contract/heard'
import * as status from '#contract/status'
import { accountWithPassword } from '../accounts/lookAfter'
import { withPassword } from '../accounts/withPassword'
import { bind, bindFile } from '../platform/http/bind'
import { beginApplication } from './begin'
import { confirmSection } from './carryOver'
import { extend, restore } from './completion'
import { deleteDraft } from './deleteDraft'
import { readDraft } from './draft'
import { countHeard, readHeard, readHeardOf, saveHeard } from './heard'
import { readApplicationPdf, readPermissionPdf } from './ownPdfs'
import { finishReopened, reopenPart, settleReopened } from './reopen'
import { saveAnswers } from './saveAnswers'
import { sendApplication } from './send'
import { signForApplication } from './sign'
import { myApplications, readStatus } from './status'
import { withdraw } from './withdraw'
import { withdrawPermission } from './withdrawPermission'

export const applicationRoutes = [
  bind(heard.readHeard, ({ actor, input }) => readHeard(actor, input.params.id)),
  bind(heard.saveHeard, ({ deps, actor, input }) => saveHeard(deps, actor, input.params.id, input.body)),
  bind(heard.readHeardOf, ({ input }) => readHeardOf(input.params.id)),
  bind(heard.countHeard, ({ input }) => countHeard(input.params.id)),
  bind(contract.beginApplication, ({ deps, actor, input }) => beginApplication(deps, actor, input.params.slug)),
  bind(contract.myApplications, ({ deps, actor }) => myApplications(deps, actor)),
  bind(contract.readDraft, ({ deps, actor, input }) => readDraft(deps, actor, input.params.id)),
  bindFile(status.readApplicationPdf, ({ actor, input }) => readApplicationPdf(actor, input.params.id)),
  bindFile(status.readPermissionPdf, ({ actor, input }) => readPermissionPdf(actor, input.params.id)),
  bind(contract.saveAnswers, ({ deps, actor, input }) => saveAnswers(deps, actor, input.params.id, input.body)),
  bind(contract.extendTime, ({ deps, actor, input }) => extend(deps, actor, input.params.id, input.body.reason)),
  bind(contract.restoreApplication, ({ deps, actor, input }) => restore(deps, actor, input.params.id)),
  bind(contract.confirmSection, ({ deps, actor, input }) =>
    confirmSection(deps, actor, input.params.id, input.params.section),
  ),
  bind(contract.finishReopened, ({ deps, actor, input }) =>
    finishReopened(deps, actor, input.params.id, input.params.reopening),
  ),
  bind(contract.reopenPart, ({ deps, actor, input }) => reopenPart(deps, actor, input.params.id, input.body)),
  bind(contract.settleReopened, ({ deps, actor, input }) =>
    settleReopened(deps, actor, input.params.id, input.params.reopening),
  ),
  withPassword(contract.signPermission, async ({ deps, actor, input }) => {
    await accountWithPassword(actor, input.body.password)
    return signForApplication(deps, actor, input.params.id, input.body)
  }),
  bind(contract.withdrawPermission, ({ deps, actor, input }) => withdrawPermission(deps, actor, input.params.id)),
  bind(contract.sendApplication, ({ deps, actor, input }) =>
    sendApplication(deps, actor, input.params.id, input.body.version),
  ),
  bind(status.readStatus, ({ deps, actor, input }) => readStatus(deps, actor, input.params.id)),
  bind(contract.deleteDraft, ({ deps, actor, input }) => deleteDraft(deps, actor, input.params.id)),
  bind(contract.withdraw, ({ deps, actor, input }) => withdraw(deps, actor, input.params.id)),
]
