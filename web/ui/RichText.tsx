import type { JSONContent } from '@tiptap/core'
import { renderToReactElement } from '@tiptap/static-renderer/pm/react'
import { richTextParts } from '#contract/richText'

/** A rich text as it is read. */
export function RichText({ content }: { content: unknown }) {
  return (
    <div className="rich-text">
      {renderToReactElement({ content: content as JSONContent, extensions: richTextParts })}
    </div>
  )
}
