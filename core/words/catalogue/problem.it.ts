/** What the page of a reply may say is wrong. */
export default {
  'problem.tooManyAttempts_one': 'Troppi tentativi. Attenda un minuto e riprovi.',
  'problem.tooManyAttempts_other': 'Troppi tentativi. Attenda {{count}} minuti e riprovi.',
  'problem.not-found': 'Qui non c’è nulla, o non è destinato a Lei.',
  'problem.changed-meanwhile':
    'Nel frattempo qualcun altro l’ha modificato. Ciò che ha scritto è ancora qui; confronti e salvi di nuovo.',
  'problem.thisIsNoLongerAsked': 'Questa domanda è stata ritirata. Grazie; non serve altro.',
  'problem.thisLinkHasExpiredWrite': 'Questo link è scaduto. Ci scriva e gliene manderemo uno nuovo.',
  'problem.thisQuestionHasBeenAnswered': 'A questa domanda è già stata data risposta. Grazie; non serve altro.',
  'problem.empty-file': 'Il file è vuoto.',
  'problem.empty-file.do': 'Lo scelga di nuovo; forse non è stato salvato per intero.',
  'problem.wrong-kind': 'Si accettano solo file PDF, JPEG, PNG e Word (.docx).',
  'problem.wrong-kind.found':
    'È un file {{extension}}, qualunque sia il suo nome. Lo salvi o lo stampi come PDF e scelga quello.',
  'problem.wrong-kind.neither':
    'Il contenuto non è nulla di tutto ciò, qualunque sia il nome. Lo salvi o lo stampi come PDF e scelga quello.',
  'problem.file-too-large': 'Il file supera i 10 MB.',
  'problem.file-too-large.do': 'Fotografi le pagine o lo salvi più piccolo.',
  'problem.locked-pdf': 'Il PDF è protetto da una password.',
  'problem.locked-pdf.do': 'Salvi una copia senza password e scelga quella.',
  'problem.too-many-pages': 'Il file ha {{pages}} pagine; se ne accettano al massimo {{most}}.',
  'problem.active-pdf.do': 'Lo stampi in un nuovo PDF e scelga quello, o ne fotografi le pagine.',
  'problem.active-pdf.program': 'Il PDF contiene un programma, di cui un documento non ha bisogno.',
  'problem.active-pdf.files': 'Il PDF contiene altri file, di cui un documento non ha bisogno.',
  'problem.broken-pdf': 'Il PDF non si può aprire.',
  'problem.broken-pdf.do': 'Forse è danneggiato. Lo apra, lo stampi in un nuovo PDF e scelga quello.',
  'problem.broken-picture': 'L’immagine è incompleta.',
  'problem.broken-picture.do': 'Forse non è stata salvata o copiata per intero. La scatti o la scelga di nuovo.',
}
