import absence from '../catalogue/absence.de'
import account from '../catalogue/account.de'
import apply from '../catalogue/apply.de'
import check from '../catalogue/check.de'
import claims from '../catalogue/claims.de'
import completion from '../catalogue/completion.de'
import detail from '../catalogue/detail.de'
import documents from '../catalogue/documents.de'
import employers from '../catalogue/employers.de'
import fees from '../catalogue/fees.de'
import form from '../catalogue/form.de'
import hearing from '../catalogue/hearing.de'
import marks from '../catalogue/marks.de'
import permission from '../catalogue/permission.de'
import privacy from '../catalogue/privacy.de'
import reason from '../catalogue/reason.de'
import recipients from '../catalogue/recipients.de'
import role from '../catalogue/role.de'
import status from '../catalogue/status.de'
import zone from '../catalogue/zone.de'

export default {
  ...absence,
  ...role,
  ...employers,
  ...fees,
  ...recipients,
  ...account,
  ...apply,
  ...check,
  ...claims,
  ...completion,
  ...detail,
  ...documents,
  ...form,
  ...marks,
  ...permission,
  ...privacy,
  ...reason,
  ...hearing,
  ...status,
  ...zone,
}
