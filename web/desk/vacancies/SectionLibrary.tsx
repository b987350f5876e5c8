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
  const { isKeeper: mayEdit } = useSession()
  const toast = useToast()
  if (!data) return <Waiting error={error} onRetry={refetch} />
  const spread = async (key: string, title: string, vacancies: string[]) => {
    const done = await act({ params: { key }, body: { vacancies } })
    if (done)
      toast(
        `“${title}” is in ${done.changed === 1 ? 'one draft' : `${done.changed} drafts`} now. Nothing is published by that.`,
      )
  }
  return (
    <Overview
      title="The common library of sections"
      about="Sections that vacancies share. One is improved in any vacancy’s form, or here by giving the newest version to those that have an older one."
    >
      <ProblemNote problem={problem} />
      <Table
        rows={data}
        keyOf={({ key }) => key}
        empty="Nothing is shared yet. Put a section of a vacancy’s form into the library, and others can use it."
        columns={[
          {
            name: 'Section',
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
            name: 'Newest version',
            of: ({ version, note, savedBy, savedAt }) =>
              `${version}: ${note || 'no note'}. ${savedBy}, ${writeDayOf(savedAt)}`,
          },
          {
            name: 'Used by',
            of: ({ key, section, version, usedBy }) => {
              const ids = (older: boolean) => [
                ...new Set(usedBy.filter((use) => use.version < version === older).map(({ id }) => id)),
              ]
              const behind = ids(true)
              return (
                <>
                  {new Set(usedBy.map(({ id }) => id)).size} vacancies
                  {behind.length > 0 && `, ${behind.length} of them an older version`}
                  {mayEdit && behind.length > 0 && (
                    <Button
                      kind="quiet"
                      className="!py-0"
                      busy={busy}
                      onClick={() => void spread(key, section.title, behind)}
                    >
                      {`Put version ${version} into their drafts`}
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
