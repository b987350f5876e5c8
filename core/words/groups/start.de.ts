import account from '../catalogue/account.de'
import dates from '../catalogue/dates.de'
import ui from '../catalogue/ui.de'
import vacancies from '../catalogue/vacancies.de'

export default { ...account, ...dates, ...ui, ...vacancies }
