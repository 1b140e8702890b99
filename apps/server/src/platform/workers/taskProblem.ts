import { Problem } from '../problems/problem';
import { TaskFailed } from './task';

/** What a request is answered with when a task on its file gave no result; every other error is what it was. */
export function taskProblem(error: unknown): unknown {
  if (!(error instanceof TaskFailed)) return error;
  return error.failure === 'too-large' ? Problem.tooLarge(error.message) : Problem.unreadable(error.message);
}
