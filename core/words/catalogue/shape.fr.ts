/** What the page of a reply may say is wrong. */
export default {
  'shape.invalid_one': 'Une chose n’est pas correcte.',
  'shape.invalid_other': '{{count}} choses ne sont pas correctes.',
  'shape.missing': 'Il manque quelque chose ici.',
  'shape.empty': 'C’est vide.',
  'shape.tooShort': 'Il faut au moins {{limit}} caractères.',
  'shape.tooLong': '{{limit}} caractères au plus tiennent ici.',
  'shape.email': 'Ce n’est pas une adresse électronique.',
  'shape.form': 'Une autre forme est attendue.',
  'shape.oneOf': 'Ce n’est rien de : {{values}}.',
  'shape.oneLine': 'Une seule ligne de texte tient ici.',
  'shape.wrong': 'Ce n’est pas correct.',
  'shape.character': 'Ce texte contient un caractère qui ne peut pas être conservé.',
}
