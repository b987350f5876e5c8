import { Provider } from 'react-redux'
import { RouterProvider } from 'react-router'
import { router } from './routes'
import { store } from './store'

/** Everything, once the language is known. */
export const App = () => (
  <Provider store={store}>
    <RouterProvider router={router} />
  </Provider>
)
