import dates from '../catalogue/dates.de'
import frame from '../catalogue/frame.de'
import ui from '../catalogue/ui.de'

export default { ...dates, ...frame, ...ui }
