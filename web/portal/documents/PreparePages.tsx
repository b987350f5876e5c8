import { Crop as CropIcon, RotateCcw, RotateCw, Trash2, TriangleAlert } from 'lucide-react'
import { useEffect, useRef, useState } from 'react'
import ReactCrop, { type PercentCrop } from 'react-image-crop'
import 'react-image-crop/dist/ReactCrop.css'
import { documentLimits } from '#core/documents/limits'
import type { PageFault } from '#core/documents/measure'
import { say } from '#core/words/say'
import { Button } from '../../ui/Button'
import { Dialog } from '../../ui/Dialog'
import { SortableList } from '../../ui/SortableList'
import { writeSize } from '../../ui/write'
import type { Crop } from './prepare.worker'
import { cropPage, joinPages, letGo, openFiles, type Page, type Refused, turnPage } from './preparing'

export const pageFaultWords = (fault: PageFault): string =>
  ({
    empty: say('documents.nothingSeemsToBeOn'),
    'too dark': say('documents.tooDarkToReadTake'),
    blurred: say('documents.blurredHoldStillAndTake'),
    'cut off': say('documents.somethingIsCutOffAt'),
  })[fault]

type Props = {
  files: readonly File[]
  /** Pages that were opened already. */
  opened?: { pages: Page[]; refused: Refused[] }
  /** What the document will be called. */
  name: string
  onDone: (file: File) => void
  onClose: () => void
}

/** The pages of a document before it is sent: put in order, turned, cropped, taken out, and what to look at on each. */
export function PreparePages({ files, opened, name, onDone, onClose }: Props) {
  const [pages, setPages] = useState<Page[]>(opened?.pages ?? [])
  const [refused, setRefused] = useState<Refused[]>(opened?.refused ?? [])
  const [work, setWork] = useState<{ words: string; done: number; of: number }>()
  const [cropping, setCropping] = useState<Page>()
  const adding = useRef<HTMLInputElement>(null)
  const latest = useRef(pages)
  latest.current = pages
  const begun = useRef(false)

  const open = async (more: readonly File[]) => {
    const told = (done: number) => setWork({ words: say('documents.opening'), done, of: more.length })
    const found = await openFiles(more, told)
    setPages((before) => [...before, ...found.pages])
    setRefused(found.refused)
    setWork(undefined)
  }
  // biome-ignore lint/correctness/useExhaustiveDependencies: the files it was opened with are opened once
  useEffect(() => {
    if (!begun.current && !opened) void open(files)
    begun.current = true
  }, [])
  useEffect(() => () => letGo(latest.current), [])

  const put = (page: Page) => setPages((before) => before.map((other) => (other.id === page.id ? page : other)))
  const finish = async () => {
    const told = (done: number) => setWork({ words: say('documents.joining'), done, of: pages.length })
    told(0)
    try {
      const joined = await joinPages(pages, name, told)
      if (joined.size > documentLimits.bytes) {
        setWork(undefined)
        setRefused([{ name, why: say('documents.itIsLargerThan10') }])
        return
      }
      onDone(new File([joined], `${name}.pdf`, { type: 'application/pdf' }))
    } catch {
      setWork(undefined)
      setRefused([{ name, why: say('documents.thePagesCouldNotBe') }])
    }
  }
  const tooMany = pages.length > documentLimits.pages
  const doubtful = pages.filter(({ faults }) => faults.length > 0).length
  return (
    <Dialog open onClose={onClose} wide title={name} description={say('documents.onePdfWillBeMade')}>
      {refused.length > 0 && (
        <ul role="alert" className="mb-3 grid gap-1 rounded-sheet bg-contradicted-wash px-3 py-2">
          {refused.map(({ name: file, why }) => (
            <li key={file}>
              <strong>{file}</strong>: {why}
            </li>
          ))}
        </ul>
      )}
      <SortableList
        className="grid gap-2"
        items={pages}
        keyOf={({ id }) => id}
        nameOf={({ from, number }) => say('documents.pageOf', { number, from })}
        onOrder={setPages}
      >
        {(page, grip, index) => (
          <div className="grid grid-cols-[auto_84px_1fr] items-center gap-x-3 gap-y-1 rounded-sheet border border-line bg-sheet p-2 sm:grid-cols-[auto_84px_1fr_auto]">
            {grip}
            <Preview page={page} number={index + 1} />
            <div className="min-w-0">
              <p className="font-semibold">{say('documents.pageNumber', { number: index + 1 })}</p>
              <p className="truncate text-[0.9em] text-ink-2">{page.from}</p>
              {page.faults.map((fault) => (
                <p key={fault} className="flex gap-1.5 font-semibold text-[0.9em] text-soon-ink">
                  <TriangleAlert size={15} aria-hidden className="mt-0.5 shrink-0" />
                  {pageFaultWords(fault)}
                </p>
              ))}
            </div>
            <div className="flex gap-1 max-sm:col-span-3 max-sm:justify-end">
              <Tool
                name={say('documents.turnPageToTheLeft', { number: index + 1 })}
                onClick={() => put(turnPage(page, 270))}
              >
                <RotateCcw size={17} aria-hidden />
              </Tool>
              <Tool
                name={say('documents.turnPageToTheRight', { number: index + 1 })}
                onClick={() => put(turnPage(page, 90))}
              >
                <RotateCw size={17} aria-hidden />
              </Tool>
              <Tool name={say('documents.cropPage', { number: index + 1 })} onClick={() => setCropping(page)}>
                <CropIcon size={17} aria-hidden />
              </Tool>
              <Tool
                name={say('documents.takePageOut', { number: index + 1 })}
                onClick={() => {
                  letGo([page])
                  setPages((before) => before.filter(({ id }) => id !== page.id))
                }}
              >
                <Trash2 size={17} aria-hidden />
              </Tool>
            </div>
          </div>
        )}
      </SortableList>
      {work && (
        <div className="mt-3">
          <p role="status">{say('documents.wordsDoneOfOf', { words: work.words, done: work.done, of: work.of })}</p>
          <progress className="w-full accent-confirmed" value={work.done} max={work.of} aria-label={work.words} />
        </div>
      )}
      {tooMany && (
        <p role="alert" className="mt-3 font-semibold text-contradicted">
          {say('documents.atMostPagesCanBe', {
            most: documentLimits.pages,
            count: pages.length - documentLimits.pages,
          })}
        </p>
      )}
      {doubtful > 0 && !work && <p className="mt-3 text-ink-2">{say('documents.youCanSendItAs')}</p>}
      <div className="mt-4 flex flex-wrap items-center gap-3">
        <Button
          kind="main"
          data-first
          disabled={pages.length === 0 || tooMany || work !== undefined}
          onClick={() => void finish()}
        >
          {say('documents.sendPages', { count: pages.length })}
        </Button>
        <Button disabled={work !== undefined} onClick={() => adding.current?.click()}>
          {say('documents.addPages')}
        </Button>
        <input
          ref={adding}
          type="file"
          multiple
          accept="application/pdf,image/*"
          className="sr-only"
          tabIndex={-1}
          aria-label={say('documents.morePages')}
          onChange={(event) => {
            const more = [...(event.target.files ?? [])]
            event.target.value = ''
            void open(more)
          }}
        />
        <Button kind="quiet" onClick={onClose}>
          {say('documents.cancel')}
        </Button>
        <span className="text-[0.9em] text-ink-2">
          {say('documents.picturesAreMadeSmallerSo', {
            size: writeSize(documentLimits.joinedBytes),
          })}
        </span>
      </div>
      {cropping && (
        <CropPage
          page={cropping}
          onDone={(crop) => {
            void cropPage(cropping, crop).then(put)
            setCropping(undefined)
          }}
          onClose={() => setCropping(undefined)}
        />
      )}
    </Dialog>
  )
}

