import { say } from '#core/words/say'
import { api } from '../../api'

/** Where they heard of us, and who recommended us, beneath their answers. */
export function HeardOf({ id }: { id: string }) {
  const { data } = api.endpoints.readHeardOf.useQuery({ params: { id } })
  if (!data?.source) return null
  return (
    <p className="mt-1 text-ink-2">
      {say('file.heardOfUs', { source: say(`role.heard.${data.source}`) })}{' '}
      {data.recommendedBy && say('file.recommendedBy', { name: data.recommendedBy })}
    </p>
  )
}
