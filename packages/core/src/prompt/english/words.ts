/** Words and phrases for one value, singular and in their plain form: plurals, -ing and -ed forms are found by themselves. */
export type Words = readonly string[];
export type Lines = Readonly<Record<string, Words>>;
