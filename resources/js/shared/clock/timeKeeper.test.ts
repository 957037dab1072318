import { describe, expect, test } from 'vitest';
import { doubtfulMs, keeperAt, offsetOf, passed, settled, type Kept, type Tick } from './timeKeeper';

/** A phone of which both clocks are played: what really passes, what each of them makes of it. */
class Phone {
  private real = 0;
  private wall = 1_000_000;
  private counted = 500;
  private hidden = false;
  kept: Kept = keeperAt(this.tick());
  private tick(): Tick {
    return { wallMs: this.wall, countedMs: this.counted, wasHidden: this.hidden };
  }
  awake(ms: number, stepMs = 200): void {
    for (let left = ms; left > 0; left -= stepMs) {
      const step = Math.min(stepMs, left);
      this.real += step;
      this.wall += step;
      this.counted += step;
      this.look();
    }
  }
  sleep(ms: number, doesCount = false): void {
    this.real += ms;
    this.wall += ms;
    if (doesCount) this.counted += ms;
    this.hidden = true;
    this.look();
  }
  setWall(byMs: number): void {
    this.wall += byMs;
  }
  private look(): void {
    this.kept = passed(this.kept, this.tick());
    this.hidden = false;
  }
  get errorMs(): number {
    return this.kept.runMs - 1_000_000 - this.real;
  }
}

describe('the time of a run by two clocks that may lie', () => {
  test('90 minutes of sleeps, naps and a clock set forward and back are off by under a tenth of a second', () => {
    const phone = new Phone();
    for (let i = 0; i < 9; i++) {
      phone.awake(240_000);
      phone.sleep(170_000, i % 2 === 0);
      phone.setWall(i % 3 === 0 ? 3_600_000 : -7_321);
      phone.awake(180_000);
      phone.sleep(10_000);
    }
    expect(Math.abs(phone.errorMs)).toBeLessThan(100);
    expect(phone.kept.doubtMs).toBe(0);
  });

  test('a sleep in which the counting clock stands still passes by the wall clock', () => {
    const phone = new Phone();
    phone.sleep(300_000);
    expect(phone.errorMs).toBe(0);
  });

  test('a wall clock set back while the phone slept takes nothing away', () => {
    const phone = new Phone();
    phone.setWall(-900_000);
    phone.sleep(60_000, true);
    expect(phone.errorMs).toBe(0);
  });

  test('more than ten minutes that only the wall clock knows of are asked about once', () => {
    const phone = new Phone();
    phone.setWall(3_600_000);
    phone.sleep(60_000);
    expect(phone.kept.doubtMs).toBe(3_660_000);
    phone.awake(1_000);
    expect(phone.kept.doubtMs).toBe(3_660_000);
    expect(settled(phone.kept, true)).toMatchObject({ runMs: phone.kept.runMs, doubtMs: 0 });
    expect(settled(phone.kept, false)).toMatchObject({ runMs: phone.kept.runMs - 3_660_000, doubtMs: 0 });
    const short = new Phone();
    short.sleep(doubtfulMs);
    expect(short.kept.doubtMs).toBe(0);
  });

  test('loaded anew it goes on with the offset it had, and never before the last press', () => {
    const phone = new Phone();
    phone.setWall(3_600_000);
    phone.awake(1_000);
    const offsetMs = offsetOf(phone.kept);
    expect(offsetMs).toBe(-3_600_000);
    expect(keeperAt({ wallMs: 9_000_000, countedMs: 1, wasHidden: false }, offsetMs).runMs).toBe(5_400_000);
    expect(keeperAt({ wallMs: 9_000_000, countedMs: 1, wasHidden: false }, offsetMs, 8_000_000).runMs).toBe(8_000_000);
  });
});
