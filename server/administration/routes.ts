import * as colleagues from '#contract/colleagues'
import * as firstSteps from '#contract/firstSteps'
import * as contract from '#contract/organisation'
import { bind, bindFile } from '../platform/http/bind'
import { readOwnAbsence, setAbsence } from './absence'
import {
  changeColleague,
  inviteAgain,
  inviteColleague,
  listColleagues,
  removeInvitation,
  restoreColleague,
  setBreakGlass,
  signOutColleague,
  suspendColleague,
} from './colleagues'
import { confirmTestMail, leaveForLater, readFirstSteps, sendTestMail } from './firstSteps'
import { readLogo, removeLogo, saveLogo } from './logo'
import { readOrganisation, saveOrganisation } from './organisation'
import { readPermissionText, savePermissionText } from './permissionText'
import { readPolicies, savePolicies } from './policies'
import { readRights, saveRights } from './rights'
import { removeTeam, saveTeam } from './teams'

export const administrationRoutes = [
  bind(contract.readOrganisation, ({ deps }) => readOrganisation(deps)),
  bind(contract.saveOrganisation, ({ deps, actor, input }) => saveOrganisation(deps, actor, input.body)),
  bind(contract.saveLogo, ({ deps, actor, input }) => saveLogo(deps, actor, input.body as unknown as Buffer)),
  bind(contract.removeLogo, ({ deps, actor }) => removeLogo(deps, actor)),
  bindFile(contract.readLogo, readLogo),
  bind(contract.readPermissionText, readPermissionText),
  bind(contract.savePermissionText, ({ deps, actor, input }) => savePermissionText(deps, actor, input.body)),

  bind(firstSteps.readFirstSteps, ({ deps }) => readFirstSteps(deps)),
  bind(firstSteps.leaveForLater, ({ input }) => leaveForLater(input.params.step, input.body.later)),
  bind(firstSteps.sendTestMail, ({ deps, actor }) => sendTestMail(deps, actor)),
  bind(firstSteps.confirmTestMail, ({ deps, input }) => confirmTestMail(deps, input.body.token)),

  bind(colleagues.listColleagues, ({ deps }) => listColleagues(deps)),
  bind(colleagues.inviteColleague, ({ deps, actor, input }) => inviteColleague(deps, actor, input.body)),
  bind(colleagues.inviteAgain, ({ deps, actor, input }) => inviteAgain(deps, actor, input.params.id)),
  bind(colleagues.changeColleague, ({ deps, actor, input }) =>
    changeColleague(deps, actor, input.params.id, input.body),
  ),
  bind(colleagues.setBreakGlass, ({ deps, actor, input }) => setBreakGlass(deps, actor, input.params.id, input.body)),
  bind(colleagues.suspendColleague, ({ deps, actor, input }) =>
    suspendColleague(deps, actor, input.params.id, input.body),
  ),
  bind(colleagues.restoreColleague, ({ deps, actor, input }) =>
    restoreColleague(deps, actor, input.params.id, input.body),
  ),
  bind(colleagues.removeInvitation, ({ deps, actor, input }) => removeInvitation(deps, actor, input.params.id)),
  bind(colleagues.signOutColleague, ({ deps, actor, input }) => signOutColleague(deps, actor, input.params.id)),
  bind(colleagues.setAbsence, ({ deps, actor, input }) => setAbsence(deps, actor, input.params.id, input.body)),
  bind(colleagues.readOwnAbsence, ({ actor }) => readOwnAbsence(actor)),
  bind(colleagues.setOwnAbsence, ({ deps, actor, input }) => setAbsence(deps, actor, actor.id, input.body)),
  bind(colleagues.saveTeam, ({ deps, actor, input }) => saveTeam(deps, actor, input.params.id, input.body)),
  bind(colleagues.removeTeam, ({ deps, actor, input }) => removeTeam(deps, actor, input.params.id)),
  bind(colleagues.readPolicies, readPolicies),
  bind(colleagues.savePolicies, ({ deps, actor, input }) => savePolicies(deps, actor, input.body)),
  bind(colleagues.readRights, readRights),
  bind(colleagues.saveRights, ({ deps, actor, input }) => saveRights(deps, actor, input.body)),
]
