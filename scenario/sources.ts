import type { NewSource } from '#server/sources/sources'

/** Everything issued in this world is issued by one of these. All invented. `key` is how the scenario speaks of them. */
export const sources: (NewSource & { key: string })[] = [
  { key: 'arvelle', name: 'Institut polytechnique d’Arvelle', aliases: ['IPA', 'Arvelle Polytechnic', 'Polytechnikum Arvelle'], kind: 'university', town: 'Arvelle', country: 'FR', mail: 'registrar@arvelle.example', register: null, answerWorkingDays: 10 },
  { key: 'arlac', name: 'Université d’Arlac', aliases: ['University of Arlac', 'Arlac University'], kind: 'university', town: 'Arlac', country: 'FR', mail: 'scolarite@arlac.example', register: null, answerWorkingDays: 10 },
  { key: 'tannberg', name: 'Technische Hochschule Tannberg', aliases: ['TH Tannberg', 'Tannberg University of Technology'], kind: 'university', town: 'Tannberg', country: 'AT', mail: 'pruefungsamt@tannberg.example', register: 'tannberg-degrees', answerWorkingDays: 8 },
  { key: 'lumira', name: 'Politecnico di Lumira', aliases: ['Lumira Polytechnic'], kind: 'university', town: 'Lumira', country: 'IT', mail: 'segreteria@lumira.example', register: null, answerWorkingDays: 15 },
  { key: 'fjellvik', name: 'Fjellvik tekniske fagskole', aliases: ['Fjellvik Technical College'], kind: 'school', town: 'Fjellvik', country: 'NO', mail: 'post@fjellvik.example', register: null, answerWorkingDays: 10 },
  { key: 'steinach', name: 'Berufsschule Steinach', aliases: ['Steinach Vocational School'], kind: 'school', town: 'Steinach', country: 'AT', mail: 'sekretariat@steinach.example', register: null, answerWorkingDays: 10 },
  { key: 'zarova', name: 'Zespół Szkół Technicznych Zarowa', aliases: ['Zarowa Technical School', 'ZST Zarowa'], kind: 'school', town: 'Zarowa', country: 'PL', mail: 'sekretariat@zarowa.example', register: null, answerWorkingDays: 10 },
  { key: 'grid', name: 'Alpine Grid Safety Board', aliases: ['Grid Safety Board', 'AGSB'], kind: 'licensing body', town: 'Vallorne', country: 'AT', mail: 'licences@gridboard.example', register: 'grid', answerWorkingDays: 5 },
  { key: 'rail', name: 'Mountain Railways Authority', aliases: ['MRA', 'Bergbahnaufsicht'], kind: 'licensing body', town: 'Vallorne', country: 'AT', mail: 'licensing@railauthority.example', register: 'rail', answerWorkingDays: 5 },
  { key: 'heights', name: 'Höhenwerk Training', aliases: ['Hoehenwerk', 'Höhenwerk'], kind: 'certifier', town: 'Steinach', country: 'AT', mail: 'certificates@hoehenwerk.example', register: null, answerWorkingDays: 7 },
  { key: 'ropes', name: 'Ropeguild International', aliases: ['Rope Guild'], kind: 'certifier', town: 'Fjellvik', country: 'NO', mail: 'cards@ropeguild.example', register: null, answerWorkingDays: 7 },
  { key: 'aid', name: 'First Hands Association', aliases: ['First Hands'], kind: 'certifier', town: 'Vallorne', country: 'AT', mail: 'courses@firsthands.example', register: null, answerWorkingDays: 7 },
  { key: 'medical', name: 'Valley Occupational Health', aliases: ['VOH'], kind: 'certifier', town: 'Vallorne', country: 'AT', mail: 'statements@valleyhealth.example', register: null, answerWorkingDays: 5 },
  { key: 'nordrampe', name: 'Nordrampe Seilbahnen', aliases: ['Nordrampe Cableways'], kind: 'employer', town: 'Nordrampe', country: 'AT', mail: 'personal@nordrampe.example', register: null, answerWorkingDays: 10 },
  { key: 'trasse', name: 'Trasse Elektro', aliases: [], kind: 'employer', town: 'Steinach', country: 'AT', mail: 'office@trasse.example', register: null, answerWorkingDays: 10 },
  { key: 'brattlia', name: 'Brattlia Rope Services', aliases: ['Brattlia'], kind: 'employer', town: 'Fjellvik', country: 'NO', mail: 'hr@brattlia.example', register: null, answerWorkingDays: 10 },
  { key: 'karwen', name: 'Karwen Linie', aliases: ['Karwen Railway'], kind: 'employer', town: 'Zarowa', country: 'PL', mail: 'kadry@karwen.example', register: null, answerWorkingDays: 10 },
  { key: 'gleisbau', name: 'Gleisbau Hochtal', aliases: ['Hochtal Track Works'], kind: 'employer', town: 'Tannberg', country: 'AT', mail: 'personal@gleisbau.example', register: null, answerWorkingDays: 10 },
  { key: 'lift', name: 'Lumira Impianti', aliases: ['Lumira Lifts'], kind: 'employer', town: 'Lumira', country: 'IT', mail: 'personale@impianti.example', register: null, answerWorkingDays: 15 },
]
