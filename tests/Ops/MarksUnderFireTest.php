<?php

declare(strict_types=1);

namespace Tests\Ops;

use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;

/** Two devices send the same four hundred numbers while the database is killed three times: each is there once. */
#[Group('slow')]
final class MarksUnderFireTest extends TestCase
{
    public function test_four_hundred_marks_three_kills_two_senders(): void
    {
        $checkout = Checkout::make(4);
        [$code, $said] = $checkout->sparrow('start');
        self::assertSame(0, $code, $said);
        $before = (int) $checkout->ask('select count(*) from marks');
        $sender = fn (string $who): string => 'node '.__DIR__."/send-marks.mjs {$checkout->address()} {$who} 400";
        $pipes = [];
        $senders = array_map(function (string $who) use ($sender, $checkout, &$pipes) {
            $said = "{$checkout->path}/{$who}.said";

            return proc_open(['bash', '-c', $sender($who)." >{$said} 2>&1"], [], $pipes);
        }, ['coach', 'lead']);
        $kills = 0;
        for ($wanted = 60; $kills < 3; $wanted += 110) {
            self::assertTrue(
                Checkout::until(fn (): bool => (int) $checkout->ask('select count(*) from marks') - $before >= $wanted, 120),
                "The marks never came to {$wanted}.",
            );
            posix_kill((int) explode(' ', (string) file_get_contents("{$checkout->path}/var/run/db.pid"))[0], SIGKILL);
            $kills++;
            [$code, $said] = $checkout->sparrow('start');
            self::assertSame(0, $code, $said);
        }
        foreach ($senders as $i => $process) {
            self::assertSame(0, proc_close($process), (string) file_get_contents("{$checkout->path}/".['coach', 'lead'][$i].'.said'));
        }
        $projections = fn (): string => $checkout->ask('select * from bests order by player_id, line_key').$checkout->ask(
            'select * from line_days order by player_id, line_key, on_day',
        );
        $incremental = $projections();
        Checkout::must(
            "cd {$checkout->path} && "
                .(posix_geteuid() === 0 ? 'setpriv --reuid=fleet-sparrow --regid=fleet-sparrow --init-groups -- ' : '')
                .'php artisan sparrow:rebuild',
        );

        self::assertSame(400, (int) $checkout->ask('select count(*) from marks') - $before);
        self::assertSame($incremental, $projections());
        fwrite(STDERR, "\n400 marks from two senders, the database killed {$kills} times: 400 kept, once each; rebuilt, the same.\n");
        $checkout->remove();
    }
}
