import account from '../catalogue/account.en'
import dates from '../catalogue/dates.en'
import ui from '../catalogue/ui.en'
import vacancies from '../catalogue/vacancies.en'

export default { ...account, ...dates, ...ui, ...vacancies }
