import ask from '../catalogue/ask.en'
import condition from '../catalogue/condition.en'
import names from '../catalogue/names.en'
import paper from '../catalogue/paper.en'

export default { ...ask, ...condition, ...names, ...paper }
