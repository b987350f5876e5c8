import account from '../catalogue/account.en'
import ask from '../catalogue/ask.en'
import condition from '../catalogue/condition.en'
import dates from '../catalogue/dates.en'
import form from '../catalogue/form.en'
import names from '../catalogue/names.en'
import paper from '../catalogue/paper.en'
import reason from '../catalogue/reason.en'
import ui from '../catalogue/ui.en'
import vacancies from '../catalogue/vacancies.en'

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
