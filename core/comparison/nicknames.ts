/**
 * Forms of given names that one person uses side by side: short forms, and forms of other languages. A kept list; the
 * first of a line stands for it. That somebody goes by one of them could be; it is never certain.
 */
const kept = `
alexander alex sascha sasha sandro xander alejandro alessandro alexandre aleksandr oleksandr
alexandra alex sascha sasha sandra alessandra aleksandra
andreas andi andy andre andrea andrew andrei andrey anders
andrew andy drew
anna anni anne ann anja annie annika anya nan
antonia toni tonia
anton anthony antonio antoine tony toni
barbara barb babs bärbel babsi
beatrice bea beatrix trix
benjamin ben benni benny benji
bernhard bernd bernard bernie
catherine kate katie kathy cathy cat kitty katherine katharina katharine catharina caterina catherina
katharina kathi kathrin katrin käthe trine katja katya ekaterina yekaterina
charles charlie chuck karl carl carlo carlos
christian chris christl
christine chris tina christina christiane kristin kirsten
christopher chris kit topher christoph christophe cristoforo
cornelia conny connie nele
daniel dan danny dani
david dave davy
deborah debbie deb debora
dmitri dmitry dmitriy dmitrii dima mitya
dorothea dora thea doro dorothee
edward ed eddie ted ned eduard edoardo
eleonora nora ella eleanor
elisabeth elizabeth liz lizzie beth betty bettina elsa else lisa lisbeth liesl lilly sissi elsbeth lisa eliza elisa elisabetta
emanuel manu manuel manolo
emilia emmi emily mia
eugen eugene evgeni evgeny yevgeny evgenii gene zhenya
ferdinand ferdi nando
francesca franca cesca
francis frank fran francesco franz frances
franz francis francesco franzl
franziska franzi ziska fränzi
frederick fred freddie friedrich fritz frederic federico
friedrich fritz fred friedel
gabriel gabi gabe
gabriele gabi gabriella gabrielle
georg jörg georges george giorgio jorge schorsch yorick
gertrud traudl trudi gerti
gerhard gerd
giovanni gianni nino vanni johannes
giuseppe beppe peppe pino josef
gregor greg gregory
günther günter gunther gunter
harold harry hal
heinrich heinz heiner henry henri enrico harry hein
helena lena leni helene helen elena nell ellen
henry harry hank henri
hubert hubi
isabella bella isa isabel isabelle
jakob jacob jake jacques giacomo jim james
james jim jimmy jamie jem
jean johannes john giovanni
jennifer jenny jen
joachim jochen achim jo
johann hans johannes john jean ivan jan giovanni juan hansi
johannes hans jannis hannes johann jo john jan jens jean ivan giovanni
johanna hanna hanni joan jo jeanne giovanna
john jack johnny jon johannes johann ivan jean
jonathan jon jonny nathan
josef sepp joseph joe jo jupp beppo giuseppe jose pepe
joseph joe joey josef giuseppe jose
josephine josie jo josefine pepi
judith judy jude jutta
julia julie juliya yulia yuliya iulia iuliia giulia
julius jules giulio
karl carl charles carlo charly
karolina caroline lina karoline carolina caro line
klaus claus nikolaus
konrad kurt conny
kristina tina christina kristin
laurence larry laurie laurent lorenz lorenzo
leonard leo len lenny leonhard leonardo
lorenz lars lorenzo laurent
ludwig louis lutz luigi lewis luis
magdalena lena leni magda madeleine
manfred manni fred
marcus mark marc marco markus marek
margaret maggie meg peggy greta rita margarete margarita margot marguerite
margarete grete gretl greta gretchen rita margit margret
maria mia marie mary mitzi ria maja marija mariya mariia miriam
markus mark marco marcus marc
martin marty tino
martina tina
mathilda tilda tilly mathilde
matthew matt matthias mateo matteo mathieu
matthias matti hias matthew mattia matz
maximilian max massimiliano maxim
michael mike mick mickey michel michele miguel mikhail michi mischa misha mihail
mikhail misha michail michael mikhael
nadezhda nadia nadja nadya
natalia natalie natasha nataliya nataliia nathalie
nicholas nick nicky nico nikolaus nicolas nikolai nicola niccolo klaus
nikolai nikolay kolya nikolaj nicolai nicholas
nikolaus klaus niklas nico niki nicholas
olga olya helga
oliver olli ollie olivier
patricia pat patty trish tricia patrizia
patrick pat paddy patrizio
paul pauli paolo pablo pavel pawel
pavel pasha paul
peter pete pit pietro pierre pedro piotr petr pyotr
philipp phil philip filip philippe filippo
rebecca becky rebekka
reinhard reini hartl
reinhold reini
richard dick rick richie riccardo
robert bob rob bobby bert robin roberto robbie
roland roli rolando
rudolf rudi rolf ralf ralph rodolfo
samuel sam sami
sebastian basti wastl seb sebastien
sergei sergey sergej serhii sergii serge sergio serhiy
sofia sophie sonja sonia sophia
stefan steffen stephan steve stephen stefano etienne esteban
stephanie steffi stefanie fanny
susanne susi susan suzanne susanna sanne
svetlana sveta
tatiana tanja tanya tatjana tatyana tania
theodor theo ted fjodor fedor theodore
theresa resi thea tess terry therese teresa
thomas tom tommy tommaso tomas
timothy tim timo
tobias tobi toby
ulrich uli ueli ulli
ulrike uli rike ulli
ursula uschi ursi ulla orsola
valentin valti velten valentino
veronika vroni vera veronica
victor vic viktor vittorio
victoria vicky tori viktoria
vincent vinzenz vince vincenzo
vladimir vova volodya wladimir volodymyr
wilhelm willi willy will william guillaume guglielmo willem helmut wim
wilhelmina mina minna helma wilma
willem wim will willy bill
william bill will billy willy liam guillaume
wolfgang wolf wolfi
yuri yury iurii iuri juri jurij yuriy georg
yana jana iana
yakov jakow iakov jakob
zachary zach zack
`

/** For each form, the lines it stands in. */
const lines = new Map<string, Set<number>>()
kept
  .trim()
  .normalize('NFD')
  .replace(/\p{M}/gu, '')
  .split('\n')
  .forEach((line, nth) => {
    for (const form of line.split(' ')) lines.set(form, (lines.get(form) ?? new Set()).add(nth))
  })

/** Whether two given names, in plain small letters, are forms that one person may use side by side: `Bob` and `Robert`. */
export function mayBeNicknames(a: string, b: string): boolean {
  const theirs = lines.get(b)
  return a !== b && [...(lines.get(a) ?? [])].some((line) => theirs?.has(line))
}
