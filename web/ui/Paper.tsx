import type { PDFDocumentProxy } from 'pdfjs-dist'
import { useEffect, useRef, useState } from 'react'
import { say } from '#core/words/say'
import { drawPdfPage, openPdf } from './openPdf'

type Props = { documentId: string; mediaType: string; name: string; width: number; firstPageOnly?: boolean }

/** A document as it was sent: PDF pages drawn by pdf.js, pictures as they are. */
export function Paper({ documentId, mediaType, name, width, firstPageOnly = false }: Props) {
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
      <img
        src={address}
        alt={say('ui.theDocument', { name })}
        style={{ width }}
        className="block border border-line bg-white"
      />
    )
  return <PdfPages key={documentId} address={address} name={name} width={width} firstPageOnly={firstPageOnly} />
}

/** The pages of a PDF at an address. */
export function PdfPages({
  address,
  name,
  width,
  firstPageOnly,
}: {
  address: string
  name: string
  width: number
  firstPageOnly: boolean
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
        <PdfPage
          key={index}
          pdf={pdf}
          number={index + 1}
          width={width}
          label={say('ui.pageOf', { name, index: index + 1, numPages: pdf.numPages })}
        />
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
