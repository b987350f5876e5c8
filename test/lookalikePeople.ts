/** Pairs of two people who could be taken for each other: what a comparison of names must not call the same. */
export type Lookalikes = { kind: string; one: string; other: string }

const twoNames =
  'Petra/Peter Julia/Julian Julian/Juliane Jan/Ian Andrea/Andreas Michel/Michael Daniel/Daniela Martin/Martina Christian/Christiane ' +
  'Alexander/Alexandra Jean/Jeanne Maria/Mario Simon/Simone Nicola/Nicolas Paul/Paula Karl/Karla Joan/Johan Marin/Marina Emil/Emilia ' +
  'Anton/Antonia Viktor/Viktoria Gabriel/Gabriela Denis/Denise Franz/Franka Erik/Erika Stefan/Stefania Valentin/Valentina Adrian/Adriana ' +
  'Robert/Roberta Oliver/Olivia Carlo/Carla Pascal/Pascale Justin/Justine Fabian/Fabienne Kai/Kaja Lars/Lara Tim/Tom Lena/Lina ' +
  'Hanna/Hans Anna/Anton Nina/Nino Luca/Lucia Marco/Marcel Rene/Renate Ines/Inge Ivan/Iva Ana/Ada Mia/Mila Leo/Lea Nora/Norah'
const familyNames =
  'Brunner Okafor Lindqvist Haldorsen Moreau Castellani Vranek Nowicki Tobler Achermann Dubosson Ferrero Kovalcik Wierzborski Santoro'.split(
    ' ',
  )
const nearFamilies =
  'Meier/Maier Schmidt/Schmitt Hoffmann/Hofmann Keller/Kellner Fischer/Fisher Weber/Weser Brandt/Brand Moser/Mosel Huber/Hubel ' +
  'Larsen/Larson Petrov/Petkov Nowak/Novik Rossi/Russo Bauer/Brauer Lang/Lange Hansen/Jansen Marti/Martini Ferrari/Ferraro ' +
  'Kowalski/Kowalczyk Berg/Burg Steiner/Stainer Egger/Eggers Graf/Graff Lehmann/Lohmann Vogt/Voigt'
const given = 'Anna Tomasz Adaeze Lucien Birgit Emeka Chiara Sven Noemi Radek'.split(' ')
const second = 'Katharina Ludwig Beatrice Anselm Rosalie'.split(' ')
const bothGiven =
  'Thomas Martin, Simon Peter, Paul Robert, Maria Anna, Oliver Frank, Ernst Otto, Conrad Franz, Lorenz Benedikt, Jakob Daniel, Hans Peter'.split(
    ', ',
  )
const otherScripts: readonly (readonly [string, string])[] = [
  ['王晓明', '王小明'],
  ['王小明', 'Wang Xiaomei'],
  ['王小明', 'Wang Ming'],
  ['李伟', 'Li Wen'],
  ['李伟', 'Lin Wei'],
  ['欧阳娜', 'Ou Yangna Wei'],
  ['陈静', 'Cheng Jing'],
  ['张敏', 'Zhang Min Li'],
  ['Иван Петров', 'Ivan Petrovich'],
  ['Иван Петров', 'Ivana Petrova'],
  ['Сергей Волков', 'Sergey Volkova'],
  ['Александр Козлов', 'Alexandra Kozlova'],
  ['Юлия Орлова', 'Julian Orlov'],
  ['Наталья Белова', 'Natalya Belyakova'],
  ['Дмитрий Щукин', 'Dmitry Shulkin'],
  ['Олена Шевченко', 'Olha Shevchenko'],
  ['Γιώργος Παπαδόπουλος', 'Giorgos Papadakis'],
  ['Νίκος Αντωνίου', 'Nikos Antoniadis'],
  ['Μαρία Ιωάννου', 'Mario Ioannou'],
  ['محمد حسن', 'Mahmud Hasan'],
  ['محمود علي', 'Muhammad Ali'],
  ['أحمد حسين', 'Hamid Husayn'],
  ['حامد حسن', 'Ahmad Hasan'],
  ['خالد سالم', 'Khalid Salman'],
  ['سعيد كريم', 'Saad Karim'],
  ['حسن علي', 'Husayn Ali'],
]
const generations: readonly (readonly [string, string])[] = [
  ['Hans Brunner jun.', 'Hans Brunner sen.'],
  ['Walter Tobler Jr.', 'Walter Tobler Sr.'],
  ['Walter Tobler II', 'Walter Tobler III'],
  ['Walter Tobler', 'Walter Tobler junior'],
  ['Jean Moreau père', 'Jean Moreau fils'],
]

