import agreement from '../catalogue/agreement.en'
import behalf from '../catalogue/behalf.en'
import closings from '../catalogue/closings.en'
import comparison from '../catalogue/comparison.en'
import composer from '../catalogue/composer.en'
import desk from '../catalogue/desk.en'
import duplicates from '../catalogue/duplicates.en'
import employers from '../catalogue/employers.en'
import enquiries from '../catalogue/enquiries.en'
import fees from '../catalogue/fees.en'
import field from '../catalogue/field.en'
import file from '../catalogue/file.en'
import flags from '../catalogue/flags.en'
import form from '../catalogue/form.en'
import importsDesk from '../catalogue/importsDesk.en'
import overviews from '../catalogue/overviews.en'
import preparedWords from '../catalogue/preparedWords.en'
import proof from '../catalogue/proof.en'
import reason from '../catalogue/reason.en'
import recipients from '../catalogue/recipients.en'
import role from '../catalogue/role.en'
import rules from '../catalogue/rules.en'
import sources from '../catalogue/sources.en'
import sourceText from '../catalogue/sourceText.en'
import state from '../catalogue/state.en'
import statistics from '../catalogue/statistics.en'
import step from '../catalogue/step.en'
import table from '../catalogue/table.en'
import trayDesk from '../catalogue/trayDesk.en'

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
