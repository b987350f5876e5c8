import absence from '../catalogue/absence.en'
import account from '../catalogue/account.en'
import apply from '../catalogue/apply.en'
import check from '../catalogue/check.en'
import claims from '../catalogue/claims.en'
import completion from '../catalogue/completion.en'
import detail from '../catalogue/detail.en'
import documents from '../catalogue/documents.en'
import employers from '../catalogue/employers.en'
import fees from '../catalogue/fees.en'
import form from '../catalogue/form.en'
import hearing from '../catalogue/hearing.en'
import marks from '../catalogue/marks.en'
import permission from '../catalogue/permission.en'
import privacy from '../catalogue/privacy.en'
import reason from '../catalogue/reason.en'
import recipients from '../catalogue/recipients.en'
import role from '../catalogue/role.en'
import status from '../catalogue/status.en'
import zone from '../catalogue/zone.en'

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
