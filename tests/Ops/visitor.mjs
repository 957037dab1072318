/** Somebody who signs in and calls the API, with the cookies of one browser. */
export function visitor(base) {
  const cookies = {};
  async function call(method, path, body, headers = {}) {
    const response = await fetch(`${base}/api/v1${path}`, {
      method,
      headers: {
        Accept: 'application/json',
        ...(body === undefined ? {} : { 'Content-Type': 'application/json' }),
        Cookie: Object.entries(cookies).map(([name, value]) => `${name}=${value}`).join('; '),
        'X-XSRF-TOKEN': decodeURIComponent(cookies['XSRF-TOKEN'] ?? ''),
        ...headers,
      },
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
    });
    for (const line of response.headers.getSetCookie()) {
      const pair = line.split(';')[0] ?? '';
      cookies[pair.slice(0, pair.indexOf('='))] = pair.slice(pair.indexOf('=') + 1);
    }
    const text = await response.text();
    let json;
    try {
      json = JSON.parse(text);
    } catch {
      json = undefined;
    }
    return { status: response.status, json, text };
  }
  async function signIn(who) {
    await call('GET', '/pulse');
    const answer = await call('POST', '/sign-in', { email: `${who}@heron-quay.example`, password: 'salt-marsh-42' });
    if (answer.status !== 200) throw new Error(`${who} cannot sign in: ${answer.status} ${answer.text.slice(0, 300)}`);
    return answer.json;
  }
  return { call, signIn };
}
