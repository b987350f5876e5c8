import dates from '../catalogue/dates.en'
import frame from '../catalogue/frame.en'
import shape from '../catalogue/shape.en'
import ui from '../catalogue/ui.en'

export default { ...dates, ...frame, ...shape, ...ui }
