import { goByCatalogue } from '#core/catalogue/catalogue'
import { api } from './api'
import { store } from './store'

let coming: Promise<void> | undefined

/** Has the pages go by the organisation's catalogue: fetched once, before the first page that needs it. */
export function loadCatalogue(): Promise<void> {
  coming ??= takeCatalogue().catch((error: unknown) => {
    coming = undefined
    throw error
  })
  return coming
}

/** Goes by the catalogue as it is now. */
export async function takeCatalogue() {
  const { catalogue } = await store
    .dispatch(api.endpoints.readCatalogue.initiate({}, { subscribe: false, forceRefetch: true }))
    .unwrap()
  goByCatalogue(catalogue)
}
