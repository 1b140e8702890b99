/** What somebody may do in a studio, from the least to the most. */
export const PERMISSIONS = ['see', 'comment', 'edit', 'export', 'manage'] as const;
export type Permission = (typeof PERMISSIONS)[number];

/** The roles of a studio, from the most to the least. */
export const ROLES = ['owner', 'editor', 'commenter', 'viewer'] as const;
export type Role = (typeof ROLES)[number];

/** What each role is called, and what it is for, in one sentence. */
export const ROLE_WORDS: Readonly<Record<Role, { readonly label: string; readonly sentence: string }>> = {
  owner: { label: 'Owner', sentence: 'May do everything, and decides who else may do what.' },
  editor: {
    label: 'Editor',
    sentence: 'Adds references, changes mixes and series, makes pictures and hands them over.',
  },
  commenter: {
    label: 'Commenter',
    sentence: 'Sees the library and the projects, rates takes and writes notes to them.',
  },
  viewer: { label: 'Viewer', sentence: 'Sees the library and the projects, and changes nothing.' },
};

/** What a permission lets somebody do, to follow "may not" and "may". */
export const PERMISSION_WORDS: Readonly<Record<Permission, string>> = {
  see: 'see this studio',
  comment: 'rate or comment',
  edit: 'change anything here',
  export: 'hand pictures over',
  manage: 'decide about people, projects and backups',
};

/** The one table of who may do what; "if allowed" is up to the owner for each person. */
const TABLE: Readonly<Record<Permission, Readonly<Record<Role, boolean | 'if allowed'>>>> = {
  see: { owner: true, editor: true, commenter: true, viewer: true },
  comment: { owner: true, editor: true, commenter: true, viewer: false },
  edit: { owner: true, editor: true, commenter: false, viewer: false },
  export: { owner: true, editor: true, commenter: 'if allowed', viewer: 'if allowed' },
  manage: { owner: true, editor: false, commenter: false, viewer: false },
};

/** Of a person, what decides about what they may do. */
export interface Permitted {
  readonly role: Role;
  /** Whether an owner allowed it to somebody whose role alone does not. */
  readonly mayExport?: boolean;
}

/** True where somebody may do something. */
export function may({ role, mayExport = false }: Permitted, permission: Permission): boolean {
  const says = TABLE[permission][role];
  return says === 'if allowed' ? mayExport : says;
}

/** Roles of which everybody may do something, from the most to the least. */
export const rolesThatMay = (permission: Permission): Role[] =>
  ROLES.filter((role) => TABLE[permission][role] === true);

/** Roles that a project can give: nobody is made an owner of the studio by it. */
export const PROJECT_ROLES = ['editor', 'commenter', 'viewer'] as const satisfies readonly Role[];
export type ProjectRole = (typeof PROJECT_ROLES)[number];

/** Of a project, what decides about what somebody may do in it. */
export interface ProjectAccess {
  /** Only its members, and owners of the studio, know of it; everybody otherwise. */
  readonly restricted: boolean;
  /** The role that it gives them; undefined for somebody who is no member. */
  readonly member?: ProjectRole;
}

/**
 * Somebody's role in a project: that of the studio is the ceiling, and a project can give less. Undefined for somebody who may not even
 * know of it.
 */
export function roleInProject(studio: Role, { restricted, member }: ProjectAccess): Role | undefined {
  if (studio === 'owner') return studio;
  if (!member) return restricted ? undefined : studio;
  return ROLES[Math.max(ROLES.indexOf(studio), ROLES.indexOf(member))];
}
