import { configureStore } from '@reduxjs/toolkit'
import { setupListeners } from '@reduxjs/toolkit/query'
import { api } from './api'
import { notices } from './ui/notices'

export const store = configureStore({
  reducer: { [api.reducerPath]: api.reducer, notices: notices.reducer },
  middleware: (standard) => standard({ serializableCheck: false }).concat(api.middleware),
})
setupListeners(store.dispatch)

export type State = ReturnType<typeof store.getState>
