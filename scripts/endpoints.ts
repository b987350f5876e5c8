import { topics } from '#contract/endpoint'
import { contract } from '#contract/index'
import { isRight } from '#contract/roles'

/** What the pages of people who work here call outside the desk. */
const elsewhere = ['readOwnAbsence', 'setOwnAbsence', 'listNames']

/** What a candidate calls on a page that anybody may open. */
const onPublicPages = ['beginApplication']

/** What anybody calls on a page that few open, and that fetches what candidates call. */
const onFewPages = ['checkCredential', 'checkByLink', 'openSharedRecord', 'readSharedRecord', 'readVacancyFees']

/**
 * Prints what a client needs to call every endpoint, as JSON: the shapes are checked by the server and stay there. Those of the
 * desk and those of candidates are apart, since a phone loads the others first of all; for the same reason what is not so is left
 * out.
 */
const all = Object.entries(contract).map(([name, { method, path, access, idempotent, bytes, behalf, invalidates }]) => {
  const called = { method, path, access, invalidates, ...onlyTrue({ idempotent, bytes, behalf }) }
  const own =
    ((access === 'candidate' || access === 'employer') && !onPublicPages.includes(name)) || onFewPages.includes(name)
  return { name, called, of: isRight(access) && !elsewhere.includes(name) ? 'desk' : own ? 'own' : 'anybody' }
})
const table = (of: string) => Object.fromEntries(all.flatMap((one) => (one.of === of ? [[one.name, one.called]] : [])))
process.stdout.write(
  JSON.stringify({ endpoints: table('anybody'), ownEndpoints: table('own'), deskEndpoints: table('desk'), topics }),
)

function onlyTrue(flags: Record<string, boolean>) {
  return Object.fromEntries(Object.entries(flags).filter(([, holds]) => holds))
}
