import { isRouteErrorResponse, Link, useRouteError } from 'react-router'
import { say } from '#core/words/say'

/** Where an address leads nowhere, or a page could not be drawn. */
export function Failed() {
  const error = useRouteError()
  const missing = !error || (isRouteErrorResponse(error) && error.status === 404)
  return (
    <main className="mx-auto max-w-[560px] p-8">
      <h1 className="mb-2 text-[2em]">{missing ? say('ui.thereIsNothingAtThis') : say('ui.thisPageCouldNotBe')}</h1>
      <p className="mb-4 text-ink-2">{missing ? say('ui.itMayHaveBeenMistyped') : say('ui.nothingYouSavedIsLost')}</p>
      <Link to="/" className="font-semibold text-confirmed underline">
        {say('ui.toTheVacancies')}
      </Link>
    </main>
  )
}
