/** What the page of a reply may say is wrong. */
export default {
  'problem.tooManyAttempts_one': 'Trop de tentatives. Attendez une minute et réessayez.',
  'problem.tooManyAttempts_other': 'Trop de tentatives. Attendez {{count}} minutes et réessayez.',
  'problem.not-found': 'Il n’y a rien ici, ou cela ne vous est pas destiné.',
  'problem.changed-meanwhile':
    'Quelqu’un d’autre l’a modifié entre-temps. Ce que vous avez saisi est toujours là ; comparez et enregistrez de nouveau.',
  'problem.thisIsNoLongerAsked': 'Cette question a été retirée. Merci ; rien de plus n’est nécessaire.',
  'problem.thisLinkHasExpiredWrite': 'Ce lien a expiré. Écrivez-nous et nous vous en enverrons un nouveau.',
  'problem.thisQuestionHasBeenAnswered':
    'Cette question a déjà reçu une réponse. Merci ; rien de plus n’est nécessaire.',
  'problem.empty-file': 'Le fichier est vide.',
  'problem.empty-file.do': 'Choisissez-le de nouveau ; il n’a peut-être pas été enregistré en entier.',
  'problem.wrong-kind': 'Seuls les fichiers PDF, JPEG, PNG et Word (.docx) sont acceptés.',
  'problem.wrong-kind.found':
    'C’est un fichier {{extension}}, quel que soit son nom. Enregistrez-le ou imprimez-le en PDF et choisissez celui-ci.',
  'problem.wrong-kind.neither':
    'Son contenu n’est rien de tout cela, quel que soit son nom. Enregistrez-le ou imprimez-le en PDF et choisissez celui-ci.',
  'problem.file-too-large': 'Le fichier dépasse 10 Mo.',
  'problem.file-too-large.do': 'Photographiez les pages ou enregistrez-le en plus petit.',
  'problem.locked-pdf': 'Le PDF est protégé par un mot de passe.',
  'problem.locked-pdf.do': 'Enregistrez une copie sans mot de passe et choisissez celle-ci.',
  'problem.too-many-pages': 'Le fichier a {{pages}} pages ; {{most}} au plus sont acceptées.',
  'problem.active-pdf.do': 'Imprimez-le dans un nouveau PDF et choisissez celui-ci, ou photographiez ses pages.',
  'problem.active-pdf.program': 'Le PDF contient un programme, ce dont un document n’a pas besoin.',
  'problem.active-pdf.files': 'Le PDF contient d’autres fichiers, ce dont un document n’a pas besoin.',
  'problem.broken-pdf': 'Le PDF ne peut pas être ouvert.',
  'problem.broken-pdf.do':
    'Il est peut-être endommagé. Ouvrez-le, imprimez-le dans un nouveau PDF et choisissez celui-ci.',
  'problem.broken-picture': 'L’image est incomplète.',
  'problem.broken-picture.do':
    'Elle n’a peut-être pas été enregistrée ou copiée en entier. Prenez-la ou choisissez-la de nouveau.',
}
