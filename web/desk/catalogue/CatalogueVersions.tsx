import { say } from '#core/words/say'
import { api } from '../../api'
import { Waiting } from '../../ui/Waiting'
import { writeMoment } from '../../ui/write'

/** Who changed what in the catalogue, the newest first. */
export function CatalogueVersions() {
  const { data, error, refetch } = api.endpoints.readCatalogueVersions.useQuery({}, { refetchOnMountOrArgChange: true })
  if (!data) return <Waiting error={error} onRetry={refetch} />
  if (data.versions.length === 0) return <p className="text-ink-2">{say('catalogue.noVersions')}</p>
  return (
    <ol className="grid max-w-[860px] gap-4">
      {data.versions.map(({ version, changedBy, changedAt, changes }) => (
        <li key={version}>
          <p className="font-semibold">
            {say('catalogue.versionBy', { version, by: changedBy, at: writeMoment(changedAt) })}
          </p>
          <ul className="text-ink-2">
            {changes.map(({ part, key, name, what }) => (
              <li key={`${part} ${key}`}>
                {say(`catalogue.part.${part}`)}: {name}, {say(`catalogue.what.${what}`)}
              </li>
            ))}
            {changes.length === 0 && <li>{say('catalogue.nothingDifferent')}</li>}
          </ul>
        </li>
      ))}
    </ol>
  )
}
