/** npm run bench: ratios against a named floor, both measured in this run. */
import 'reflect-metadata';
import { benchEngine } from './engine';
import { benchServer } from './server';

async function main(): Promise<void> {
  await benchEngine();
  await benchServer();
}
void main();
