import { answeredWords } from './answered-words';

describe('the route’s words after an answer', () => {
  it('say what was answered, and are what they were without one', () => {
    expect(answeredWords({ words: 'Ask, then fit' }, 'refused')).toBe('Ask, then fit: refused');
    expect(answeredWords({ words: 'Ask, then fit' }, null)).toBe('Ask, then fit');
  });
  it.each(['Hold: make safe', 'Not yet: settle first', 'Fit, then notify'])(
    '“%s” is not softened by an answer',
    (words) => {
      expect(answeredWords({ words }, 'accepted')).toBe(words);
    },
  );
});
