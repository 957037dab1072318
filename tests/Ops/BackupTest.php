<?php

declare(strict_types=1);

namespace Tests\Ops;

use PHPUnit\Framework\TestCase;

/** A backup is good or it is loud. */
final class BackupTest extends TestCase
{
    private static Checkout $checkout;

    public static function setUpBeforeClass(): void
    {
        self::$checkout = Checkout::make(2);
        [$code, $said] = self::$checkout->sparrow('start');
        self::assertSame(0, $code, $said);
    }

    public static function tearDownAfterClass(): void
    {
        self::$checkout->remove();
    }

    public function test_what_was_copied_comes_back_whole_and_the_marks_add_up_to_it(): void
    {
        $before = self::$checkout->inventory();
        $sums = fn (): string => self::$checkout->ask(
            'select sum(value), count(*) from bests union all select sum(best), count(*) from line_days '
            .'union all select sum(touches), count(*) from session_loads',
        );
        $summed = $sums();
        [$code, $said] = self::$checkout->sparrow('backup');
        self::assertSame(0, $code, $said);
        preg_match('~var/backups/20\S+\.sql\.gz~', $said, $file);

        self::$checkout->ask("delete from marks; delete from bests; delete from session_loads; update clubs set name = 'Changed'");
        self::assertNotSame($before, self::$checkout->inventory());
        [$code, $said] = self::$checkout->sparrow("restore {$file[0]} --yes");

        self::assertSame(0, $code, $said);
        self::assertSame($before, self::$checkout->inventory());
        // Worked out anew from the marks by now, and the same.
        self::assertSame($summed, $sums());
        self::assertSame(0, self::$checkout->sparrow('start')[0]);
        self::assertNotSame('', Checkout::must('ls '.self::$checkout->path.'/var/backups/*-before-restore.sql.gz'));
    }

    public function test_a_copy_that_is_cut_short_or_fails_is_not_kept_and_the_last_good_one_stays(): void
    {
        $folder = self::$checkout->path.'/nightly';
        $account = posix_geteuid() === 0 ? 'root' : posix_getpwuid(posix_geteuid())['name'] ?? '';
        $access = '--no-defaults --socket='.self::$checkout->path."/var/run/db.sock -u {$account}";
        $job = fn (string $path = ''): string => "cd / && PATH={$path}\$PATH SPARROW_BACKUP_ACCESS='{$access}' "
            .self::$checkout->path."/ops/nightly-backup {$folder}";
        self::assertSame('', Checkout::must($job()));
        $good = Checkout::must("cat {$folder}/*.sql.gz | sha256sum");
        // Older than is kept: gone with the next good one, and not before.
        Checkout::must("touch -d '40 days ago' {$folder}/2020-01-01.sql.gz");
        $tools = self::$checkout->path.'/tools';
        mkdir($tools);
        foreach ([
            'is refused' => 'echo "Access denied" >&2; exit 2',
            'is cut short' => 'echo "-- MariaDB dump"; echo "CREATE TABLE marks (";',
            'is empty' => 'exit 0',
            'dies' => 'echo "-- MariaDB dump"; kill -9 $$',
        ] as $how => $script) {
            file_put_contents("{$tools}/mariadb-dump", "#!/bin/sh\n{$script}\n");
            chmod("{$tools}/mariadb-dump", 0755);
            $said = Checkout::must($job("{$tools}:").' 2>&1; echo "ended with $?"');
            self::assertStringContainsString('ended with 1', $said, $how);
            self::assertStringContainsString('The copies made before are untouched.', $said, $how);
            self::assertSame($good, Checkout::must("cat {$folder}/".date('Y-m-d').'.sql.gz | sha256sum'), $how);
            self::assertFileExists("{$folder}/2020-01-01.sql.gz", $how);
        }
        self::assertSame('', Checkout::must($job()));
        self::assertFileDoesNotExist("{$folder}/2020-01-01.sql.gz");
        self::assertFileExists("{$folder}/".date('Y-m-d').'.env');
        self::assertSame('', Checkout::must("find {$folder} -type f -perm /077"));
    }

    public function test_a_copy_that_is_not_whole_is_not_read_back(): void
    {
        $before = self::$checkout->inventory();
        Checkout::must('cd '.self::$checkout->path.' && echo "DROP TABLE marks;" | gzip > half.sql.gz');
        [$code, $said] = self::$checkout->sparrow('restore half.sql.gz --yes');

        self::assertSame(1, $code);
        self::assertStringContainsString('half.sql.gz is not a whole copy; nothing was changed.', $said);
        self::assertSame($before, self::$checkout->inventory());
    }
}
