<?php

declare(strict_types=1);

namespace Tests\Ops;

use PDO;
use PDOException;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;

/**
 * Starting, being killed at it, starting again; and what the machine's other users can reach meanwhile. Every test leaves the
 * checkout started, so that the next need not wait for it.
 */
final class StartTest extends TestCase
{
    private static Checkout $checkout;

    /** What an undisturbed start leaves behind. */
    private static string $whole;

    public static function setUpBeforeClass(): void
    {
        self::$checkout = Checkout::make(1);
        [$code, $said] = self::$checkout->sparrow('start');
        self::assertSame(0, $code, $said);
        self::$whole = self::$checkout->inventory();
        self::assertStringContainsString("players\t20", self::$whole);
    }

    public static function tearDownAfterClass(): void
    {
        self::$checkout->remove();
    }

    public function test_another_user_of_the_machine_reads_nothing_and_reaches_no_database(): void
    {
        file_get_contents(self::$checkout->address().'/api/v1/pulse', false, stream_context_create(['http' => ['ignore_errors' => true]]));
        $path = self::$checkout->path;
        // A socket has the mode of a socket; the folder it is in is closed.
        self::assertSame('', Checkout::must("find {$path}/var {$path}/bootstrap/cache {$path}/.env ! -type l ! -type s -perm /077"));
        self::assertNotSame('', Checkout::must("find {$path}/var/storage/framework/sessions -type f -size +0"), 'A session was kept.');
        if (posix_geteuid() !== 0) {
            self::markTestSkipped('Only root can become another user.');
        }
        $stranger = 'setpriv --reuid=nobody --regid=nogroup --clear-groups --';
        self::assertSame(
            '',
            Checkout::must("{$stranger} find {$path}/var {$path}/bootstrap/cache {$path}/.env -type f -readable 2>/dev/null || true"),
        );
        foreach ([
            "--socket={$path}/var/run/db.sock -u root",
            "--socket={$path}/var/run/db.sock -u fleet-sparrow",
            ...array_map(
                fn (string $user): string => '--host=127.0.0.1 --port='.self::$checkout->databasePort()." -u {$user}",
                ['root', 'fleet-sparrow', 'sparrow', 'nobody', "''"],
            ),
        ] as $door) {
            $said = Checkout::must("{$stranger} mariadb --no-defaults {$door} -e 'select 1' 2>&1 && echo OPEN || true");
            self::assertStringContainsString('ERROR', $said, $door);
            self::assertStringNotContainsString('OPEN', $said, $door);
        }
        // Whoever breaks into a server is not root either.
        self::assertSame(
            'fleet-sparrow',
            Checkout::must("ps -o user= -p \$(pgrep -f {$path}/var | paste -sd,) | sort -u | tr -d ' ' | grep -v '^root\$'"),
        );
        self::assertSame(
            '',
            Checkout::must(
                "ps -u root -o pid=,comm= | awk '/nginx|mariadbd|php-fpm/ { print \$1 }' "
                    ."| while read pid; do readlink /proc/\$pid/cwd; done | grep {$path} || true",
            ),
        );
    }

    /** Built under a strict umask: a service worker that only root reads opens nothing without a network. */
    public function test_everything_public_is_given_to_who_asks(): void
    {
        $path = self::$checkout->path.'/public';
        $found = Checkout::must("cd {$path} && find . -type f ! -name index.php ! -path './build/manifest.json'");
        $files = explode("\n", trim($found));
        self::assertContains('./sw.js', $files);
        foreach ($files as $file) {
            $headers = get_headers(self::$checkout->address().substr($file, 1));
            self::assertStringContainsString(' 200 ', $headers === false ? 'nobody answered' : $headers[0], $file);
        }
    }

