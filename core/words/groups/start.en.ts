import dates from '../catalogue/dates.en'
import frame from '../catalogue/frame.en'
import ui from '../catalogue/ui.en'

export default { ...dates, ...frame, ...ui }
