import { ownEndpoints } from 'virtual:endpoints/own'
import { addEndpoints } from './api'

/** What candidates call for what is theirs, fetched with the first page of theirs. */
addEndpoints(ownEndpoints)
