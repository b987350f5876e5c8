import { deskEndpoints } from 'virtual:endpoints/desk'
import { addEndpoints } from './api'

/** What is called at the desk alone, fetched with its first page. */
addEndpoints(deskEndpoints)
