<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Exchange\Import\DeviceInstant;
use Carbon\CarbonImmutable;
use FleetSparrow\Core\Exception\CoreException;
use FleetSparrow\Core\Run\FeedSimulator;
use FleetSparrow\Core\Touch\Script;
use Illuminate\Console\Command;

/** Stands in for a device that counts: the lines it would send, ready to be posted. */
class SimulateFeed extends Command
{
    protected $signature = 'sparrow:touch-feed
        {player : Number of the player, as in the run pack}
        {script : What the feet do, such as "a.sole b.sole"}
        {--seconds=30 : How long}
        {--cadence=2 : Touches a second}
        {--jitter=0.1 : Share of an interval by which a touch comes early or late}
        {--missed=0 : Share of touches it does not see}
        {--unknown=0 : Share whose foot it does not know}
        {--doubled=0 : Share it sends twice}
        {--late=0 : Share that comes after those that follow}
        {--seed=1 : The same seed plays the same}
        {--from= : Instant of the first touch; now where none is said}';

    protected $description = 'Play a touch script as lines of fleet-sparrow/touch-feed';

    public function handle(): int
    {
        [$seconds, $cadence] = [$this->figure('seconds'), $this->figure('cadence')];
        $shares = array_map($this->figure(...), ['jitter', 'missed', 'unknown', 'doubled', 'late']);
        $isWrong = $seconds < 0.1 || $seconds > 3600.0 || $cadence < 0.1 || $cadence > 20.0 || array_filter(
            $shares,
            static fn (float $share): bool => $share < 0.0 || $share > 1.0,
        ) !== [];
        $text = $this->argument('script');
        try {
            $script = Script::fromText($text);
        } catch (CoreException $refusal) {
            $this->error($refusal->getMessage());

            return self::FAILURE;
        }
        $said = $this->option('from');
        $from = is_string($said) ? DeviceInstant::tryFrom($said) : CarbonImmutable::now();
        if ($from === null) {
            $this->error('The first touch is an instant such as 2026-03-12T18:05:00Z.');

            return self::FAILURE;
        }
        if ($isWrong) {
            $this->error('Seconds are 0.1 to 3,600, touches a second 0.1 to 20, shares 0 to 1.');

            return self::FAILURE;
        }
        [$jitter, $missed, $unknown, $doubled, $late] = $shares;
        $simulator = new FeedSimulator(
            script: $script,
            perSecond: $cadence,
            seed: (int) $this->figure('seed'),
            jitter: $jitter,
            missed: $missed,
            unknown: $unknown,
            doubled: $doubled,
            late: $late,
        );
        $first = CarbonImmutable::instance($from)->utc();
        foreach ($simulator->lines($seconds) as $line) {
            $this->line(json_encode([
                'id' => $line['id'],
                'playerId' => (int) $this->argument('player'),
                'at' => $first->addMilliseconds((int) round(1000 * $line['second']))->format('Y-m-d\TH:i:s.v\Z'),
                'side' => $line['side'],
                'surface' => $line['surface'],
            ], JSON_THROW_ON_ERROR));
        }

        return self::SUCCESS;
    }

    private function figure(string $name): float
    {
        $said = $this->option($name);

        return is_numeric($said) ? (float) $said : -1.0;
    }
}
