import field from '../catalogue/field.en'
import reply from '../catalogue/reply.en'

export default { ...field, ...reply }
