import type { Named } from './catalogue'

/** Names of standards, to choose from where the catalogue is edited. */

const named = (lines: string): Named[] =>
  lines
    .trim()
    .split('\n')
    .map((line) => {
      const [key = '', name = '', german = ''] = line.split('|').map((part) => part.trim())
      return { key, name, translations: { de: { name: german } } }
    })

/** International Standard Classification of Education, ISCED 2011 (UNESCO Institute for Statistics). */
export const iscedLevels = named(`
0 | early childhood education | frühkindliche Bildung
1 | primary education | Grundschule
2 | lower secondary education | untere Sekundarstufe
3 | upper secondary or apprenticeship | obere Sekundarstufe oder Lehre
4 | post-secondary certificate | postsekundäres Zeugnis
5 | higher technical diploma | höhere Fachschule
6 | bachelor | Bachelor
7 | master | Master
8 | doctorate | Doktorat`)

/** Detailed fields of education and training, ISCED-F 2013 (UNESCO Institute for Statistics). */
export const iscedFields = named(`
0011 | Basic programmes and qualifications | Grundlegende Bildungsgänge
0021 | Literacy and numeracy | Lesen, Schreiben und Rechnen
0031 | Personal skills and development | Persönliche Entwicklung
0111 | Education science | Erziehungswissenschaft
0112 | Training for pre-school teachers | Vorschulpädagogik
0113 | Teacher training without subject specialisation | Lehramt ohne Fachspezialisierung
0114 | Teacher training with subject specialisation | Lehramt mit Fachspezialisierung
0211 | Audio-visual techniques and media production | Audiovisuelle Technik und Medienproduktion
0212 | Fashion, interior and industrial design | Mode-, Innen- und Industriedesign
0213 | Fine arts | Bildende Kunst
0214 | Handicrafts | Kunsthandwerk
0215 | Music and performing arts | Musik und darstellende Kunst
0221 | Religion and theology | Religion und Theologie
0222 | History and archaeology | Geschichte und Archäologie
0223 | Philosophy and ethics | Philosophie und Ethik
0231 | Language acquisition | Spracherwerb
0232 | Literature and linguistics | Literatur und Sprachwissenschaft
0311 | Economics | Wirtschaft
0312 | Political sciences and civics | Politikwissenschaft
0313 | Psychology | Psychologie
0314 | Sociology and cultural studies | Soziologie und Kulturwissenschaft
0321 | Journalism and reporting | Journalismus
0322 | Library, information and archival studies | Bibliotheks-, Informations- und Archivwesen
0411 | Accounting and taxation | Rechnungswesen und Steuern
0412 | Finance, banking and insurance | Finanzen, Banken und Versicherungen
0413 | Management and administration | Management und Verwaltung
0414 | Marketing and advertising | Marketing und Werbung
0415 | Secretarial and office work | Sekretariat und Büro
0416 | Wholesale and retail sales | Groß- und Einzelhandel
0417 | Work skills | Arbeitstechniken
0421 | Law | Recht
0511 | Biology | Biologie
0512 | Biochemistry | Biochemie
0521 | Environmental sciences | Umweltwissenschaften
0522 | Natural environments and wildlife | Natur und Wildtiere
0531 | Chemistry | Chemie
0532 | Earth sciences | Geowissenschaften
0533 | Physics | Physik
0541 | Mathematics | Mathematik
0542 | Statistics | Statistik
0611 | Computer use | Computeranwendung
0612 | Database and network design and administration | Datenbanken und Netze
0613 | Software and applications | Software und Anwendungen
0711 | Chemical engineering and processes | Chemietechnik
0712 | Environmental protection technology | Umweltschutztechnik
0713 | Electricity and energy | Elektrizität und Energie
0714 | Electronics and automation | Elektronik und Automation
0715 | Mechanics and metal trades | Mechanik und Metall
0716 | Motor vehicles, ships and aircraft | Fahrzeuge, Schiffe und Flugzeuge
0721 | Food processing | Lebensmittelverarbeitung
0722 | Materials (glass, paper, plastic and wood) | Werkstoffe (Glas, Papier, Kunststoff, Holz)
0723 | Textiles (clothes, footwear and leather) | Textil, Kleidung, Schuhe und Leder
0724 | Mining and extraction | Bergbau
0731 | Architecture and town planning | Architektur und Städtebau
0732 | Building and civil engineering | Hoch- und Tiefbau
0811 | Crop and livestock production | Pflanzenbau und Tierzucht
0812 | Horticulture | Gartenbau
0821 | Forestry | Forstwirtschaft
0831 | Fisheries | Fischerei
0841 | Veterinary | Tiermedizin
0911 | Dental studies | Zahnmedizin
0912 | Medicine | Medizin
0913 | Nursing and midwifery | Krankenpflege und Geburtshilfe
0914 | Medical diagnostic and treatment technology | Medizinische Diagnose- und Behandlungstechnik
0915 | Therapy and rehabilitation | Therapie und Rehabilitation
0916 | Pharmacy | Pharmazie
0917 | Traditional and complementary medicine | Traditionelle und Komplementärmedizin
0921 | Care of the elderly and of disabled adults | Altenpflege und Pflege behinderter Erwachsener
0922 | Child care and youth services | Kinderbetreuung und Jugendarbeit
0923 | Social work and counselling | Sozialarbeit und Beratung
1011 | Domestic services | Hauswirtschaft
1012 | Hair and beauty services | Friseur und Kosmetik
1013 | Hotel, restaurants and catering | Hotel- und Gastgewerbe
1014 | Sports | Sport
1015 | Travel, tourism and leisure | Reise, Tourismus und Freizeit
1021 | Community sanitation | Öffentliche Hygiene
1022 | Occupational health and safety | Arbeitsschutz
1031 | Military and defence | Militär
1032 | Protection of persons and property | Schutz von Personen und Eigentum
1041 | Transport services | Verkehr`)
