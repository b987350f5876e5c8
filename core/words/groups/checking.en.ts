import shape from '../catalogue/shape.en'

export default { ...shape }
