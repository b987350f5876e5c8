import { goByCatalogue } from '#core/catalogue/catalogue'
import { learnEverything } from '#core/words/everything'
import { vallorneCatalogue } from '#scenario/catalogue'

/** Tests say whatever they like, as the server does, and go by the catalogue of the demo. */
learnEverything()
goByCatalogue(vallorneCatalogue)
