const { default: Sequencer } = require('@jest/test-sequencer');

/** The demo studio takes longest: it goes first, the others run beside it. */
const FIRST = /demo\.e2e\.ts$/;

module.exports = class LongestFirst extends Sequencer {
  sort(tests) {
    const sorted = super.sort(tests);
    return [...sorted.filter(({ path }) => FIRST.test(path)), ...sorted.filter(({ path }) => !FIRST.test(path))];
  }
};
