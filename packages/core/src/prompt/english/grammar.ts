import type { Lines, Words } from './words';

/** How things stand to each other. */
export const RELATION_WORDS: Lines = {
  beside: ['beside', 'next to', 'near', 'by', 'alongside', 'at the side of', 'close to', 'around', 'among', 'between'],
  behind: ['behind', 'beyond', 'at the back of', 'past'],
  before: ['in front of', 'before', 'ahead of', 'outside'],
  in: ['in', 'inside', 'within', 'into', 'dressed in', 'wearing', 'wears', 'aboard', 'clad in'],
  on: ['on', 'upon', 'on top of', 'onto', 'atop', 'astride'],
  under: ['under', 'beneath', 'below', 'underneath'],
  over: ['over', 'above'],
  with: ['with', 'and with', 'having', 'has'],
  of: ['of', 'full of', 'filled with'],
  at: ['at', 'toward', 'towards', 'to', 'through', 'along', 'across', 'from'],
};

export const SIDE_WORDS: Lines = {
  left: ['left', 'on the left', 'to the left', 'at the left', 'on the left side', 'left side'],
  right: ['right', 'on the right', 'to the right', 'at the right', 'on the right side', 'right side'],
  middle: ['in the middle', 'in the centre', 'in the center', 'centred', 'in the midst'],
};

export const DISTANCE_WORDS: Lines = {
  near: ['foreground', 'in the foreground', 'up front', 'nearby', 'in front'],
  far: [
    'distance',
    'in the distance',
    'far away',
    'far off',
    'in the background',
    'background',
    'on the horizon',
    'distant',
    'far',
    'horizon',
  ],
};

export const COUNT_WORDS: Lines = {
  1: ['one', 'single', 'lone', 'a single'],
  2: ['two', 'pair of', 'a pair of', 'both', 'twin pair of', 'couple of', 'a couple of'],
  3: ['three', 'few', 'some', 'a few'],
  4: ['four', 'several'],
  5: ['five', 'a flock of', 'flock of', 'flocks of'],
  6: ['six', 'many', 'a lot of', 'lots of', 'a crowd of', 'countless', 'dozens of'],
  7: ['seven'],
  8: ['eight'],
};

/** Words of grammar: neither drawn nor missed. */
export const GRAMMAR: ReadonlySet<string> = new Set(
  (
    'a an the and or but nor not as is are was were be been being had it its it s she he her his hers they their theirs ' +
    'them him this that these those who whom which whose where when while there here very so too then than up down out ' +
    'off for after until again away together alone more most all each every other another same just only also picture ' +
    'plate painting drawing illustration scene view print image style like i we you us our your my me do does did get ' +
    'gets got set sets full empty seen made kind sort little bit lot side top bottom edge end something nothing ' +
    'everything way time moment long ago about onto one once upon world story water air ground sky sun large scale ' +
    'depicting showing drawn done using use used wear wears wearing worn dressed clad cosy beautiful lovely pretty nice ' +
    'soft warm cold bright gentle playing having light lit small place front back middle centre center left right two ' +
    'both coloured colored wooden woollen woolen leather felt quality visible home story stories tale horizon past round inside'
  ).split(' '),
);

/** Words that turn the next thing into one that shall not appear. */
export const NEGATIONS: ReadonlySet<string> = new Set(['no', 'without', 'not', 'never', 'neither', 'nor']);

/** Openers of a noun phrase: an adjective that follows belongs to the next noun. */
export const DETERMINERS: Words = [
  'a',
  'an',
  'the',
  'his',
  'her',
  'their',
  'its',
  'this',
  'that',
  'these',
  'those',
  'another',
  'some',
];
