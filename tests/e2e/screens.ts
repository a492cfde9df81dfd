/** Screens of a job with a word that shows they have come. */
export const screens = (roof: string) => ({
  survey: [
    ['', 'Slip hall roof'],
    ['/survey', 'Treated'],
    [`/survey/surface/${roof}`, 'Vapour drive and faces'],
    ['/survey/joints', 'Seen by crew lead'],
    ['/survey/complaints', 'the hall drips'],
    ['/survey/baseline', 'Leakage area'],
    ['/survey/prepare', 'Once for the job'],
    ['/survey/exchange', 'Take surfaces out'],
  ],
  stages: [
    [`/choose/${roof}`, 'What would change it'],
    [`/section/${roof}`, 'foam alone, aged'],
    [`/sets/${roof}`, 'sets to load'],
    ['/price', 'Keep as a bid'],
    ['/order', 'Load list as PDF'],
    [`/window/${roof}`, 'Rules of the gate'],
  ],
})
