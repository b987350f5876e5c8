import StarterKit from '@tiptap/starter-kit'

/** What a rich text is made of: paragraphs, two levels of headings, lists, emphasis and links. Editor, page and server agree on it. */
export const richTextParts = [
  StarterKit.configure({
    heading: { levels: [3, 4] },
    code: false,
    codeBlock: false,
    blockquote: false,
    horizontalRule: false,
    strike: false,
    underline: false,
    link: {
      openOnClick: false,
      protocols: ['http', 'https', 'mailto'],
      HTMLAttributes: { rel: 'noreferrer', target: '_blank' },
    },
  }),
]
