import { noticeKinds } from '#core/messages/notices'
import { say } from '#core/words/say'
import { api } from '../../api'

/** How a candidate wants to be told, and what they have refused, above what was sent to them. */
export function HowTold({ id }: { id: string }) {
  const { data } = api.endpoints.readNoticesOf.useQuery({ params: { id } })
  if (!data) return null
  const { channels, phone, noPassingOn } = data
  const byText = noticeKinds.filter((kind) => channels[kind].includes('text'))
  const told = byText.length > 0 && byText.some((kind) => !channels[kind].includes('mail'))
  const lines = [
    byText.length === 0 ? say('file.toldByMail') : say(told ? 'file.toldByTextForSome' : 'file.toldByMailAndText'),
    ...(phone ? [say('file.numberConfirmed', { phone })] : []),
    ...(channels.general.length === 0 ? [say('file.refusesGeneral')] : []),
    ...(noPassingOn ? [say('file.refusesPassingOn')] : []),
  ]
  return <p className="mb-1.5 text-ink-2">{lines.join(' ')}</p>
}
