import ask from '../catalogue/ask.de'
import condition from '../catalogue/condition.de'
import form from '../catalogue/form.de'
import names from '../catalogue/names.de'
import paper from '../catalogue/paper.de'
import reason from '../catalogue/reason.de'

export default { ...ask, ...condition, ...form, ...names, ...paper, ...reason }
