import type { Reply } from '#contract/endpoint'
import type { Contract } from '#contract/index'
import { say } from '#core/words/say'
import { Button } from '../../ui/Button'
import { FileButton } from '../../ui/FileButton'
import { ProblemNote } from '../../ui/ProblemNote'
import { useAct } from '../../useAct'

/** The logo as it stands, and the way to another or none. */
export function LogoField({ logo }: { logo: Reply<Contract['readOrganisation']>['logo'] }) {
  const save = useAct('saveLogo')
  const remove = useAct('removeLogo')
  return (
    <div>
      <p className="mb-1 font-semibold text-[0.93em]">{say('administration.logo')}</p>
      {logo ? (
        <span className="inline-flex rounded-sheet border border-line bg-[#fff] p-2">
          <img
            src={logo.address}
            alt={say('administration.logo')}
            width={logo.width}
            height={logo.height}
            className="h-10 w-auto"
          />
        </span>
      ) : (
        <p className="text-ink-2">{say('administration.noLogo')}</p>
      )}
      <div className="mt-2 flex gap-2">
        <FileButton
          name={say('administration.logo')}
          accept="image/png,image/jpeg,image/webp"
          busy={save.busy}
          onFile={(file) => void save.act({ body: file as never })}
        >
          {logo ? say('administration.anotherLogo') : say('administration.chooseALogo')}
        </FileButton>
        {logo && (
          <Button kind="quiet" busy={remove.busy} onClick={() => void remove.act({})}>
            {say('administration.removeLogo')}
          </Button>
        )}
      </div>
      <ProblemNote problem={save.problem ?? remove.problem} />
    </div>
  )
}
