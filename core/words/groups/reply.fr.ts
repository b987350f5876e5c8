import dates from '../catalogue/dates.fr'
import field from '../catalogue/field.fr'
import reply from '../catalogue/reply.fr'
import ui from '../catalogue/ui.fr'

export default { ...dates, ...field, ...reply, ...ui }
