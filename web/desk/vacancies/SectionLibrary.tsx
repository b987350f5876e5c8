import { say } from '#core/words/say'
import { api } from '../../api'
import { Button } from '../../ui/Button'
import { ProblemNote } from '../../ui/ProblemNote'
import { Waiting } from '../../ui/Waiting'
import { writeDayOf } from '../../ui/write'
import { useAct } from '../../useAct'
import { useSession } from '../../useSession'
import { Overview, Table } from '../overviews/Overview'
import { useToast } from '../useToast'

/** The sections that vacancies share: their newest version, and who still has an older one. */
export function SectionLibrary() {
  const { data, error, refetch } = api.endpoints.sharedSections.useQuery({}, { refetchOnMountOrArgChange: true })
  const { act, busy, problem } = useAct('spreadSharedSection')
  const mayEdit = useSession().holds('vacancies.set-up')
  const toast = useToast()
  if (!data) return <Waiting error={error} onRetry={refetch} />
  const spread = async (key: string, title: string, vacancies: string[]) => {
    const done = await act({ params: { key }, body: { vacancies } })
    if (done)
      toast(
        say('composer.isInNowNothingIs', {
          title,
          value:
            done.changed === 1 ? say('composer.oneDraft') : say('composer.changedDrafts', { changed: done.changed }),
        }),
      )
  }
  return (
    <Overview title={say('composer.theCommonLibraryOfSections')} about={say('composer.sectionsThatVacanciesShareOne')}>
      <ProblemNote problem={problem} />
      <Table
        rows={data}
        keyOf={({ key }) => key}
        empty={say('composer.nothingIsSharedYetPut')}
        columns={[
          {
            name: say('composer.section'),
            of: ({ section }) => (
              <>
                <span className="font-semibold">{section.title}</span>{' '}
                <span className="text-ink-2">
                  {section.questions.length > 0
                    ? section.questions.map(({ label }) => label).join(' · ')
                    : section.heading}
                </span>
              </>
            ),
          },
          {
            name: say('composer.newestVersion'),
            of: ({ version, note, savedBy, savedAt }) =>
              `${version}: ${note || say('composer.noNote2')}. ${savedBy}, ${writeDayOf(savedAt)}`,
          },
          {
            name: say('composer.usedBy'),
            of: ({ key, section, version, usedBy }) => {
              const ids = (older: boolean) => [
                ...new Set(usedBy.filter((use) => use.version < version === older).map(({ id }) => id)),
              ]
              const behind = ids(true)
              return (
                <>
                  {say('composer.sizeVacancies', {
                    size: new Set(usedBy.map(({ id }) => id)).size,
                    older: behind.length > 0 ? say('composer.ofThemAnOlderVersion', { count: behind.length }) : '',
                  })}
                  {mayEdit && behind.length > 0 && (
                    <Button
                      kind="quiet"
                      className="!py-0"
                      busy={busy}
                      onClick={() => void spread(key, section.title, behind)}
                    >
                      {say('composer.putVersionIntoTheirDrafts', { version })}
                    </Button>
                  )}
                </>
              )
            },
          },
        ]}
      />
    </Overview>
  )
}
