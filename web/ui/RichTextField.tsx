import type { JSONContent } from '@tiptap/core'
import { EditorContent, useEditor, useEditorState } from '@tiptap/react'
import { Bold, Heading, Italic, Link2, List, ListOrdered } from 'lucide-react'
import { type ReactNode, useId } from 'react'
import { richTextParts } from '#contract/richText'
import { say } from '#core/words/say'

type Props = { label: string; value: unknown; onChange: (content: JSONContent) => void; error?: string }

/** A text with headings, lists and links, edited as it will be read. */
export function RichTextField({ label, value, onChange, error }: Props) {
  const id = useId()
  const editor = useEditor({
    extensions: richTextParts,
    content: value as JSONContent,
    onUpdate: ({ editor: current }) => onChange(current.getJSON()),
    editorProps: {
      attributes: {
        'aria-labelledby': id,
        'aria-multiline': 'true',
        role: 'textbox',
        class: 'rich-text min-h-[120px] px-3 py-2 outline-none',
      },
    },
  })
  const active = useEditorState({
    editor,
    selector: ({ editor: current }) => ({
      heading: current?.isActive('heading', { level: 3 }) ?? false,
      bold: current?.isActive('bold') ?? false,
      italic: current?.isActive('italic') ?? false,
      bullets: current?.isActive('bulletList') ?? false,
      numbers: current?.isActive('orderedList') ?? false,
      link: current?.isActive('link') ?? false,
    }),
  })
  if (!editor) return null
  const change = () => editor.chain().focus()
  const setLink = () => {
    if (active?.link) return change().unsetLink().run()
    const address = window.prompt(say('ui.whereDoesItLeadAn'))
    if (address && /^(https?:|mailto:)/.test(address)) change().setLink({ href: address }).run()
  }
  return (
    <div>
      <span id={id} className="mb-1 block font-semibold text-[0.93em]">
        {label}
      </span>
      <div className="rounded-sheet border border-line-strong bg-sheet focus-within:border-asked">
        <div
          role="toolbar"
          aria-label={say('ui.howLooks', { toLowerCase: label.toLowerCase() })}
          className="flex gap-0.5 border-line border-b p-1"
        >
          <Tool name="Heading" on={active?.heading} act={() => change().toggleHeading({ level: 3 }).run()}>
            <Heading size={15} />
          </Tool>
          <Tool name="Strong" on={active?.bold} act={() => change().toggleBold().run()}>
            <Bold size={15} />
          </Tool>
          <Tool name="Emphasis" on={active?.italic} act={() => change().toggleItalic().run()}>
            <Italic size={15} />
          </Tool>
          <Tool name="List" on={active?.bullets} act={() => change().toggleBulletList().run()}>
            <List size={15} />
          </Tool>
          <Tool name="Numbered list" on={active?.numbers} act={() => change().toggleOrderedList().run()}>
            <ListOrdered size={15} />
          </Tool>
          <Tool name="Link" on={active?.link} act={setLink}>
            <Link2 size={15} />
          </Tool>
        </div>
        <EditorContent editor={editor} />
      </div>
      {error && (
        <p role="alert" className="mt-1 font-semibold text-[0.9em] text-contradicted">
          {error}
        </p>
      )}
    </div>
  )
}

function Tool({
  name,
  on = false,
  act,
  children,
}: {
  name: string
  on?: boolean
  act: () => void
  children: ReactNode
}) {
  return (
    <button
      type="button"
      aria-label={name}
      aria-pressed={on}
      title={name}
      onClick={act}
      className={`rounded-sheet p-1.5 ${on ? 'bg-confirmed-wash text-confirmed' : 'text-ink-2 hover:bg-ground'}`}
    >
      {children}
    </button>
  )
}
