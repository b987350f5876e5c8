import administration from '../catalogue/administration.en'
import organisation from '../catalogue/organisation.en'
import right from '../catalogue/right.en'

export default { ...administration, ...organisation, ...right }
