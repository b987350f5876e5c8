import comparison from '../catalogue/comparison.de'
import field from '../catalogue/field.de'
import flags from '../catalogue/flags.de'
import report from '../catalogue/report.de'
import state from '../catalogue/state.de'

export default { ...comparison, ...field, ...flags, ...report, ...state }
