import absence from '../catalogue/absence.de'
import administration from '../catalogue/administration.de'
import catalogue from '../catalogue/catalogue.de'
import organisation from '../catalogue/organisation.de'
import right from '../catalogue/right.de'

export default { ...absence, ...administration, ...catalogue, ...organisation, ...right }
