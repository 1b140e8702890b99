import { may, PERMISSIONS, PROJECT_ROLES, ROLE_WORDS, roleInProject, ROLES, rolesThatMay } from './roles';

// by hand: what the studio promises (docs/sharing.md), one row a role
const PROMISED = {
  owner: ['see', 'comment', 'edit', 'export', 'manage'],
  editor: ['see', 'comment', 'edit', 'export'],
  commenter: ['see', 'comment'],
  viewer: ['see'],
} as const;

test.each(ROLES)('%s may do what is promised, and nothing else', (role) => {
  expect(PERMISSIONS.filter((p) => may({ role }, p))).toEqual(PROMISED[role]);
});

test('an owner can allow handing over to those whose role does not, and nothing more', () => {
  for (const role of ['commenter', 'viewer'] as const) {
    expect(may({ role, mayExport: true }, 'export')).toBe(true);
    expect(PERMISSIONS.filter((p) => may({ role, mayExport: true }, p))).toEqual([...PROMISED[role], 'export']);
  }
  expect(may({ role: 'editor', mayExport: false }, 'export')).toBe(true);
});

test('a role that is higher may all that a lower one may', () => {
  for (let k = 1; k < ROLES.length; k++)
    for (const permission of PERMISSIONS)
      if (may({ role: ROLES[k] }, permission)) expect(may({ role: ROLES[k - 1] }, permission)).toBe(true);
});

test('who can grant a thing is told by role', () => {
  expect(rolesThatMay('manage')).toEqual(['owner']);
  expect(rolesThatMay('comment')).toEqual(['owner', 'editor', 'commenter']);
  expect(rolesThatMay('export')).toEqual(['owner', 'editor']);
});

test('every role has a name and a sentence of its own', () => {
  expect(new Set(ROLES.map((role) => ROLE_WORDS[role].label)).size).toBe(ROLES.length);
  for (const role of ROLES) expect(ROLE_WORDS[role].sentence).toMatch(/^[A-Z].*\.$/);
});

describe('a role in a project', () => {
  // by hand: of the studio, what each membership leaves
  const LEFT = {
    editor: { editor: 'editor', commenter: 'commenter', viewer: 'viewer' },
    commenter: { editor: 'commenter', commenter: 'commenter', viewer: 'viewer' },
    viewer: { editor: 'viewer', commenter: 'viewer', viewer: 'viewer' },
  } as const;

  test('is at most that of the studio, and a project can give less', () => {
    for (const restricted of [true, false])
      for (const studio of PROJECT_ROLES)
        for (const member of PROJECT_ROLES)
          expect(roleInProject(studio, { restricted, member })).toBe(LEFT[studio][member]);
  });

  test('of somebody who is no member is that of the studio, and none where only members know of it', () => {
    for (const studio of PROJECT_ROLES) {
      expect(roleInProject(studio, { restricted: false })).toBe(studio);
      expect(roleInProject(studio, { restricted: true })).toBeUndefined();
    }
  });

  test('of an owner stays that of an owner, whatever the project says', () => {
    expect(roleInProject('owner', { restricted: true })).toBe('owner');
    expect(roleInProject('owner', { restricted: false, member: 'viewer' })).toBe('owner');
  });
});