/** All pairs, in an order that does not depend on anything. */
export function lookalikePeople(): Lookalikes[] {
  const pairs: Lookalikes[] = []
  const add = (kind: string, one: string, other: string) => pairs.push({ kind, one, other })
  twoNames.split(' ').forEach((text, nth) => {
    const [a, b] = text.split('/') as [string, string]
    const family = (by: number) => familyNames[(nth + by) % familyNames.length]!
    add('two given names', `${a} ${family(0)}`, `${b} ${family(0)}`)
    add('two given names, turned', `${family(3)} ${a}`, `${b} ${family(3)}`)
    add('two given names, in capitals', `${a} ${family(6)}`, `${family(6).toUpperCase()} ${b}`)
    add('two given names and a second', `${a} ${second[nth % second.length]} ${family(9)}`, `${b} ${family(9)}`)
    add('an initial of another', `${a} ${family(1)}`, `${b[0] === a[0] ? 'X' : b[0]}. ${family(1)}`)
  })
  nearFamilies.split(' ').forEach((text, nth) => {
    const [a, b] = text.split('/') as [string, string]
    const first = (by: number) => given[(nth + by) % given.length]!
    add('two family names', `${first(0)} ${a}`, `${first(0)} ${b}`)
    add('two family names, turned', `${a} ${first(3)}`, `${first(3)} ${b}`)
    add('two family names, with a title', `Dr. ${first(5)} ${a}`, `${first(5)} ${b}, MSc`)
  })
  given.forEach((name, nth) => {
    const family = familyNames[nth]!
    add('brother and sister', `${name} ${family}`, `${given[(nth + 1) % given.length]} ${family}`)
    add('another second name', `${name} ${second[nth % 5]} ${family}`, `${name} ${second[(nth + 1) % 5]} ${family}`)
    add('one part only', `${name} ${family}`, family)
    add('an initial alone', `${name} ${family}`, `${name[0]}. ${family}`)
    add('a second name more', `${name} ${family}`, `${name} ${second[nth % 5]} ${family}`)
    add('one letter', `${name} ${family}`, `${name} ${family.slice(0, -1)}`)
    add('two letters', `${name} ${family}`, `${name} ${family.slice(0, 2)}x${family.slice(3)}`)
    add('a double name', `${name} ${family}-${familyNames[nth + 1]}`, `${name} ${familyNames[nth + 1]}`)
    add('another initial', `${name} ${family}`, `${second[nth % 5]![0]}. ${family}`)
    add(
      'two parts of another',
      `${name} ${second[nth % 5]} ${family}`,
      `${second[nth % 5]} ${name} ${familyNames[nth + 5]}`,
    )
    add('a name within a name', `${name} ${family}`, `${name}a ${family}`)
    add('two initials', `${name[0]}. ${second[nth % 5]![0]}. ${family}`, `${name} ${family}`)
    add('one name twice', `${name} ${family}`, `${family} ${familyNames[nth + 2]}`)
    add('married to one of that name', `${name} ${family}`, `${name} ${familyNames[nth + 3]}`)
  })
  for (const text of bothGiven) add('given name and family name changed', text, text.split(' ').reverse().join(' '))
  for (const [one, other] of otherScripts) add('another script', one, other)
  for (const [one, other] of generations) add('father and son', one, other)
  return pairs
}

/** The same person, written in another way. */
export const samePeople: readonly (readonly [string, string])[] = [
  ['Willem van der Berg', 'Vanderberg Willem'],
  ['Kim Min-jun', 'Minjun Kim'],
  ['王小明', 'Wang Xiaoming'],
  ['王小明', 'Xiao-Ming WANG'],
  ['欧阳娜娜', 'Ouyang Nana'],
  ['吕娜', 'Lyu Na'],
  ['Иван Петров', 'Ivan Petrov'],
  ['Юлия Щербакова', 'Iuliia Shcherbakova'],
  ['Юлия Щербакова', 'Yuliya Shcherbakova'],
  ['Юлия Щербакова', 'Ûliâ Ŝerbakova'],
  ['Дмитрий Ельцин', 'Dmitry Yeltsin'],
  ['Дмитрий Ельцин', 'Dmitrii Eltsin'],
  ['Сергій Гнатюк', 'Serhii Hnatiuk'],
  ['Сергій Гнатюк', 'Serhiy Hnatyuk'],
  ['Tatiana Shcherbakova', 'Shcherbakova Tatiana'],
  ['Olga Shcherbakova', 'Olga Ščerbakova'],
  ['Γιώργος Παπαδόπουλος', 'Giorgos Papadopoulos'],
  ['Γιώργος Παπαδόπουλος', 'Yiorgos Papadhopoulos'],
  ['Ευαγγελία Χατζή', 'Evangelia Chatzi'],
  ['Ευαγγελία Χατζή', 'Evangelia Khatzi'],
  ['محمد علي', 'Muhammad Ali'],
  ['محمد علي', 'Mohamed Aly'],
  ['محمد حسين', 'Mohammed Hussein'],
  ['عبد الرحمن خالد', 'Abdul Rahman Khalid'],
  ['عبدالله يوسف', 'Abdullah Yousef'],
  ['أحمد الحسن', 'Ahmed Al-Hasan'],
  ['محمد علي', 'MXHMD ELY'],
  ['Dr. Anna Brunner', 'Anna Brunner, MSc'],
  ['Dipl.-Ing. Anna Brunner', 'BRUNNER Anna'],
  ['Prof. Dr. med. Lucien Moreau', 'Lucien Moreau'],
  ['Jonas Brüderlin', 'Bruederlin Jonas'],
  ['Maria-Anna Tobler', 'Mariaanna Tobler'],
  ["Siobhan O'Daly", 'ODALY Siobhan'],
  ['Ludwig van der Aalst', 'Aalst, Ludwig van der'],
  ['MARTIN Thomas', 'Thomas Martin'],
]
