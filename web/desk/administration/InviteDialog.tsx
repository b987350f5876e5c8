import { useState } from 'react'
import { type StaffRole, staffRoles } from '#core/rights/rights'
import { roleWords } from '#core/words/roles'
import { type Language, languages, say } from '#core/words/say'
import { Button } from '../../ui/Button'
import { Dialog } from '../../ui/Dialog'
import { CheckList, SelectField, TextField } from '../../ui/Field'
import { faultAt, ProblemNote } from '../../ui/ProblemNote'
import { useAct } from '../../useAct'
import { useToast } from '../useToast'

const nobody = { name: '', mail: '', roles: [] as StaffRole[], language: 'en' as Language }

export const roleOptions = staffRoles.map((value) => ({ value, label: roleWords(value) }))
export const languageOptions = () =>
  languages.map((value) => ({ value, label: say(`administration.language.${value}`) }))

/** Somebody is invited by mail, with the roles they will have. */
export function InviteDialog({ open, onClose }: { open: boolean; onClose: () => void }) {
  const { act, busy, problem, clear } = useAct('inviteColleague')
  const [given, setGiven] = useState(nobody)
  const toast = useToast()
  const close = () => {
    setGiven(nobody)
    clear()
    onClose()
  }
  const invite = async () => {
    if (!(await act({ body: given }))) return
    toast(say('administration.invitationSent', { mail: given.mail }))
    close()
  }
  return (
    <Dialog
      open={open}
      onClose={close}
      title={say('administration.inviteSomebody')}
      description={say('administration.theyChooseAPassword')}
    >
      <form
        className="grid gap-3"
        noValidate
        onSubmit={(event) => {
          event.preventDefault()
          void invite()
        }}
      >
        <TextField
          label={say('administration.name')}
          data-first
          value={given.name}
          onChange={(event) => setGiven({ ...given, name: event.target.value })}
          error={faultAt(problem, 'name')}
        />
        <TextField
          label={say('administration.mailAtWork')}
          type="email"
          value={given.mail}
          onChange={(event) => setGiven({ ...given, mail: event.target.value })}
          error={faultAt(problem, 'mail')}
        />
        <CheckList
          label={say('administration.roles')}
          options={roleOptions}
          value={given.roles}
          onChange={(roles) => setGiven({ ...given, roles: roles as StaffRole[] })}
          error={faultAt(problem, 'roles')}
        />
        <SelectField
          label={say('administration.theirLanguage')}
          options={languageOptions()}
          value={given.language}
          onChange={(event) => setGiven({ ...given, language: event.target.value as Language })}
        />
        <ProblemNote problem={problem?.faults ? undefined : problem} />
        <Button kind="main" type="submit" busy={busy} className="justify-self-start">
          {say('administration.sendInvitation')}
        </Button>
      </form>
    </Dialog>
  )
}
