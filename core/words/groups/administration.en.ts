import absence from '../catalogue/absence.en'
import administration from '../catalogue/administration.en'
import catalogue from '../catalogue/catalogue.en'
import organisation from '../catalogue/organisation.en'
import right from '../catalogue/right.en'

export default { ...absence, ...administration, ...catalogue, ...organisation, ...right }
