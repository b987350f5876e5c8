import type english from './administration.en'
import type { Translated } from './translated'

export default {} satisfies Translated<typeof english>
