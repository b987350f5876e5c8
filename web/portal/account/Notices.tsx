import { useState } from 'react'
import type { NoticeChoice } from '#contract/notices'
import { mayBeRefused, type NoticeChannel, type NoticeKind, noticeChannels, noticeKinds } from '#core/messages/notices'
import { say } from '#core/words/say'
import { api } from '../../api'
import { Button } from '../../ui/Button'
import { TextField } from '../../ui/Field'
import { faultAt, ProblemNote } from '../../ui/ProblemNote'
import { Tick } from '../../ui/Tick'
import { useAct } from '../../useAct'
import { useFreshAfterClash } from '../../useFreshAfterClash'
import { Part } from './Part'

type Chosen = Pick<NoticeChoice, 'channels' | 'noPassingOn'>

/** By which channel a candidate is told of what, and what they have refused. Each tick is kept as it is made. */
export function Notices() {
  const { data: choice } = api.endpoints.readNoticeChoice.useQuery({})
  const { act, busy, problem } = useAct('saveNoticeChoice')
  const [wanted, setWanted] = useState<Chosen>()
  useFreshAfterClash(problem, 'session')
  if (!choice) return null
  const { version } = choice
  // What was ticked shows at once, and goes back where it was not taken.
  const { channels, noPassingOn } = busy && wanted ? wanted : choice
  const save = (changes: Partial<Chosen>) => {
    const chosen = { channels, noPassingOn, ...changes }
    setWanted(chosen)
    void act({ body: { ...chosen, version } })
  }
  const tick = (kind: NoticeKind, channel: NoticeChannel, wanted: boolean) =>
    save({
      channels: {
        ...channels,
        [kind]: noticeChannels.filter((one) => (one === channel ? wanted : channels[kind].includes(one))),
      },
    })
  const isLast = (kind: NoticeKind, channel: NoticeChannel) =>
    !mayBeRefused(kind) && channels[kind].length === 1 && channels[kind][0] === channel
  return (
    <Part title={say('account.howYouAreTold')}>
      <p className="mb-3 text-ink-2">{say('account.howYouAreToldMeans')}</p>
      <table className="w-full border-line border-y">
        <thead>
          <tr className="border-line border-b text-left text-[0.93em]">
            <th className="py-1.5 font-semibold">{say('account.whatYouAreToldOf')}</th>
            {noticeChannels.map((channel) => (
              <th key={channel} className="w-[6.5rem] py-1.5 text-center font-semibold">
                {say(`account.channel.${channel}`)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody className="divide-y divide-line">
          {noticeKinds.map((kind) => (
            <tr key={kind}>
              <td className="py-2 pr-3">
                {say(`account.notice.${kind}`)}
                <span className="block text-[0.87em] text-ink-2">{say(`account.notice.${kind}.means`)}</span>
              </td>
              {noticeChannels.map((channel) => (
                <td key={channel} className="text-center">
                  <input
                    type="checkbox"
                    className="size-5 accent-confirmed"
                    aria-label={`${say(`account.notice.${kind}`)}, ${say(`account.channel.${channel}`)}`}
                    checked={channels[kind].includes(channel)}
                    disabled={busy || isLast(kind, channel) || (channel === 'text' && choice.phone === null)}
                    onChange={(event) => tick(kind, channel, event.target.checked)}
                  />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      <div className="mt-3">
        <Tick
          label={say('account.noPassingOn')}
          help={say('account.noPassingOnMeans')}
          checked={noPassingOn}
          onChange={(wanted) => save({ noPassingOn: wanted })}
        />
      </div>
      <ProblemNote problem={problem} />
      <h3 className="mt-4 mb-1 font-semibold">{say('account.numberForTexts')}</h3>
      <TextNumber key={choice.waitingFor ?? choice.phone} {...choice} />
    </Part>
  )
}

/** The number text messages go to: typed, confirmed with a code, removed. */
function TextNumber({ phone, waitingFor }: Pick<NoticeChoice, 'phone' | 'waitingFor'>) {
  const send = useAct('sendPhoneCode')
  const confirm = useAct('confirmPhone')
  const remove = useAct('removePhone')
  const [typed, setTyped] = useState('')
  const [code, setCode] = useState('')
  const [other, setOther] = useState(false)
  if (waitingFor && !other)
    return (
      <form
        className="grid gap-3"
        onSubmit={(event) => {
          event.preventDefault()
          void confirm.act({ body: { code } })
        }}
      >
        <p role="status">{say('account.codeIsOnItsWay', { phone: waitingFor })}</p>
        <div className="flex flex-wrap items-end gap-3">
          <TextField
            label={say('account.codeFromTheText')}
            inputMode="numeric"
            autoComplete="one-time-code"
            value={code}
            onChange={(event) => setCode(event.target.value)}
            error={faultAt(confirm.problem, 'code')}
          />
          <Button kind="main" type="submit" busy={confirm.busy} disabled={code.trim() === ''}>
            {say('account.confirmNumber')}
          </Button>
          <Button busy={send.busy} onClick={() => void send.act({ body: { phone: waitingFor } })}>
            {say('account.sendAnotherCode')}
          </Button>
          <Button kind="quiet" onClick={() => setOther(true)}>
            {say('account.anotherNumber')}
          </Button>
        </div>
        <ProblemNote problem={send.problem ?? (confirm.problem?.faults ? undefined : confirm.problem)} />
      </form>
    )
  return (
    <div className="grid gap-3">
      {phone && (
        <p className="flex flex-wrap items-center gap-3">
          <span className="font-mono">{phone}</span>
          <span className="text-ink-2">{say('account.numberIsConfirmed')}</span>
          <Button busy={remove.busy} onClick={() => void remove.act({})}>
            {say('account.removeNumber')}
          </Button>
        </p>
      )}
      <form
        className="flex flex-wrap items-end gap-3"
        onSubmit={(event) => {
          event.preventDefault()
          void send.act({ body: { phone: typed } }).then((sent) => sent && setOther(false))
        }}
      >
        <TextField
          label={phone ? say('account.anotherNumber') : say('account.mobileNumber')}
          type="tel"
          autoComplete="tel"
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
          error={faultAt(send.problem, 'phone')}
        />
        <Button type="submit" busy={send.busy} disabled={typed.trim() === ''}>
          {say('account.sendCode')}
        </Button>
      </form>
      <ProblemNote problem={remove.problem ?? (send.problem?.faults ? undefined : send.problem)} />
    </div>
  )
}
