import { foreignIn } from './foreign'
import { expect, test } from './product'

test('a unit of the other system is known from a word that looks like it', () => {
  expect(foreignIn('Foam 3 in thick\n12 in all\nin the room\n4 bd ft', 'metric')).toEqual([
    'Foam 3 in thick',
    '4 bd ft',
  ])
  expect(foreignIn('Foam 76 mm\n1.5 K apart\nmoisture K\n10 Pa', 'us')).toEqual(['Foam 76 mm', '1.5 K apart'])
})
