import vacancies from '../catalogue/vacancies.en'

export default { ...vacancies }
