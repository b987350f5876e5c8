import { renderJSONContentToReactElement } from '@tiptap/static-renderer/json/react'
import type { ReactNode } from 'react'

type Drawn = { children?: ReactNode; node: { attrs?: Record<string, unknown> } }
type Marked = { children?: ReactNode; mark: { attrs?: Record<string, unknown> } }

/** Only where a link leads that a reader may follow; the server takes no other either. */
const leadsTo = (href: unknown): string | undefined =>
  typeof href === 'string' && /^(https?:|mailto:)/i.test(href) ? href : undefined

/** The parts that are agreed on (`richTextParts`), drawn without the editor that writes them. */
const draw = renderJSONContentToReactElement({
  nodeMapping: {
    doc: ({ children }: Drawn) => <>{children}</>,
    paragraph: ({ children }: Drawn) => <p>{children}</p>,
    text: ({ node }) => (node as unknown as { text?: string }).text ?? '',
    heading: ({ children, node }: Drawn) => (node.attrs?.level === 3 ? <h3>{children}</h3> : <h4>{children}</h4>),
    bulletList: ({ children }: Drawn) => <ul>{children}</ul>,
    orderedList: ({ children, node }: Drawn) => <ol start={Number(node.attrs?.start ?? 1)}>{children}</ol>,
    listItem: ({ children }: Drawn) => <li>{children}</li>,
    hardBreak: () => <br />,
  },
  markMapping: {
    bold: ({ children }: Marked) => <strong>{children}</strong>,
    italic: ({ children }: Marked) => <em>{children}</em>,
    link: ({ children, mark }: Marked) => (
      <a href={leadsTo(mark.attrs?.href)} target="_blank" rel="noreferrer">
        {children}
      </a>
    ),
  },
})

/** A rich text as it is read. */
export const RichText = ({ content }: { content: unknown }) => (
  <div className="rich-text">{draw({ content: content as Parameters<typeof draw>[0]['content'] })}</div>
)