function Tool({ name, onClick, children }: { name: string; onClick: () => void; children: React.ReactNode }) {
  return (
    <button
      type="button"
      aria-label={name}
      title={name}
      onClick={onClick}
      className="grid size-8 place-items-center rounded-sheet text-ink-2 hover:bg-ground hover:text-ink"
    >
      {children}
    </button>
  )
}

/** A page as it will be sent: the cropped part, turned. */
function Preview({ page, number }: { page: Page; number: number }) {
  const { crop = { x: 0, y: 0, width: 1, height: 1 }, turn } = page
  return (
    <a
      href={page.preview}
      target="_blank"
      rel="noreferrer"
      aria-label={say('documents.lookAtPageInFull', { number })}
      className="grid h-[112px] w-[84px] place-items-center overflow-hidden border border-line bg-white"
    >
      <span
        className="block overflow-hidden"
        style={{ transform: `rotate(${turn}deg)`, width: turn % 180 ? 112 : 84, height: turn % 180 ? 84 : 112 }}
      >
        <span className="grid h-full w-full place-items-center">
          <img
            src={page.preview}
            alt=""
            className="max-h-full max-w-full"
            style={{
              clipPath: `inset(${crop.y * 100}% ${(1 - crop.x - crop.width) * 100}% ${(1 - crop.y - crop.height) * 100}% ${crop.x * 100}%)`,
              scale: String(1 / Math.max(crop.width, crop.height)),
              translate: `${(0.5 - crop.x - crop.width / 2) * 100}% ${(0.5 - crop.y - crop.height / 2) * 100}%`,
            }}
          />
        </span>
      </span>
    </a>
  )
}

const whole: PercentCrop = { unit: '%', x: 0, y: 0, width: 100, height: 100 }

function CropPage({
  page,
  onDone,
  onClose,
}: {
  page: Page
  onDone: (crop: Crop | undefined) => void
  onClose: () => void
}) {
  const { crop: before } = page
  const [crop, setCrop] = useState<PercentCrop>(
    before
      ? { unit: '%', x: before.x * 100, y: before.y * 100, width: before.width * 100, height: before.height * 100 }
      : { unit: '%', x: 4, y: 4, width: 92, height: 92 },
  )
  const done = () => {
    const nothing = crop.width < 2 || crop.height < 2 || (crop.width > 99.5 && crop.height > 99.5)
    onDone(
      nothing ? undefined : { x: crop.x / 100, y: crop.y / 100, width: crop.width / 100, height: crop.height / 100 },
    )
  }
  return (
    <Dialog
      open
      onClose={onClose}
      wide
      title={say('documents.crop')}
      description={say('documents.drawTheCornersToThe')}
    >
      <div className="grid place-items-center bg-ground p-2">
        <ReactCrop className="max-h-[58dvh]" crop={crop} onChange={(_pixels, percent) => setCrop(percent)} ruleOfThirds>
          <img src={page.preview} alt={say('documents.thePageToCrop')} />
        </ReactCrop>
      </div>
      <div className="mt-3 flex gap-3">
        <Button kind="main" data-first onClick={done}>
          {say('documents.keepThisPart')}
        </Button>
        <Button onClick={() => setCrop(whole)}>{say('documents.theWholePage')}</Button>
        <Button kind="quiet" onClick={onClose}>
          {say('documents.cancel')}
        </Button>
      </div>
    </Dialog>
  )
}
