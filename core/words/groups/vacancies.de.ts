import vacancies from '../catalogue/vacancies.de'

export default { ...vacancies }