    public function test_the_applications_account_can_neither_read_nor_write_files(): void
    {
        preg_match('/^DB_PASSWORD=(.+)$/m', (string) file_get_contents(self::$checkout->path.'/.env'), $password);
        $database = new PDO('mysql:host=127.0.0.1;port='.self::$checkout->databasePort().';dbname=sparrow', 'sparrow', $password[1] ?? '');
        self::assertNull($database->query("select load_file('/etc/passwd')")->fetchColumn());
        foreach ([
            "select 'x' into outfile '/tmp/sparrow-was-here'",
            'create user intruder@localhost',
            "load data local infile '/etc/passwd' into table clubs",
        ] as $sql) {
            try {
                $database->query($sql);
                self::fail("{$sql} was allowed.");
            } catch (PDOException $refusal) {
                self::assertMatchesRegularExpression('/denied|not allowed|disabled|forbidden|secure/i', $refusal->getMessage(), $sql);
            }
        }
        // Root has no way in but the socket, and no password that anybody could have.
        self::assertSame(
            "root\tlocalhost\tinvalid",
            self::$checkout->ask(
                "select user, host, json_value(priv, '$.authentication_string') from mysql.global_priv where user in ('root', '')",
            ),
        );
    }

    public function test_of_eight_who_save_one_version_at_once_one_wins(): void
    {
        $said = Checkout::must('node '.__DIR__.'/save-at-once.mjs '.self::$checkout->address());

        self::assertSame('{"200":1,"412":7}', $said);
    }

    public function test_a_start_that_was_killed_in_the_migrations_is_finished_by_the_next(): void
    {
        $this->forget();
        $this->killedWhen(fn (): bool => (int) self::$checkout->ask('select count(*) from migrations') >= 3);
        self::assertFileExists(self::$checkout->path.'/var/run/migrating');
        $this->startsWhole();
    }

    public function test_a_start_that_was_killed_in_the_demo_is_finished_by_the_next(): void
    {
        $this->forget();
        $this->killedWhen(
            fn (): bool => (int) self::$checkout->ask('select count(*) from drill_versions') > 100
            && Checkout::must("pgrep -f 'sparrow:demo' || true") !== ''
            && self::passed(700_000)
        );
        self::assertSame('0', self::$checkout->ask('select count(*) from clubs'), 'No half of a demo.');
        $this->startsWhole();
    }

    /** A while later. */
    private static function passed(int $microseconds): bool
    {
        usleep($microseconds);

        return true;
    }

    #[Group('slow')]
    public function test_a_start_may_be_killed_at_any_of_twelve_moments(): void
    {
        $path = self::$checkout->path;
        $rows = fn (string $table): int => (int) self::$checkout->ask("select count(*) from {$table}");
        $moments = [
            'the data directory is being made' => fn (): bool => is_dir("{$path}/var/db.new"),
            'it has its place' => fn (): bool => is_dir("{$path}/var/db/mysql"),
            'the database is starting' => fn (): bool => is_file("{$path}/var/run/db.pid"),
            'the copy before the migrations is there' => fn (): bool => is_file("{$path}/var/backups/before-migrating.sql.gz"),
            'the migrations are about to begin' => fn (): bool => is_file("{$path}/var/run/migrating"),
            'one migration is done' => fn (): bool => $rows('migrations') >= 1,
            'seven are' => fn (): bool => $rows('migrations') >= 7,
            'the book is being read' => fn (): bool => $rows('migrations') >= 10 && ! is_file("{$path}/var/run/migrating"),
            'the demo begins' => fn (): bool => $rows('drill_versions') > 100,
            'the demo is half there' => fn (): bool => $rows('drill_versions') > 100 && self::passed(1_500_000),
            'php is starting' => fn (): bool => is_file("{$path}/var/web-main/fpm.conf"),
            'the web server is starting' => fn (): bool => is_file("{$path}/var/web-main/nginx.conf"),
        ];
        $mended = [];
        foreach ($moments as $name => $moment) {
            $this->forget();
            $this->killedWhen($moment, alsoServers: count($mended) % 2 === 1);
            // Fails by itself where a start is not mended.
            $this->startsWhole($name);
            $mended[] = $name;
        }
        fwrite(STDERR, "\n".count($moments).' killed starts, '.count($mended)." mended.\n");
    }

