import administration from '../catalogue/administration.de'
import organisation from '../catalogue/organisation.de'
import right from '../catalogue/right.de'

export default { ...administration, ...organisation, ...right }
