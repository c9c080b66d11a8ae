/**
 * Repeatable random numbers from a seed, 0 up to but not 1 (sfc32, a public-domain generator by C. Doty-Humphrey): the
 * same seed gives the same picture on every machine, so that an address can be shared.
 */
export function seeded(seed: number): () => number {
  let [a, b, c, counter] = [0, seed | 0, (seed ^ 0x9e3779b9) | 0, 1]
  const next = () => {
    const sum = (a + b + counter) | 0
    counter = (counter + 1) | 0
    a = b ^ (b >>> 9)
    b = (c + (c << 3)) | 0
    c = (((c << 21) | (c >>> 11)) + sum) | 0
    return (sum >>> 0) / 4294967296
  }
  for (let i = 0; i < 12; i++) next()
  return next
}