    public function test_a_killed_upgrade_goes_back_to_the_records_before_it_and_tries_again(): void
    {
        $migration = self::$checkout->path.'/database/migrations/2099_01_01_000001_two_steps.php';
        $step = fn (string $pause): string => '<?php return new class extends Illuminate\\Database\\Migrations\\Migration { '
            ."public function up(): void { DB::statement('create table step_one (id int)'); DB::statement('delete from marks'); {$pause} "
            ."DB::statement('create table step_two (id int)'); DB::statement('drop table step_one, step_two'); } "
            .'public function down(): void {} };';
        file_put_contents($migration, $step('sleep(60);'));
        chmod($migration, 0644);
        $this->killedWhen(fn (): bool => self::$checkout->ask('show tables like \'step_one\'') !== '');
        file_put_contents($migration, str_replace("DB::statement('delete from marks');", '', $step('')));
        [$code, $said] = self::$checkout->sparrow('start');
        unlink($migration);

        self::assertSame(0, $code, $said);
        self::assertStringContainsString('going back to what was there before it', $said);
        $oneMore = preg_replace_callback(
            '/(?<=^migrations\t)\d+/m',
            static fn (array $count): string => (string) (1 + (int) $count[0]),
            self::$whole,
        );
        self::assertSame($oneMore, self::$checkout->inventory());
        self::$checkout->ask("delete from migrations where migration like '2099%'");
    }

    public function test_a_number_in_a_file_proves_nothing_and_no_strange_process_is_ended(): void
    {
        $bystander = (int) trim(Checkout::must('setsid sleep 300 >/dev/null 2>&1 & echo $!'));
        foreach ([
            "{$bystander}",
            "{$bystander} 12345 ".trim((string) file_get_contents('/proc/sys/kernel/random/boot_id')),
            'not a number',
            '',
        ] as $content) {
            foreach (['run/db.pid', 'web-main/nginx.pid', 'web-main/fpm.pid'] as $file) {
                file_put_contents(self::$checkout->path."/var/{$file}", $content);
            }
            self::assertStringContainsString('database   stopped', self::$checkout->sparrow('status')[1]);
            self::assertSame(0, self::$checkout->sparrow('stop')[0]);
            self::assertTrue(posix_kill($bystander, 0), "With \"{$content}\" in its files, stop ended a strange process.");
        }
        // The servers that had been noted there before were ours by where they work, and are gone.
        self::assertSame('', self::$checkout->processes());
        posix_kill($bystander, SIGKILL);
        $this->startsWhole();
    }

    public function test_workers_whose_master_is_gone_are_ended_by_stop(): void
    {
        $noted = (string) file_get_contents(self::$checkout->path.'/var/web-main/fpm.pid');
        posix_kill((int) explode(' ', $noted)[0], SIGKILL);
        self::assertStringContainsString('php-fpm', self::$checkout->processes());
        self::assertSame(0, self::$checkout->sparrow('stop')[0]);
        self::assertSame('', self::$checkout->processes());
        $this->startsWhole();
    }

    public function test_stop_waits_for_a_start_under_way(): void
    {
        self::$checkout->sparrow('stop');
        $start = self::$checkout->begin('start');
        self::assertTrue(Checkout::until(fn (): bool => is_file(self::$checkout->path.'/var/run/db.pid'), 20));
        [$code, $said] = self::$checkout->sparrow('stop');
        self::assertSame(0, $code, $said);
        self::assertStringContainsString('waiting for it to end', $said);
        self::assertTrue(Checkout::until(fn (): bool => ! posix_kill($start, 0) || pcntl_waitpid($start, $status, WNOHANG) !== 0, 10));
        self::assertSame('', self::$checkout->processes());
        $this->startsWhole();
    }

