import dates from '../catalogue/dates.it'
import field from '../catalogue/field.it'
import reply from '../catalogue/reply.it'
import ui from '../catalogue/ui.it'

export default { ...dates, ...field, ...reply, ...ui }
