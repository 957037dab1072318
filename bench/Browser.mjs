/*
 * A browser as a phone has it: opened with a profile on disk, and watched by nothing but what the page itself says. Whatever drives a
 * browser for tests reads along with every script, which costs a slowed page some two tenths of a second that no phone spends.
 */
import { spawn } from 'node:child_process';

const slowNetwork = { latency: 150, downloadThroughput: 200_000, uploadThroughput: 93_750 };

export class Browser {
  #process;
  #nextId = 1;
  #waiting = new Map();
  #rest = '';
  #onEvent = () => {};

  /** @param {{ chromium: string, folder: string, offline: boolean }} how  without a network nothing is reached, by no worker either */
  constructor({ chromium, folder, offline }) {
    const unreachable = offline ? ['--host-resolver-rules=MAP * ~NOTFOUND', '--proxy-server=127.0.0.1:9', '--proxy-bypass-list=<-loopback>'] : [];
    const args = ['--headless', '--no-sandbox', '--disable-gpu', '--no-first-run', '--hide-scrollbars', '--remote-debugging-pipe'];
    this.#process = spawn(chromium, [...args, ...unreachable, `--user-data-dir=${folder}`, 'about:blank'], {
      stdio: ['ignore', 'ignore', 'ignore', 'pipe', 'pipe'],
    });
    this.#process.stdio[4].setEncoding('utf8').on('data', (more) => this.#read(more));
  }

  #read(more) {
    const messages = (this.#rest + more).split('\0');
    this.#rest = messages.pop();
    for (const message of messages.map((one) => JSON.parse(one))) {
      const waiting = this.#waiting.get(message.id);
      this.#waiting.delete(message.id);
      if (message.method) this.#onEvent(message);
      else if (message.error) waiting?.reject(new Error(message.error.message));
      else waiting?.resolve(message.result);
    }
  }

  #send(method, params = {}, sessionId = undefined) {
    const id = this.#nextId++;
    const answer = new Promise((resolve, reject) => this.#waiting.set(id, { resolve, reject }));
    this.#process.stdio[3].write(`${JSON.stringify({ id, method, params, sessionId })}\0`);
    return answer;
  }

  /**
   * Milliseconds from the tap until something is painted.
   *
   * @param {{ selector: string, text: string }} seen  what is waited for, by all of its text
   * @param {{ width: number, height: number, slower: number }} phone
   */
  async visit(address, seen, { width, height, slower }) {
    this.#onEvent = ({ method, params }) => {
      // A worker's own requests go over the same slow network; one that ends meanwhile has none.
      if (method === 'Target.attachedToTarget' && slower > 1 && params.targetInfo.type === 'service_worker')
        void this.#slowNetwork(params.sessionId).catch(() => undefined);
    };
    await this.#send('Target.setAutoAttach', { autoAttach: true, waitForDebuggerOnStart: false, flatten: true });
    const { targetId } = await this.#send('Target.createTarget', { url: 'about:blank' });
    const { sessionId } = await this.#send('Target.attachToTarget', { targetId, flatten: true });
    const toPage = (method, params) => this.#send(method, params, sessionId);
    await toPage('Page.enable');
    await toPage('Emulation.setDeviceMetricsOverride', { width, height, deviceScaleFactor: 1, mobile: false });
    await toPage('Emulation.setCPUThrottlingRate', { rate: slower });
    if (slower > 1) await this.#slowNetwork(sessionId);
    await toPage('Page.addScriptToEvaluateOnNewDocument', { source: `(${watch})(${JSON.stringify(seen)})` });
    await toPage('Page.navigate', { url: address });
    for (const end = Date.now() + 60_000; Date.now() < end;) {
      await new Promise((resolve) => setTimeout(resolve, 200));
      const { result } = await toPage('Runtime.evaluate', { expression: 'window.seenAtMs', returnByValue: true });
      if (typeof result.value === 'number') {
        await this.#send('Target.closeTarget', { targetId });
        return result.value;
      }
    }
    throw new Error(`"${seen.text}" was not seen at ${address} within a minute.`);
  }

  async #slowNetwork(sessionId) {
    await this.#send('Network.enable', {}, sessionId);
    await this.#send('Network.emulateNetworkConditions', { offline: false, ...slowNetwork }, sessionId);
  }

  async close() {
    const ended = new Promise((resolve) => this.#process.once('exit', resolve));
    await this.#send('Browser.close').catch(() => undefined);
    await ended;
  }
}

/** In the page: notes when what is waited for is painted. */
function watch({ selector, text }) {
  if (window !== window.top) return;
  const found = () => [...document.querySelectorAll(selector)].find((one) => one.textContent.trim() === text);
  const changes = new MutationObserver(() => {
    if (!found()) return;
    requestAnimationFrame(() => {
      if (!found()?.checkVisibility() || window.seenAtMs) return;
      changes.disconnect();
      // After the frame that was asked for: it is painted by then.
      setTimeout(() => (window.seenAtMs = performance.now()));
    });
  });
  changes.observe(document, { childList: true, subtree: true, characterData: true });
}