    public function test_who_may_not_install_is_told_so_and_not_that_it_is_being_installed(): void
    {
        if (posix_geteuid() !== 0) {
            self::markTestSkipped('Only root can become another user.');
        }
        $other = Checkout::make(3);
        $tools = "{$other->path}/tools";
        Checkout::must(
            "mkdir -m 755 {$tools} && printf '#!/bin/sh\\nexit 1\\n' > {$tools}/dpkg-query && chmod 755 {$tools}/dpkg-query "
                ."&& chown -R nobody {$other->path}/var {$other->path}/bootstrap {$tools} && chown nobody {$other->path}",
        );
        // sudo, where there is one, is not on this path.
        foreach ([
            'bash',
            'env',
            'apt-get',
            'id',
            'df',
            'awk',
            'mkdir',
            'find',
            'cat',
            'flock',
            'dirname',
            'sha256sum',
            'cut',
            'chmod',
            'dpkg',
            'mv',
            'grep',
            'setpriv',
            'sed',
            'readlink',
        ] as $tool) {
            Checkout::must("ln -s \$(command -v {$tool}) {$tools}/{$tool} 2>/dev/null || true");
        }
        [$code, $said] = $other->sparrow('start', ['PATH' => $tools], 'setpriv --reuid=nobody --regid=nogroup --clear-groups --');
        Checkout::must("rm -rf {$other->path}");

        self::assertSame(1, $code);
        self::assertStringContainsString('must be installed, which needs root: run this as root, or install sudo.', $said);
        self::assertStringNotContainsString('Installing', $said);
    }

    public function test_no_log_holds_a_link(): void
    {
        $address = self::$checkout->address();
        $secret = 'aVerySecretLinkOfSomebody';
        self::$checkout->sparrow('status');
        foreach (["/invitation/{$secret}", "/api/v1/invitations/{$secret}", "/api/v1/password-resets/1?signature={$secret}"] as $target) {
            foreach ([
                "curl -s -o /dev/null {$address}{$target}",
                "curl -s -o /dev/null -X POST --data-binary @{$this->big()} {$address}{$target}",
            ] as $call) {
                Checkout::must("{$call} || true");
            }
        }
        // And while nothing answers behind the web server.
        posix_kill((int) explode(' ', (string) file_get_contents(self::$checkout->path.'/var/web-main/fpm.pid'))[0], SIGTERM);
        usleep(500_000);
        Checkout::must("curl -s -o /dev/null {$address}/api/v1/invitations/{$secret} || true");
        Checkout::must("curl -s -o /dev/null {$address}/api/v1/me || true");
        self::assertNotSame(
            '',
            Checkout::must('grep -l "api/v1/me" '.self::$checkout->path.'/var/logs/nginx-main.log'),
            'Other faults are logged.',
        );
        self::assertSame('', Checkout::must("grep -rl {$secret} ".self::$checkout->path.'/var --include=*.log || true'));
        self::$checkout->sparrow('stop');
        $this->startsWhole();
    }

    /** Throws the records away, and every trace of having had them. */
    private function forget(): void
    {
        self::$checkout->sparrow('stop');
        Checkout::must('cd '.self::$checkout->path.' && rm -rf var/db var/db.new var/run var/backups var/web-main .env');
    }

    private function killedWhen(callable $moment, bool $alsoServers = false): void
    {
        $start = self::$checkout->begin('start');
        self::assertTrue(Checkout::until($moment, 90), 'The moment never came: '.file_get_contents(self::$checkout->path.'/said.log'));
        posix_kill(-$start, SIGKILL);
        if ($alsoServers) {
            self::$checkout->killEverything();
        }
    }

    private function startsWhole(string $when = ''): void
    {
        [$code, $said] = self::$checkout->sparrow('start');
        self::assertSame(0, $code, "{$when}: {$said}");
        self::assertSame(self::$whole, self::$checkout->inventory(), $when);
        self::assertStringContainsString(
            '200',
            Checkout::must('curl -s -o /dev/null -w "%{http_code}" '.self::$checkout->address().'/up'),
            $when,
        );
    }

    /** A body longer than anybody may send. */
    private function big(): string
    {
        $file = self::$checkout->path.'/big';
        file_put_contents($file, str_repeat('x', 3_000_000));

        return $file;
    }
}
