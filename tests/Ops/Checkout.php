<?php

declare(strict_types=1);

namespace Tests\Ops;

use RuntimeException;

/** A second checkout of this tree, with ports, records and processes of its own, for tests that kill what they start. */
final class Checkout
{
    private const PARTS = [
        '.env.nothing', 'app', 'artisan', 'bench', 'book', 'bootstrap', 'compat', 'composer.json', 'config', 'core', 'database', 'docs',
        'ops', 'package-lock.json', 'package.json', 'public', 'resources',
        'routes', 'sparrow', 'tests/Ops', 'tsconfig.json', 'vite.config.ts', 'vite.contract.ts', 'vite.early.config.ts',
        'vite.home.config.ts', 'vite.run.config.ts',
    ];

    private function __construct(public readonly string $path, private readonly int $port, private readonly int $databasePort)
    {
    }

    public static function make(int $number): self
    {
        $from = dirname(__DIR__, 2);
        $path = sys_get_temp_dir()."/sparrow-ops-{$number}-".getmypid();
        self::must("mkdir -m 755 {$path} && mkdir -m 755 {$path}/tests && mkdir -p -m 755 {$path}/var/stamps");
        foreach (self::PARTS as $part) {
            if (file_exists("{$from}/{$part}")) {
                self::must("cp -a {$from}/{$part} {$path}/{$part}");
            }
        }
        self::must("rm -f {$path}/bootstrap/cache/*.php");
        // PHP's loader takes classes from beside itself; what Node has is only looked for. The files are those of this tree: never change
        // them.
        self::must("cp -al {$from}/vendor {$path}/vendor && ln -s {$from}/node_modules {$path}/node_modules");
        // Installed and built there already.
        self::must("cp {$from}/var/stamps/{composer,npm,build} {$path}/var/stamps/");

        $made = new self($path, 8100 + $number, 3400 + $number);
        // However a test ends.
        register_shutdown_function(function () use ($made): void {
            $made->killEverything();
            self::must("rm -rf {$made->path}");
        });

        return $made;
    }

    public function address(): string
    {
        return "http://127.0.0.1:{$this->port}";
    }

    public function databasePort(): int
    {
        return $this->databasePort;
    }

    /**
     * Runs ./sparrow to its end.
     *
     * @param  array<string, string>  $environment
     * @return array{int, string} exit code, and all that was said
     */
    public function sparrow(string $arguments, array $environment = [], string $before = ''): array
    {
        $said = [];
        $code = 0;
        exec($this->line($arguments, $environment, $before).' 2>&1 </dev/null', $said, $code);

        return [$code, implode("\n", $said)];
    }

    /** Begins ./sparrow in a process group of its own, and gives its id. */
    public function begin(string $arguments): int
    {
        return (int) trim(self::must($this->line($arguments, [], 'setsid').' >'.$this->path.'/said.log 2>&1 </dev/null & echo $!'));
    }

    /** Asks the database as its owner; empty while it does not answer. */
    public function ask(string $sql): string
    {
        $as = posix_geteuid() === 0 ? 'setpriv --reuid=fleet-sparrow --regid=fleet-sparrow --init-groups --' : '';
        $user = posix_geteuid() === 0 ? 'fleet-sparrow' : posix_getpwuid(posix_geteuid())['name'] ?? '';

        return trim(
            (string) shell_exec(
                "{$as} mariadb --no-defaults --socket={$this->path}/var/run/db.sock -u {$user} -N -e "
                    .escapeshellarg($sql).' sparrow 2>/dev/null',
            ),
        );
    }

    /** What a start is to have left behind: how many of everything. */
    public function inventory(): string
    {
        $tables = [
            'clubs',
            'users',
            'squads',
            'players',
            'drill_versions',
            'training_sessions',
            'session_blocks',
            'marks',
            'attendances',
            'line_days',
            'bests',
            'session_loads',
            'session_groups',
            'migrations',
        ];

        return $this->ask(
            implode(' union all ', array_map(fn (string $table): string => "select '{$table}', count(*) from {$table}", $tables)),
        );
    }

    /** Every process that works in this checkout, by id and name. */
    public function processes(): string
    {
        $found = [];
        foreach (glob('/proc/[0-9]*') ?: [] as $process) {
            $folder = @readlink("{$process}/cwd");
            $name = trim((string) @file_get_contents("{$process}/comm"));
            if ($folder !== false && str_starts_with($folder, "{$this->path}/var") && $name !== '') {
                $found[(int) basename($process)] = $name;
            }
        }

        return implode(' ', array_unique($found));
    }

    public function killEverything(): void
    {
        foreach (glob('/proc/[0-9]*') ?: [] as $process) {
            $folder = @readlink("{$process}/cwd");
            if ($folder !== false && str_starts_with($folder, $this->path)) {
                posix_kill((int) basename($process), SIGKILL);
            }
        }
    }

    public function remove(): void
    {
        $this->sparrow('stop');
        $this->killEverything();
        self::must("rm -rf {$this->path}");
    }

    /** Waits until something is so, looking often. */
    public static function until(callable $isSo, float $seconds, float $every = 0.02): bool
    {
        for ($end = microtime(true) + $seconds; microtime(true) < $end;) {
            // What PHP remembers of a file may be gone by now.
            clearstatcache();
            if ($isSo()) {
                return true;
            }
            usleep((int) ($every * 1e6));
        }

        return false;
    }

    public static function must(string $command): string
    {
        $said = [];
        exec('bash -c '.escapeshellarg($command), $said, $code);
        if ($code !== 0) {
            throw new RuntimeException("{$command}: ".implode("\n", $said));
        }

        return implode("\n", $said);
    }

    /** @param  array<string, string>  $environment */
    private function line(string $arguments, array $environment, string $before): string
    {
        $set = $environment + [
            'SPARROW_PORT' => (string) $this->port,
            'SPARROW_DB_PORT' => (string) $this->databasePort,
            'PATH' => (string) getenv('PATH'),
        ];
        $words = implode(
            ' ',
            array_map(fn (string $name, string $value): string => "{$name}=".escapeshellarg($value), array_keys($set), array_values($set)),
        );

        return "cd {$this->path} && exec env -i {$words} {$before} ./sparrow {$arguments}";
    }
}
