/** Screens with a word that shows they have come: of a firm, and of a job. */
export const screens = (roof: string) => ({
  firm: [
    ['/', 'ferry house'],
    ['/firm', 'Margins at the spray window'],
    ['/past-jobs', 'Dotted'],
    ['/stock', 'Drums in the store'],
    ['/places', 'Monthly means'],
    ['/target-sets', 'The greatest U allowed'],
    ['/people', 'What each role may do'],
    ['/your-sign-in', 'this device'],
    ['/pocket/dew', 'Type the figures'],
    ['/pocket/drums', 'Type the figures'],
    ['/?shelf=deleted', 'deleted jobs'],
  ],
  survey: [
    ['', 'Slip hall roof'],
    ['/survey', 'Treated'],
    [`/survey/surface/${roof}`, 'Vapour drive and faces'],
    ['/survey/joints', 'Seen by crew lead'],
    ['/survey/complaints', 'the hall drips'],
    ['/survey/baseline', 'Leakage area'],
    ['/survey/prepare', 'Once for the job'],
    ['/survey/exchange', 'Export surfaces'],
  ],
  stages: [
    [`/choose/${roof}`, 'What would change the choice'],
    [`/section/${roof}`, 'foam alone, aged'],
    [`/sets/${roof}`, 'sets to load'],
    ['/price', 'Save this quote'],
    ['/order', 'Load list as PDF'],
    [`/window/${roof}`, 'Rules of the gate'],
  ],
})
