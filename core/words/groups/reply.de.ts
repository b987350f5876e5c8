import field from '../catalogue/field.de'
import reply from '../catalogue/reply.de'

export default { ...field, ...reply }
