import agreement from '../catalogue/agreement.de'
import behalf from '../catalogue/behalf.de'
import closings from '../catalogue/closings.de'
import comparison from '../catalogue/comparison.de'
import composer from '../catalogue/composer.de'
import desk from '../catalogue/desk.de'
import duplicates from '../catalogue/duplicates.de'
import employers from '../catalogue/employers.de'
import enquiries from '../catalogue/enquiries.de'
import fees from '../catalogue/fees.de'
import field from '../catalogue/field.de'
import file from '../catalogue/file.de'
import flags from '../catalogue/flags.de'
import form from '../catalogue/form.de'
import importsDesk from '../catalogue/importsDesk.de'
import overviews from '../catalogue/overviews.de'
import preparedWords from '../catalogue/preparedWords.de'
import proof from '../catalogue/proof.de'
import reason from '../catalogue/reason.de'
import recipients from '../catalogue/recipients.de'
import role from '../catalogue/role.de'
import rules from '../catalogue/rules.de'
import sources from '../catalogue/sources.de'
import sourceText from '../catalogue/sourceText.de'
import state from '../catalogue/state.de'
import statistics from '../catalogue/statistics.de'
import step from '../catalogue/step.de'
import table from '../catalogue/table.de'
import trayDesk from '../catalogue/trayDesk.de'

export default {
  ...role,
  ...employers,
  ...fees,
  ...recipients,
  ...agreement,
  ...behalf,
  ...closings,
  ...comparison,
  ...composer,
  ...desk,
  ...duplicates,
  ...enquiries,
  ...field,
  ...file,
  ...flags,
  ...form,
  ...importsDesk,
  ...overviews,
  ...preparedWords,
  ...proof,
  ...reason,
  ...rules,
  ...sources,
  ...sourceText,
  ...state,
  ...statistics,
  ...step,
  ...table,
  ...trayDesk,
}
