import type english from './enquiries.en'
import type { Translated } from './translated'

export default {
  'enquiries.sure.called back through the switchboard': 'über die Vermittlung zurückgerufen',
  'enquiries.sure.own number of the directory': 'unter der Nummer des Verzeichnisses erreicht',
  'enquiries.sure.known voice': 'an der Stimme erkannt',
} satisfies Translated<typeof english>
