import comparison from '../catalogue/comparison.en'
import field from '../catalogue/field.en'
import flags from '../catalogue/flags.en'
import report from '../catalogue/report.en'
import state from '../catalogue/state.en'

export default { ...comparison, ...field, ...flags, ...report, ...state }
