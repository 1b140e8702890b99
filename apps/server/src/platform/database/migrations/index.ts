import { Migration202611231 } from './migration202611231';
import { Migration202611232 } from './migration202611232';
import { Migration202611233 } from './migration202611233';
import { Migration202611234 } from './migration202611234';
import { Migration202611271 } from './migration202611271';
import { Migration202611291 } from './migration202611291';
import { Migration202611301 } from './migration202611301';
import { Migration202612011 } from './migration202612011';
import { Migration202612012 } from './migration202612012';
import { Migration202612021 } from './migration202612021';
import { Migration202612022 } from './migration202612022';
import { Migration202612023 } from './migration202612023';
import { Migration202612024 } from './migration202612024';
import { Migration202612025 } from './migration202612025';
import { Migration202612026 } from './migration202612026';
import { Migration202612027 } from './migration202612027';
import { Migration202612028 } from './migration202612028';

/** All migrations, oldest first. `npm run schema` in apps/server prints the SQL to write one from. */
export const MIGRATIONS = [
  { name: '202611231-first', class: Migration202611231 },
  { name: '202611232-library', class: Migration202611232 },
  { name: '202611233-bench', class: Migration202611233 },
  { name: '202611234-series', class: Migration202611234 },
  { name: '202611271-sequences', class: Migration202611271 },
  { name: '202611291-nothing-lost', class: Migration202611291 },
  { name: '202611301-one-word', class: Migration202611301 },
  { name: '202612011-outfits', class: Migration202612011 },
  { name: '202612012-archive', class: Migration202612012 },
  { name: '202612021-collections', class: Migration202612021 },
  { name: '202612022-projects', class: Migration202612022 },
  { name: '202612023-people', class: Migration202612023 },
  { name: '202612024-turns', class: Migration202612024 },
  { name: '202612025-members', class: Migration202612025 },
  { name: '202612026-directory', class: Migration202612026 },
  { name: '202612027-comments', class: Migration202612027 },
  { name: '202612028-approval', class: Migration202612028 },
];
