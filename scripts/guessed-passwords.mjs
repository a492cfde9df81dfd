// The passwords that are guessed first, from a list that is kept by others, as the first eight bytes of the SHA-256 of each in lower
// case, sorted: enough to know one again, and nobody has to read what people call their passwords.
// node scripts/guessed-passwords.mjs
import { createHash } from 'node:crypto'
import { createRequire } from 'node:module'
import { writeFileSync } from 'node:fs'

const FILE = 'src/Umbracell.Formats/DataFiles/Shipped/access/guessed-passwords.bin'
const BYTES = 8

const { dictionary } = createRequire(new URL('../web/package.json', import.meta.url))('@zxcvbn-ts/language-common')
const words = new Set(dictionary['passwords-common'].map((word) => word.toLowerCase()))
const marks = [...words].map((word) => createHash('sha256').update(word, 'utf8').digest().subarray(0, BYTES))
marks.sort(Buffer.compare)
writeFileSync(FILE, Buffer.concat(marks))
console.log(`${words.size} passwords, ${[...words].filter((word) => word.length >= 12).length} of them of 12 and more`)
