import ask from '../catalogue/ask.de'
import condition from '../catalogue/condition.de'
import names from '../catalogue/names.de'
import paper from '../catalogue/paper.de'

export default { ...ask, ...condition, ...names, ...paper }
