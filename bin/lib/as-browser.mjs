// Asks an application as somebody's browser does, cookies and all. For loopback only.

export const PASSWORD = 'fernhollow-winter';
export const json = { Accept: 'application/json', 'Content-Type': 'application/json' };

export class Browser {
  cookies = new Map();
  token = '';
  at = '/';

  constructor(base) {
    this.base = base;
  }

  async ask(path, { method = 'GET', body, headers = {}, base = this.base } = {}) {
    if (!/^https?:\/\/127\.0\.0\.1:/.test(base)) throw new Error('loopback only');
    const answer = await fetch(base + path, {
      method,
      body,
      redirect: 'manual',
      headers: {
        Referer: base + this.at,
        Cookie: [...this.cookies].map(([name, value]) => `${name}=${value}`).join('; '),
        ...(method === 'GET' ? {} : { 'X-CSRF-TOKEN': this.token }),
        ...headers,
      },
    });
    for (const set of answer.headers.getSetCookie()) {
      const [, name, value] = /^([^=]+)=([^;]*)/.exec(set);
      this.cookies.set(name, value);
    }
    return answer;
  }

  /** The page's text; its token is what forms send from then on. */
  async page(path, base = this.base) {
    const answer = await this.ask(path, { base });
    const text = await answer.text();
    this.at = path;
    if (answer.status !== 200) throw new Error(`${path}: ${answer.status} ${answer.headers.get('location') ?? ''}`);
    const found = /name="csrf-token" content="([^"]+)"|name="_token" value="([^"]+)"/.exec(text);
    this.token = found?.slice(1).find(Boolean) ?? this.token;
    return text;
  }

  form(path, fields = {}, base = this.base) {
    return this.ask(path, { method: 'POST', body: new URLSearchParams({ _token: this.token, ...fields }), base });
  }

  async logIn(email, base = this.base) {
    await this.page('/login', base);
    const answer = await this.form('/login', { email, password: PASSWORD }, base);
    await answer.text();
    if (answer.status !== 302 || /\/login$/.test(answer.headers.get('location')))
      throw new Error(`${email} was not let in`);
  }
}
