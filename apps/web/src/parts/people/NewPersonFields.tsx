import { EntryField } from './EntryFrame';

/** What somebody new says of themselves. */
export interface NewPerson {
  readonly name: string;
  readonly login: string;
  readonly password: string;
}

export const NOBODY: NewPerson = { name: '', login: '', password: '' };

/** True where a password is as long as the studio wants it. */
export const isLongEnough = (password: string): boolean => password.length >= 10;

interface Props {
  readonly person: NewPerson;
  /** They are here already, and give themselves another password only. */
  readonly known?: boolean;
  readonly onSet: (some: Partial<NewPerson>) => void;
}

/** The names of somebody new, and the password that they choose. */
export function NewPersonFields({ person: { name, login, password }, known = false, onSet }: Props) {
  return (
    <>
      {!known && (
        <EntryField
          autoFocus
          label="Your name"
          hint="as the others read it"
          fills="name"
          value={name}
          onChange={(text) => onSet({ name: text })}
        />
      )}
      <EntryField
        autoFocus={known}
        label="Name to sign in with"
        hint={known ? 'the one that you have' : 'short, without spaces'}
        fills="username"
        value={login}
        onChange={(text) => onSet({ login: text })}
      />
      <EntryField
        secret
        label="Password"
        hint="10 characters or more; a sentence is a good one"
        fills="new-password"
        value={password}
        onChange={(text) => onSet({ password: text })}
      />
    </>
  );
}
