import ask from '../catalogue/ask.en'
import condition from '../catalogue/condition.en'
import form from '../catalogue/form.en'
import names from '../catalogue/names.en'
import paper from '../catalogue/paper.en'
import reason from '../catalogue/reason.en'

export default { ...ask, ...condition, ...form, ...names, ...paper, ...reason }
