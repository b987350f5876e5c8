import dates from '../catalogue/dates.de'
import frame from '../catalogue/frame.de'
import shape from '../catalogue/shape.de'
import ui from '../catalogue/ui.de'

export default { ...dates, ...frame, ...shape, ...ui }
