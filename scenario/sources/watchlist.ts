import { newSeller, type Watchlist } from '#server/records/sources/watchlist'

/** Sellers of degrees and free mail providers of the demo; all invented. */
export const watchlist: Watchlist = {
  sellers: [
    newSeller(
      ['Saint Everard International University', 'Everard Global Campus'],
      ['everard-degrees.example'],
      'Degrees within ten days, by life experience.',
    ),
    newSeller(['Norwick Royal Institute of Technology'], ['norwick-royal.example'], 'No building at its address.'),
    newSeller(
      ['Akademie Falkenried für Angewandte Praxis', 'Falkenried Academy'],
      ['falkenried-akademie.example'],
      'Not accredited anywhere; sells transcripts.',
    ),
    newSeller(['Instituto Superior Valdeoro'], ['valdeoro-titulos.example'], 'Closed by order in 2019, still sells.'),
  ],
  freeMail: ['bergpost.example', 'freipost.example', 'mail.example', 'postino.example'],
}
