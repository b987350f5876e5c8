import shape from '../catalogue/shape.de'

export default { ...shape }
