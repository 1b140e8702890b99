import { mkdtempSync, rmSync, writeFileSync } from 'fs';
import os from 'os';
import path from 'path';
import { shareOf } from './share';

const folder = mkdtempSync(path.join(os.tmpdir(), 'urbild-share-'));
afterAll(() => rmSync(folder, { recursive: true }));
const resolved = (file: string) => path.join(folder, file);

test('a studio is one’s own unless it is shared', () => {
  expect(shareOf({}, resolved)).toBeUndefined();
  expect(shareOf({ share: true }, resolved)).toEqual({});
});

test('takes an address without its slash, and a certificate with its key', () => {
  writeFileSync(resolved('cert.pem'), 'c');
  writeFileSync(resolved('key.pem'), 'k');
  const options = {
    share: true,
    'public-url': 'https://studio.example/',
    'tls-cert': 'cert.pem',
    'tls-key': 'key.pem',
  };
  expect(shareOf(options, resolved)).toEqual({
    publicUrl: 'https://studio.example',
    tls: { cert: Buffer.from('c'), key: Buffer.from('k') },
  });
});

test('takes a directory with its secret, called by its address unless it has a name', () => {
  writeFileSync(resolved('secret'), ' between us\n');
  const asked = { share: true, 'oidc-issuer': 'https://id.example/tenant', 'oidc-client': 'urbild' };
  expect(shareOf(asked, resolved)).toEqual({
    directory: { issuer: 'https://id.example/tenant', clientId: 'urbild', name: 'id.example' },
  });
  const more = { ...asked, 'oidc-secret-file': 'secret', 'oidc-name': ' The guild ' };
  expect(shareOf(more, resolved)?.directory).toMatchObject({ secret: 'between us', name: 'The guild' });
  const here = { ...asked, 'oidc-issuer': 'http://127.0.0.1:4000' };
  expect(shareOf(here, resolved)?.directory?.issuer).toBe('http://127.0.0.1:4000');
});

test.each([
  [{ 'oidc-issuer': 'https://id.example' }, /--oidc-issuer belong to --share/],
  [{ share: true, 'oidc-issuer': 'https://id.example' }, /both/],
  [{ share: true, 'oidc-client': 'urbild' }, /both/],
  [{ share: true, 'oidc-name': 'The guild' }, /belong to --oidc-issuer/],
  [{ share: true, 'oidc-issuer': 'http://id.example', 'oidc-client': 'urbild' }, /an address with https/],
  [{ share: true, 'oidc-issuer': 'here', 'oidc-client': 'urbild' }, /an address with https/],
  [{ 'public-url': 'https://studio.example' }, /belong to --share/],
  [{ share: true, 'public-url': 'studio' }, /an address such as https/],
  [{ share: true, 'public-url': 'ftp://studio.example' }, /an address such as https/],
  [{ share: true, 'public-url': 'https://studio.example/below' }, /an address such as https/],
  [{ share: true, 'tls-cert': 'cert.pem' }, /both or neither/],
  [{ share: true, 'tls-cert': 'none.pem', 'tls-key': 'none.pem' }, /--tls-cert: .*none\.pem cannot be read/],
])('refuses %j with a sentence', (options, sentence) => {
  expect(() => shareOf(options, resolved)).toThrow(sentence);
});
