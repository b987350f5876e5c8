import type { PDFDocumentProxy } from 'pdfjs-dist'
import { useEffect, useRef, useState } from 'react'
import type { Place } from '#core/reading/paperText'
import { say } from '#core/words/say'
import { drawPdfPage, openPdf } from './openPdf'

/** Something to be shown on a page: where it stands, and whether it is what is looked at now. */
export type Spot = { place: Place; label: string; now: boolean }

type Props = {
  documentId: string
  mediaType: string
  name: string
  width: number
  firstPageOnly?: boolean
  spots?: readonly Spot[]
}

/** A document as it was sent: PDF pages drawn by pdf.js, pictures as they are. */
export function Paper({ documentId, mediaType, name, width, firstPageOnly = false, spots = [] }: Props) {
  const address = `/api/documents/${documentId}/bytes`
  if (mediaType.startsWith('video/'))
    return (
      // biome-ignore lint/a11y/useMediaCaption: a candidate's own recording has no captions
      <video
        src={address}
        controls
        aria-label={say('ui.theVideo', { name })}
        style={{ width }}
        className="block bg-ink"
      />
    )
  if (mediaType !== 'application/pdf')
    return (
      <div className="relative" style={{ width }}>
        <img
          src={address}
          alt={say('ui.theDocument', { name })}
          style={{ width }}
          className="block border border-line bg-white"
        />
        <Spots spots={spots} page={1} />
      </div>
    )
  return <PdfPages key={documentId} {...{ address, name, width, firstPageOnly, spots }} />
}

/** Frames around what was read of a page; the one looked at now is brought into view. */
function Spots({ spots, page }: { spots: readonly Spot[]; page: number }) {
  return spots
    .filter(({ place }) => place.page === page)
    .map(({ place, label, now }) => (
      <span
        key={label}
        ref={now ? (element) => element?.scrollIntoView?.({ block: 'nearest' }) : undefined}
        role="img"
        aria-label={label}
        className={`pointer-events-none absolute border ${now ? 'border-2 border-asked' : 'border-line-strong'}`}
        style={{
          left: `calc(${place.x * 100}% - 3px)`,
          top: `calc(${place.y * 100}% - 3px)`,
          width: `calc(${place.width * 100}% + 6px)`,
          height: `calc(${place.height * 100}% + 6px)`,
        }}
      />
    ))
}

/** The pages of a PDF at an address. */
export function PdfPages({
  address,
  name,
  width,
  firstPageOnly,
  spots = [],
}: {
  address: string
  name: string
  width: number
  firstPageOnly: boolean
  spots?: readonly Spot[]
}) {
  const [pdf, setPdf] = useState<PDFDocumentProxy>()
  const [failed, setFailed] = useState(false)
  useEffect(() => {
    let gone = false
    let opened: PDFDocumentProxy | undefined
    openPdf({ url: address }).then(
      (document) => {
        opened = document
        if (gone) void document.loadingTask.destroy()
        else setPdf(document)
      },
      () => !gone && setFailed(true),
    )
    return () => {
      gone = true
      void opened?.loadingTask.destroy()
    }
  }, [address])
  if (failed) return <p className="p-3 text-contradicted">{say('ui.documentCannotBeShown')}</p>
  if (!pdf) return <p className="p-3 text-ink-3">{say('ui.opening', { name })}</p>
  const pages = firstPageOnly ? 1 : pdf.numPages
  return (
    <div className="grid gap-3">
      {Array.from({ length: pages }, (_, index) => (
        <div key={index} className="relative" style={{ width }}>
          <PdfPage
            pdf={pdf}
            number={index + 1}
            width={width}
            label={say('ui.pageOf', { name, index: index + 1, numPages: pdf.numPages })}
          />
          <Spots spots={spots} page={index + 1} />
        </div>
      ))}
    </div>
  )
}

function PdfPage({
  pdf,
  number,
  width,
  label,
}: {
  pdf: PDFDocumentProxy
  number: number
  width: number
  label: string
}) {
  const canvas = useRef<HTMLCanvasElement>(null)
  useEffect(() => {
    let stop = () => {}
    void pdf.getPage(number).then((page) => {
      const target = canvas.current
      if (!target) return
      const task = drawPdfPage(page, target, width * (window.devicePixelRatio || 1))
      stop = () => task.cancel()
      task.promise.catch(() => {})
    })
    return () => stop()
  }, [pdf, number, width])
  return (
    <canvas
      ref={canvas}
      role="img"
      aria-label={label}
      style={{ width }}
      className="block border border-line bg-white"
    />
  )
}
