import type absence from './absence.en'
import type access from './access.en'
import type account from './account.en'
import type administration from './administration.en'
import type agreement from './agreement.en'
import type apply from './apply.en'
import type ask from './ask.en'
import type behalf from './behalf.en'
import type catalogue from './catalogue.en'
import type check from './check.en'
import type claims from './claims.en'
import type closings from './closings.en'
import type comparison from './comparison.en'
import type completion from './completion.en'
import type composer from './composer.en'
import type condition from './condition.en'
import type dates from './dates.en'
import type desk from './desk.en'
import type detail from './detail.en'
import type documents from './documents.en'
import type duplicates from './duplicates.en'
import type employers from './employers.en'
import type enquiries from './enquiries.en'
import type enquiry from './enquiry.en'
import type event from './event.en'
import type fees from './fees.en'
import type field from './field.en'
import type file from './file.en'
import type flags from './flags.en'
import type form from './form.en'
import type frame from './frame.en'
import type hearing from './hearing.en'
import type hidden from './hidden.en'
import type imports from './imports.en'
import type importsDesk from './importsDesk.en'
import type letter from './letter.en'
import type list from './list.en'
import type mail from './mail.en'
import type marks from './marks.en'
import type messages from './messages.en'
import type names from './names.en'
import type organisation from './organisation.en'
import type overviews from './overviews.en'
import type paper from './paper.en'
import type permission from './permission.en'
import type preparedWords from './preparedWords.en'
import type privacy from './privacy.en'
import type problem from './problem.en'
import type proof from './proof.en'
import type queue from './queue.en'
import type reason from './reason.en'
import type recipients from './recipients.en'
import type reply from './reply.en'
import type report from './report.en'
import type right from './right.en'
import type role from './role.en'
import type rules from './rules.en'
import type shape from './shape.en'
import type sources from './sources.en'
import type sourceText from './sourceText.en'
import type state from './state.en'
import type statistics from './statistics.en'
import type status from './status.en'
import type step from './step.en'
import type table from './table.en'
import type tray from './tray.en'
import type trayDesk from './trayDesk.en'
import type ui from './ui.en'
import type vacancies from './vacancies.en'
import type vacancy from './vacancy.en'
import type vouch from './vouch.en'
import type zone from './zone.en'

/** Every text there is, by its name. */
export type Words = typeof absence &
  typeof access &
  typeof account &
  typeof administration &
  typeof agreement &
  typeof apply &
  typeof ask &
  typeof behalf &
  typeof check &
  typeof claims &
  typeof closings &
  typeof comparison &
  typeof completion &
  typeof composer &
  typeof condition &
  typeof dates &
  typeof desk &
  typeof detail &
  typeof documents &
  typeof duplicates &
  typeof enquiries &
  typeof enquiry &
  typeof event &
  typeof field &
  typeof file &
  typeof flags &
  typeof form &
  typeof frame &
  typeof hidden &
  typeof imports &
  typeof importsDesk &
  typeof letter &
  typeof list &
  typeof mail &
  typeof marks &
  typeof messages &
  typeof names &
  typeof overviews &
  typeof paper &
  typeof permission &
  typeof preparedWords &
  typeof privacy &
  typeof problem &
  typeof proof &
  typeof queue &
  typeof reason &
  typeof employers &
  typeof fees &
  typeof recipients &
  typeof reply &
  typeof report &
  typeof catalogue &
  typeof right &
  typeof organisation &
  typeof role &
  typeof rules &
  typeof shape &
  typeof sources &
  typeof sourceText &
  typeof state &
  typeof hearing &
  typeof statistics &
  typeof status &
  typeof step &
  typeof table &
  typeof tray &
  typeof trayDesk &
  typeof ui &
  typeof vacancies &
  typeof vacancy &
  typeof vouch &
  typeof zone
