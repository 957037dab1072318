/** What a write carries, so that no other site can send one; empty before the first answer, and then the server asks once more. */
export function readToken(): string {
  const cookie = document.cookie.split('; ').find((one) => one.startsWith('XSRF-TOKEN='));
  return cookie ? decodeURIComponent(cookie.slice('XSRF-TOKEN='.length)) : '';
}
