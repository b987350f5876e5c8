import account from '../catalogue/account.de'
import ask from '../catalogue/ask.de'
import condition from '../catalogue/condition.de'
import dates from '../catalogue/dates.de'
import form from '../catalogue/form.de'
import names from '../catalogue/names.de'
import paper from '../catalogue/paper.de'
import reason from '../catalogue/reason.de'
import ui from '../catalogue/ui.de'
import vacancies from '../catalogue/vacancies.de'

export default {
  ...account,
  ...ask,
  ...condition,
  ...dates,
  ...form,
  ...names,
  ...paper,
  ...reason,
  ...ui,
  ...vacancies,
}
