/**
 * Given names that are names of their own in several countries of Europe, folded to plain letters: `Petra` and `Peter` are
 * two names, however alike. Collected from the name lists of the MIT-licensed package @faker-js/faker 10 (names that at
 * least two of its 24 European lists hold), and some of further countries.
 */
const kept = `
  aaliyah aaron abby abdon abdul abdullah abe abel abelard abelardo abigaelle abigail abraham absolon achille ada
  adalbert adalberta adalberto adam adan adel adela adelaida adelaide adele adelie adelin adelina adeline adem adi
  adil adina adolf adolfo adonis adrian adriana adriano adrien adrienne afra afsin agata agathe agaton aglae agnes
  agustin ahmad ahmed ahmet aicha aida aidan aiden aileen aime aimee aina aisha aissatou aksel al alain alan alana
  alba alban albane albert alberta alberte albertina albertine alberto albin albina alcibiade alcide alda aldo
  alea alec alejandra alejandro aleksander aleksandra alena ales alessa alessandra alessandro alessia alessio alex
  alexa alexander alexandra alexandre alexandrea alexandrine alexane alexanne alexei alexej alexia alexis aleyna
  alfons alfonso alfred alfreda alfredo ali alia alica alice alicia alida alienor alina aline alisa alisha alison
  alissa alix aliya aliyah alize alka allan allegra allen allison alma alois alojz alonzo alparslan alphonse alton
  alva alvin alvina alya alycia alyssa alyssia alysson alzbeta amalia amalie amalija amanda amandine amani amar
  amara amata amaya amber ambra ambre ambroise ambroz amelia amelie amin amina amir amira amon amos amy ana anabel
  anabela anabelle anael anaelle anais anastasia anatol anatole anatolie anci ancica anda andel andela andelin
  andelina anders andras andre andrea andreas andrei andrej andres andrew andrina andy aneta anezka ange angel
  angela angele angelica angelina angeline angelique angelo angie anica anika anissa anita anja anka ann anna
  annabel annabell annabelle annalena anne anneke anneli annelie annemarie annette anni annie annika anny anouk
  anselme ansgar antea antero anthony antigone antoine antoinette anton antoni antonia antonie antonin antonina
  antonio anya apolline apollo april archibald archie arda ari ariadna arian ariana ariane arianna arie ariel
  arielle aris aristide arlene armance armand armando armel armelle armida armin arnaldo arnaud arne arno arnold
  aron arpad arsene arsenie artemis artemisa arthur artur arturo artus arved arvid arwen arya asa ashley asia asja
  assunta astrid astrida asya atanas athena athenais atila attila aubrey aude audrey august augusta auguste
  augustin augustina augustine aura aurel aurele aurelia aurelian aurelie aurelien aurelio auriane aurica aurora
  aurore austin auxence ava axel axelle aya ayana ayas ayaz ayden ayla ayleen aylin ayman aymeric ayoub ayse aziz
  azra baksi balthazar baptiste baran barbara barbora baris barnabas barnabe barry bart barthelemy bartolomej bas
  basil basile bastian bastien batuhan baudouin beata beatrice beatriz beau becky bela belinda bella ben benedicte
  benedikt beniamin benito benjamin bennet bennett bennie benno benny benoit bent bente berat berenice berit
  berkay bernadette bernard bernardo bernd bernhard bernice bert berta bertha bertille bertram bertrand beryl
  bessie beth bethany betina betsy bettina betty beulah beverly bianca bianka bibiana bilal bill billie billy
  bjarne bjorn blahoslav blaise blanca blanche blandine blanka blazej blazena bo bob bobbie bobby bogdan bohdan
  bohdana bohumil bohumila bohumir bohus bohuslav bohuslava boleslav bonifac bonnie borek boris borislav borislava
  boyd bozena bozidar bozidara brad bradford bradley bram brandi brando brandon brandy branimir branimira
  branislav branislava brayan brenda brendan brent bret brett briac brian brice bridget brieuc brigita brigitta
  brigitte britt brittany bronislava brooke bruce bruna bruno bryan bryant bucur burak byron caitlin caleb calista
  calixte calvin camelia cameron camil camila camilla camille can candace candice candida candido capucine cara
  carina carine carl carla carlo carlos carlota carlotta carlton carmela carmelo carmen carmine carol carole
  carolin carolina caroline carolyn carrie carroll cary cas casandra casey caspar casper cassandra cassandre
  cassie cataleya catalina caterina catharina catherine cathy catrin cecelia cecil cecile cecilia cecilie cedric
  cedrik celeste celestin celestine celia celian celina celine cem cesar ceyda ceylin cezar chad chanel chantal
  charleen charlene charles charlie charline charlotta charlotte chayenne chelsea chelsey cheryl chester cheyenne
  chiara chloe chris christ christa christelle christian christiane christiano christie christin christina
  christine christoph christophe christopher christy cindy claas claire clara clarence clarissa clarisse clark
  claude claudia claudine claudio clay clayton clea clelia clelie clemence clemens clement clemente clementina
  clementine cleo cleopatra cleophee clifford clifton clint clinton cloe clotilde clovis clyde cody colin coline
  colleen collien collin come concepcion conner connie connor conrad constance constant constantin cora coralie
  coraline cordelia corentin corey corinna corinne cornelia cornelius corvin cory cosima courtney craig cristian
  cristiano cristina cristobal crystal ctibor curt curtis cynthia cyprian cyprien cyriaque cyrielle cyril cyrille
  cyrus daan dagmar dagmara dahlia daisy dalia dalibor dalibora dalida dalila dallas damaris damian damiana damien
  damon dan dana dani danica daniel daniela daniele daniella danielle danilo danny dante daphne daphnee daria
  darian dariana darin darina dario darius darla darleen darlene darnell darrel darrell darren darrin darryl daryl
  dave david davide davin dawn dax dea deanna debbie debora deborah debra defne delbert delfina delia della
  delores delphine denis denisa denise deniz dennis denny derek derrick desiree devin dewey dexter dezider diana
  diane dianna dianne didier diego dilan dilara dimitri dina dino dion dionyz dixie dmitri dobromila dobroslav
  dobroslava dolores domenic domenica domenico domenik domingo dominic dominick dominik dominika dominique don
  donald donat donata donato donna donnie donny dora doreen dorian doriane dorina doris dorota dorotea dorothea
  dorothy doug douglas doyle draga drahomir drahomira drahoslav drahoslava drew dua duane dusan dusana dustin
  dwayne dwight dylan earl earnest ebba ebony ecrin ed eda eddi eddie eddy eden edgar edgard edgardo edita edith
  edmond edmund edna edouard eduard eduarda eduardo edvin edward edwin efe efrem ege eileen ela elaine elanur
  elbert elda elea eleanor eleanore eleazar elena eleni eleonora eleonore elfrida eli elia eliah elian eliana
  eliane eliano elias elie elif elijah elin elina eline elinor elio elisa elisabeth elise eliseo eliska elissa
  eliza elizabeth ella ellen elli ellie elliot elliott ellis elly elmer elmira elmo elodie eloisa eloise elsa else
  elsie elvira elvis elyas elyes elyssa elza ema emanuel emanuela emelie emeline emely emie emil emile emilia
  emilian emiliano emilie emilija emilio emily emin emir emirhan emma emmanuel emmanuelle emmely emmett emmi emmie
  emmy emre ena enea enes enguerrand enie enna ennio enno enola enora enrico enrique ensar enya enzo ephraim eray
  eren eriberto eric erica erich erick erik erika erin erma erna ernest ernestine ernesto ernst ervin erwin esma
  esmee esmeralda esperanza esra essie esteban estela estella estelle ester estera esther etela ethan ethel
  etienne eufrozina eugen eugene eugenia eugenie eula eulalia eulalie eunice eusebia eusebie eusebio eva evan
  evangeline eve evelin evelina eveline evelyn evelyne everardo everett evie evy eymen ezio ezra fabian fabiana
  fabien fabienne fabio fabiola fabrice faith falk fannie fanny fantine farah fares fatima fatma faustine fausto
  fay faye febe federico fedor fedora felicia feliciano felicie felicita felicitas felina feline felipe felix
  femke fenja ferdinand fernando ferre fidel fien fiete filemon filiberto filip filipa filipe filippa filippo
  filomena fine finia finja finlay finley finn finnja finnley fiona flavia flavie flavien flavio fleur floor flora
  flore florence florent florentin florentina florentine florian floriana florina florine floyd flynn forrest
  frances francesca francesco francis francisca francisco franco francois francoise frank franka frankie franklin
  frantisek frantiska franz franziska fred freda freddie frederic frederick frederik frederike frederique fredrick
  fredrik fredy freya frida fridolin frieda friederike friedrich fritz furkan fynn gabin gabriel gabriela gabriele
  gabriella gabrielle gael gaelle gaetan gaetano gaia gail galina garance garrett garry gary gaspar gaspard gaston
  gautier gayle gedeon gejza gene geneva genevieve gennaro geoffrey geoffroy georg george georges georgette
  georgia georgiana gerald geraldine gerard gerardo gerda gerhard germain germaine german gerrit gertruda gertrude
  ghita giacomo giada gian gianluca gianni gideon gilbert gilberto gilda gilles gina ginger gino gioele gioia
  giorgia giorgio giovanna giovanni gisela gisele giulia giuliana giuliano giulio giuseppe gizela gladys glen
  glenda glenn gloria gonzague gonzalo goran gordana gordon grace gracie graciela grady greg gregg gregoire gregor
  gregorio gregory greta gretchen griselda guadalupe gudrun guido guillaume guillemette guillermo gulsen gun
  gunnar gunter gust gustav gustave gustavo guy gvendolina gwen gwenaelle gwendolyn habib hafsa hagen hailey hakan
  hakim hamid hamza hana hanae hanna hannah hanne hannes hanno hans harald harold harriet harry harvey hasan
  hassan hatem hattie hauke hayden hayley hazel heather hector hedi heidi helen helena helene helga helie helin
  helmut heloise hendrik hennes henning henri henrick henrieta henrietta henriette henrik henrike henry herbert
  herman hermann hermina hermine herta hilda hildegard hippolyte hira holly homer honore hope horace horacio
  hortense howard hubert hugh hugo hugues hussein ian ibrahim ida idris ignac ignacio ignacy igor ila ilaria ilay
  ilayda ileana ilenia ilhan ilian iliana ilias ilja ilona ilyas ilyes imani imelda imene imke immanuel imran ina
  inara inaya ines inez inga ingrid ingrida inka iolanda ira irem irena irene irina iris irma irvin irving isa
  isaac isabeau isabel isabela isabell isabella isabelle isac isaiah isak iseult isidora isidore isig isik ismael
  ismail isra israel iva ivan ivana ivar iven iveta ivica ivo ivona ivonne ivy izabela izabella izidor izolda jace
  jacinthe jack jackie jacky jacob jacqueline jacquelyn jacques jada jade jaden jadranka jaime jairo jake jakob
  jakub jamal james jamie jamila jan jana jane janek janelle janet janice janie janin janina janine janis janka
  janna janne jannek jannes jannik jannis jano janosch jara jared jari jarmila jarne jarno jarod jarolim jaromir
  jaron jaroslav jaroslava jasen jasmin jasmina jasmine jasna jason jasper javier jay jayce jayda jayden jaylen
  jayson jazmin jean jeanette jeanne jeannette jeannie jed jeff jeffery jeffrey jehanne jela jella jelle jenna
  jennie jennifer jenny jens jeppe jerald jeremiah jeremias jeremie jeremy jermaine jerome jerry jesper jess jesse
  jessica jessie jessy jesus jette jil jill jim jimmie jimmy jo joachim joah joakim joan joana joann joanna joanne
  joanny joaquim joaquin job jocelyn jodi jody joe joel joelina joeline joelle joey johan johann johanna johanne
  johannes john johnathan johnnie johnny jolana joleen jolie jolien jolin jolina joline jon jona jonah jonas
  jonatan jonathan jonathon jonna jonte joost jordi jordy jorge jorgen joris joscha joschua jose josef josefa
  josefin josefina josefine joseph josephin josephine josh joshua josiane josie josua josue josy jovan joy joyce
  jozef jozefina jozue juan juana juanita juda jude judita judith judy jule jules julia julian juliana juliane
  julianne julie julien julienne julieta juliette julika julina julio julius juna june junior juri justin justina
  justine justus justyn justyna juul kaan kacper kai kaia kaj kaja kalle kamil kamila kanci kara karaca karen kari
  karim karin karina karine karl karla karlo karlotta karmela karol karolina karoline kasper kassandra katarina
  kate katharina katherine kathleen kathrin kathryn kathy katie katja kato katrin katrina katrine kay kaya kayacik
  kayden kayla kaylee kayleigh kayra kazimir keano keanu keira keith kelley kelli kellie kelly kelvin ken kenan
  kendra kenneth kenny keno kent kenza kenzo kerem kerim kerry kevin khadija khalid khalil kian kiana kiara kilian
  kim kimberley kimberly kimi kira kirk kirsten kjell klaas klara klaudia klemens klement klementyna kleopatra
  kobe koloman konrad konstantin konstantyn koray korbinian korinna kornel kornelia krista kristen kristi kristian
  kristie kristijan kristin kristina kristine kristof kristoffer kristopher kristy krystal kurt kvetoslava kyan
  kyle kyra ladislav laetitia laila lamar lambert lamia lana lance lara larisa larissa larry lars lasse laszlo
  latoya laura laure laureen lauren laurence laurene laurens laurent laurenz lauri lauriane laurie laurin laurine
  lauryn laverne lavinia lawrence layla lazar lazare lea leah lean leana leander leandra leandre leandro leann
  leanne leda leif leigh leila lela leland lelia len lena lene leni lenia lenja lenka lenn lennard lennart lennert
  lennie lennox lenny lenya leo leon leona leonard leonardo leone leonel leonhard leoni leonid leonida leonidas
  leonie leonor leonora leontina leontine leopold leopoldina leopoldine leopoldo leroy leslie lester leticia
  letitia letizia lev levent levi levin levke lewin lewis lexi lexie leyla lia liah liam lian liana lias lidia
  lien lila lili lilia lilian liliana liliane lilith lilla lilli lillian lillie lilly lilou lily lina linda linde
  lindsay lindsey line linn linnea lino linus lio lion lionel lior lisa lisandro lisann lisanne lisbeth lise
  liselotte liv liva livia livio liya liyana liz liza lize lloyd logan loic lois lola lonnie lora loredana loreen
  loren lorena lorene lorenz lorenza lorenzo loretta lori lorin loris lorna lorraine lotta lotte lou louay louie
  louis louisa louise loup lourdes lowell luan luana lubomir lubomira lubor lubos luboslav luboslava luc luca
  lucas luce lucia lucian luciana luciano lucie lucien lucienne lucija lucile lucille lucio lucius lucja lucy
  ludivine ludmila ludovic ludovica ludvika ludwig luena luigi luis luisa luise luiz luiza lujza luk luka lukas
  luke lula luna luther lutz luz luzie lya lyam lydia lydie lyla lyle lyn lynda lynette lynn lynne mabel mable
  mack macy maddox madeleine madeline madita madleen madlen mads mae mael maelis maelle maelys maeva maeve mafalda
  magali magda magdalena maggie magnus mahaut mahe mahir mahmoud mai maia maida maik maike mailin maira maja
  maksim malcolm malena malia malik malika malin malina malo malou malte malvina mamie mandy manel manfred manon
  manuel manuela mara marah marc marceau marcel marcela marcelina marcella marcelo marcia marco marcos marcus mare
  mareike marek maren margaret margareta margarita margaux margie margita margot marguerite mari maria mariam
  marian mariana marianna marianne mariano marica marie marieke mariella marika marilena marilou marilyn marin
  marina marine marino mario marioara marion marisa marisol marissa marit marita marius marjorie mark marko markus
  marla marleen marlen marlena marlene marley marlo marlon marsha marshall marta marten martha marthe martim
  martin martina martine marty marvin marwa marwin mary maryam maryann masa massimo mate matej mateo mateus
  mateusz matheo mathew mathias mathilda mathilde mathis mathurin matias matilda matilde matis mats matt matteo
  mattes matthew matthias matthieu matthis matti mattia mattie mattis matyas matylda maud maude maureen maurice
  mauro max maxence maxi maxim maxima maxime maximilian maximilien maxine maya mayeul mayra medard medea medina
  medine megan megane meghan mehmet meik meike melania melanie melba melchior melek melia melike melina melinda
  meline melis melisa melissa melodie melody melvin mercedes meredith merel merle merlin mert merve mervin meryem
  mete metod mette mia micaela micah micha michael michaela michal micheal michel michele michelle mick mickael
  mieke miguel mika mikael mikail mike mikhail mikkel mikulas mila milada milan milana mildred milena miles milica
  milivoj milla milo milos miloslav miloslava milota milton mina mindy minerva minnie mio mira mirabela mirac
  miran miranda miray mirco mireille mirela mirella miriam mirja mirka mirko miro miron miroslav miroslava mirza
  misty mitchell mladen modest modesto mohamed mohammad mohammed moira moise moises mojmir molly mona monica
  monika monique morgane moric moritz morris morten mose moses moussa muhammad muhammed murat muriel musa mustafa
  mya myla mylan mylene myra myriam myrna myron myrtle nada nadezda nadia nadine nadir nadja nael naemi nahil nail
  naim nala nancy naomi naomie napoleon narcis narcisa narciso natalia natalie natan natanael natasa natasha
  nathalie nathan nathanael nathaniel naya nayla nazim neal neda neele neil nela nele nelia nelli nellie nelly
  nena neo nerea nestor nettie neva nevena nevin nevio neyla nia nicholas nichole nick niclas nico nicola nicolai
  nicolas nicole niels nika nike nikita nikki niklas niko nikodem nikola nikolai nikolas nil nila nils nina nine
  nino nisa noa noah noam noan noe noel noelia noelle noemi noemie nola nolan nona noor nora norah norbert
  norberto nore norina norma norman nour nova novella nuria oceane octave octavia oda odin odon ofelia oke oktavie
  olaf oldrich ole oleg olga olimpia olive oliver olivia olivier oliwia oliwier ollie olympe olympia omar omer
  ondrej onur opal ophelie ora oren oriane orlando orlane ornella orville oscar oskar osman osvaldo otilia otis
  oto otto owen pablo pacome palmira pam pamela pankrac pantaleon paola paolo paris pascal pascale pasquale pat
  patrice patricia patrick patrik patrizia patsy patti patty paul paula paulette paulina pauline pavel pearl pedro
  peer peggy pelagia pelagie penelopa penelope penny pepe per percy perla perrine perry pete peter petra petronela
  petronille phil philemon philine philip philipp philippe philippine phillip philomene phoebe phyllis pia pierre
  piet pietro pilar pio pit pius platon pravoslav preston prince prisca priscilla priscille priska prokop prosper
  prudence quentin quieta quinn quinten quirin rachael rachel radomir radoslav radovan raduz rafael rafaela rahel
  raik rainer ralph ramiro ramon ramona rana randal randall randolf randolph randy rania raoul raphael raphaelle
  raquel rasmus rastislav raul rayan rayen raymond rebeca rebecca rebeka rebekka regina reginald reina remi remo
  remus renata renate renato rene renee resul rex rhea rhonda riana ricardo riccardo richard rick rickey ricky
  rico rieke rifat rike riley rina rino rita roan robert roberta roberto robin robinson robyn rocco roch rochelle
  rocio roderick rodney rodolfo rodrigo rodrigue rogelio roger rohan roland rolando rolf romain roman romana
  romane romeo romina romuald romulus romy ron ronald ronan ronja ronnie roos roosevelt rosa rosalia rosalie
  rosalinda rosamunda rosana rosanna rosario rosemarie rosemary rosie ross rowan roxana roxane roxanne roy roza
  rozalia rozina ruben ruby rudolf rudolfina rudolph rudy rufina rufus rupert russell rut ruta ruth ruya ruzena
  ryan saba sabina sabine sabri sabrina sadie safa safiya sahra sahsuvar said salih salim sally salma salome
  salomea salomon salvador salvatore sam samanta samantha samara sami samia samir samira sammie sammy samson
  samuel samuele sander sandra sandrine sandro sandy sanja sanne santiago santina santino saphira sara sarah
  sarina sascha sasha saskia saul sava savannah savina scarlett scott scottie sean sebastian sebastien selena
  selene selim selin selina selma sem semih sena senay senne seppe serafin serafina serena serge sergei sergej
  sergey sergio serine servac seth severin shaina shana shane shanna shannon shanon shany shari sharon shaun shawn
  shawna shayna sheila sheldon shelia shelley shelly sheri sherman sherri sherry sheryl shirley sibylle sidney
  sidonia sidonie siebe sienna sigurd silas silja silje silvan silvana silvia silvio simeon simon simona simone
  sina sinan sinja siro sixtine sky skye slavek slavka slavomir smilla sofia sofie solange soledad soline solveig
  sona sonia sonja sonke sonya sophia sophie soraya soren stacey stacy stan stanislas stanislav stanislava stanley
  stef stefan stefania stefanie steffen stela stella stephan stephane stephanie stephen sterre steve steven
  stewart stig stina stuart sude sue summer susan susana susanna susanne susie suzanne svatopluk svea sven svenja
  svetlana svetozar sydney sylvain sylvester sylvia sylvie szofia tabea tabitha tadeas taha talea talia tamara
  tami tamia tamina tamino tammo tammy tancrede tanguy tania tanja tanya tara tarik tarja tasha tatiana tayler tea
  ted teddy tekla teo teodor teodora teodoro teofil terence teresa tereza teri terrance terrell terrence terri
  terry tess tessa thais thalea thalia thea thelma theo theodor theodora theodore theophane theophile theresa
  therese thiago thibault thierry thies thilo thomas thorben thore thorge tia tiago tiana tibor tichomir tiffany
  til till tillmann tim timea timeo timm timmy timo timon timotej timoteo timothee timothy timur tina tino
  tiphaine tito titus tizian tjark tobias tobin toby todd tom toma tomas tome tomislav tomke tommie tommy toni
  tony tonya torben tore tracey traci tracy travis trevor tricia trine tristan troy tuana tuur tyron tyrone ubaldo
  ugo ulrich ulrika ulysse umut una urban ursula vaclav vadim vala valdemar valentin valentina valentine valentino
  valeria valerie valerija valter van vanda vanesa vanessa vasco vasil vasilica vavrinec veit velimir velma
  vendelin venera vera verda verena verna verner vernon verona veronica veronika veronique vesna vianney vic
  vicente vicki vickie vicky victoire victor victoria victorien viggo viktor viktoria viktorin vilma vin vince
  vincent vincenza vincenzo viola violet violeta violette virgil virginia virginie vit vita vito vittoria vitus
  vivian viviana viviane vivien vivienne vladimir vladimira vladislav vlasta vlastimil vojtech vratislav wade wael
  wallace walter wanda wandrille warren wayne wendell wendy werner wesley whitney wibke wiebke wiktoria wilbert
  wilbur wilfred wilhelm wilhelmina willard willem willi william willie willis willy wilma winifred winston wm
  woodrow wout xander xaver xavier xenia yael yahya yanis yann yannic yannick yannik yannis yara yaren yaron yasin
  yasmin yasmine yassin yassine ylvi ylvie yoann yoel yolanda yolande younes youssef yse ysee yuna yunus yuri
  yusuf yven yves yvette yvonne zacharie zachary zack zackary zahra zaira zakaria zakary zakelina zaneta zara zayd
  zdenka zdenko zdeslava zehra zelda zelmira zena zeno zenobia zeyd zeynep zina zion zita ziva ziyad zlata zlatica
  zlatko zoe zoey zofia zoja zoltan zora zuzana zuzanna zvonimir`
const givenNames = new Set(kept.trim().split(/\s+/))

/** Whether a part of a name, in plain small letters, is a given name of its own. */
export const isGivenName = (part: string): boolean => givenNames.has(part)

/** Ways to write one sound; what stands behind is the way that is compared. */
const sounds: readonly (readonly [RegExp, string])[] = [
  [/ph/g, 'f'],
  [/ck|c(?=[aoukrl]|$)|ch(?=r)/g, 'k'],
  [/(?<=[a-z])h/g, ''],
  [/y|ie?(?=$)|ij/g, 'i'],
  [/w/g, 'v'],
  [/x/g, 'ks'],
  [/z/g, 's'],
  [/(.)\1+/g, '$1'],
]

/**
 * A part of a name without what is only a habit of spelling: `Sarah` and `Sara`, `Philipp` and `Filip`, `Catharina` and
 * `Katarina` come to the same; `Petra` and `Peter` do not.
 */
export const soundOfSpelling = (part: string): string =>
  sounds.reduce((text, [way, sound]) => text.replace(way, sound), part)
