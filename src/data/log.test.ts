import { loggedPath } from './log';

it('writes down no question, no token and no id', () => {
  expect(loggedPath('/find?q=ines+remark')).toBe('/find');
  expect(loggedPath('/p/9f2c4e7a1b3d5f60/card.pdf')).toBe('/p/…/card.pdf');
  expect(loggedPath('/releases/0123456789abcdef0123456789abcdef/pull')).toBe('/releases/…/pull');
  expect(loggedPath('/invitation/Zm9vYmFyYmF6cXV4cXV1eA')).toBe('/invitation/…');
  expect(loggedPath('/schema/recipe-document.json')).toBe('/schema/recipe-document.json');
});
