/** The sentence a refused request carries; a plain one when the server could not be reached. */
export function sayWhy(error: unknown): string {
  const answer = error as { data?: { data?: { why?: string }; message?: string }; statusCode?: number }
  return (
    answer.data?.data?.why ??
    (answer.statusCode
      ? `The server refused it (${answer.statusCode}). Try again, and tell the office if it stays.`
      : 'The server cannot be reached. What you typed is kept; it goes when the network is back.')
  )
}
