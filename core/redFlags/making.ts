import type { FlagFacts } from './facts'
import type { RedFlag } from './redFlag'

/** Programs that pictures are worked on with, by a word of how they name themselves; whoever scans or exports uses none of them. */
const imageEditors =
  /\b(gimp|krita|inkscape|paint(\.net|shop| ?net)?|photoshop|illustrator|photopea|pixelmator|affinity|corel|canva|pixlr|imagemagick|graphicsmagick|snapseed|figma)\b/i

/** The program a paper was worked on with, as it names itself. */
export const imageEditorIn = (software: readonly string[]): string | undefined =>
  software.find((program) => imageEditors.test(program))

/** What is odd about how papers were made. */
export function oddlyMade({ papers }: FlagFacts): RedFlag[] {
  return papers.flatMap(({ making, claimId, documentId, sha256, label }): RedFlag[] => {
    if (!making) return []
    const at = { claimId, documentId }
    const paper = { claim: label }
    const editor = imageEditorIn(making.software)
    return [
      ...(making.signed === 'changed'
        ? [{ kind: 'changed after signing' as const, about: sha256, at, values: paper }]
        : []),
      ...(editor ? [{ kind: 'image editor' as const, about: sha256, at, values: { ...paper, program: editor } }] : []),
      ...making.overPicture.slice(0, 1).map(({ text, place }) => ({
        ...{ kind: 'text over picture' as const, about: sha256 },
        ...{ at: { ...at, place }, values: { ...paper, text: shortened(text) } },
      })),
      ...making.mixedFonts.slice(0, 1).map(({ text, place }) => ({
        ...{ kind: 'mixed fonts' as const, about: sha256 },
        ...{ at: { ...at, place }, values: { ...paper, text: shortened(text) } },
      })),
    ]
  })
}

const longest = 80
const shortened = (text: string) => (text.length > longest ? `${text.slice(0, longest)}…` : text)
