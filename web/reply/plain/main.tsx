import { renderToStaticMarkup } from 'react-dom/server'
import type { PlainReply, PlainView } from '#contract/plainReply'
import replyDe from '#core/words/groups/reply.de'
import replyEn from '#core/words/groups/reply.en'
import replyFr from '#core/words/groups/reply.fr'
import replyIt from '#core/words/groups/reply.it'
import startDe from '#core/words/groups/start.de'
import startEn from '#core/words/groups/start.en'
import { learn, type SourceLanguage, say, sourceLanguages, speakBy } from '#core/words/say'
import { languageNames } from '../../ui/languageNames'
import { answerOfForm, draftOf, isReady, replyOf } from '../answers'
import { LeadsNowhere, Over, Thanks } from '../endings'
import { PlainQuestion } from './PlainQuestion'

/** What is said, and in which language: this is a program of its own beside the server, with words of its own. */
for (const texts of [startEn, replyEn]) learn('en', texts)
for (const texts of [startDe, replyDe]) learn('de', texts)
learn('fr', replyFr)
learn('it', replyIt)
let language: SourceLanguage = 'en'
speakBy(() => language)

function Page({ view }: { view: PlainView }) {
  return (
    <>
      <Shown view={view} />
      <footer className="mx-auto flex max-w-[820px] gap-4 px-4 pb-7 text-[0.93em]">
        {sourceLanguages.map((one) => (
          <a key={one} lang={one} href={addressIn(view, one)} className="text-confirmed underline">
            {languageNames[one]}
          </a>
        ))}
      </footer>
    </>
  )
}

const addressIn = (view: PlainView, lang: SourceLanguage, part = view.shows === 'question' ? view.question.id : '') =>
  `${view.address}?lang=${lang}${part ? `&part=${part}` : ''}`

function Shown({ view }: { view: PlainView }) {
  if (view.shows === 'nowhere') return <LeadsNowhere title={view.problem?.title} />
  if (view.shows === 'over') return <Over question={view.question} />
  if (view.shows === 'question') return <PlainQuestion view={view} />
  const next = view.next && (
    <a href={addressIn(view, view.language, view.next)} className="font-semibold text-confirmed underline">
      {say('reply.next')}
    </a>
  )
  return (
    <Thanks done={view.done} receiptAddress={() => view.receiptAddress}>
      {next}
    </Thanks>
  )
}

export const { render, read }: PlainReply = {
  render(view) {
    language = view.language
    return { title: say('ui.aQuestionToYou'), body: renderToStaticMarkup(<Page view={view} />) }
  },
  read(question, written) {
    const answer = answerOfForm(question, written)
    return { draft: draftOf(question, answer), reply: replyOf(question, answer), ready: isReady(question, answer) }
  },
}
